import { describe, expect, it } from 'vitest'
import { supervise } from '../../bin/supervise.mjs'

const NEVER = new Promise<never>(() => {})

/** A promise that is settled from outside. */
function settled() {
  let resolve = () => {}
  const promise = new Promise<void>(done => {
    resolve = done
  })
  return { promise, resolve }
}

/** Servers that each end with a code after so long, ms; the last one stands. */
function run(lives: readonly (readonly [code: number, ms: number])[], asked: Promise<unknown> = NEVER) {
  let clock = 0
  let begun = 0
  let stopped = 0
  const pauses: number[] = []
  const said: string[] = []
  const stood = settled()
  const work = supervise({
    what: 'The server',
    begin: async () => {
      const life = lives[begun++]
      if (!life) stood.resolve()
      else clock += life[1]
      return {
        ended: life ? Promise.resolve(life[0]) : NEVER,
        stop: async () => {
          stopped++
        },
        log: () => 'its last words',
      }
    },
    asked,
    wait: async seconds => {
      pauses.push(seconds)
    },
    say: line => said.push(line),
    now: () => clock,
  })
  return { work, stood: stood.promise, pauses, said, begun: () => begun, stopped: () => stopped }
}

describe('a server that ends', () => {
  it('is started again, after pauses that grow', async () => {
    const school = run([
      [1, 0],
      [137, 0],
      [1, 0],
    ])
    await school.stood
    expect(school.pauses).toEqual([1, 2, 4])
    expect(school.said[1]).toBe('The server ended with 137. It is started again in 2 s.')
    expect(school.begun()).toBe(4)
  })

  it('begins with the shortest pause again, once it has stood for ten minutes', async () => {
    const school = run([
      [1, 0],
      [1, 0],
      [1, 10 * 60_000],
    ])
    await school.stood
    expect(school.pauses).toEqual([1, 2, 1])
  })

  it('is given up when it cannot stand, with what it said last', async () => {
    const school = run(Array.from({ length: 9 }, () => [3, 0] as const))
    await expect(school.work).rejects.toMatchObject({
      message: 'The server ended 6 times in a row, at last with 3',
      output: 'its last words',
    })
    expect(school.begun()).toBe(6)
  })

  it('that does not come up again is tried on like one that ended; the first time it is said at once', async () => {
    const stood = settled()
    const said: string[] = []
    let begun = 0
    const terms = {
      what: 'The database',
      begin: async () => {
        begun++
        if (begun < 3) throw new Error('no room')
        stood.resolve()
        return standing
      },
      asked: NEVER,
      wait: async () => {},
      say: (line: string) => said.push(line),
    }
    const standing = { ended: NEVER, stop: async () => {}, log: () => '' }
    void supervise({ ...terms, running: { ...standing, ended: Promise.resolve('SIGKILL') } })
    await stood.promise
    expect(said).toEqual([
      'The database ended with SIGKILL. It is started again in 1 s.',
      'The database ended with no room. It is started again in 2 s.',
      'The database ended with no room. It is started again in 4 s.',
    ])
    begun = 0
    await expect(supervise(terms)).rejects.toThrow('no room')
  })

  it('is stopped, and not started again, when that is asked', async () => {
    const asked = settled()
    const school = run([], asked.promise)
    await school.stood
    asked.resolve()
    await school.work
    expect([school.begun(), school.stopped()]).toEqual([1, 1])
  })
})

describe('a server that runs and does not answer', () => {
  it('is replaced once it was silent three times in a row, and not before', async () => {
    const answers = [true, false, false, true, false, false, false]
    const said: string[] = []
    const stood = settled()
    let stopped = 0
    let begun = 0
    void supervise({
      what: 'The server',
      begin: async () => {
        const held = begun++ === 0
        if (!held) stood.resolve()
        return {
          ended: NEVER,
          log: () => '',
          alive: async () => (held ? answers.shift()! : NEVER),
          stop: async () => {
            stopped++
          },
        }
      },
      asked: NEVER,
      wait: async () => {},
      say: (line: string) => said.push(line),
    })
    await stood.promise
    expect(answers).toEqual([])
    expect([stopped, begun]).toEqual([1, 2])
    expect(said).toEqual([
      'The server runs and does not answer. It is replaced.',
      'The server ended with silence. It is started again in 1 s.',
    ])
  })
})
