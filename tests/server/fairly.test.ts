import { describe, expect, it } from 'vitest'
import { fairly } from '../../server/http/fairly'

/** Work that ends when it is told to; what was begun, in order. */
function held() {
  const begun: string[] = []
  const ends: (() => void)[] = []
  const work = (name: string, asked: unknown) => {
    begun.push(`${name} ${String(asked)}`)
    const nth = begun.length
    return new Promise<string>(resolve => ends.push(() => resolve(`${name} ${nth}`)))
  }
  return { begun, ends, work }
}
const aTurn = () => new Promise(resolve => setTimeout(resolve))

describe('what takes more than a moment', () => {
  it('is done once for all who wait, and once more for those who asked while it was done', async () => {
    const { begun, ends, work } = held()
    const ask = fairly(work)
    const first = ask('maren', 'report', 1)
    await aTurn()
    const later = Array.from({ length: 60 }, () => ask('tobias', 'report', 1))
    await aTurn()
    expect(begun).toHaveLength(1)
    ends[0]!()
    expect(await first).toBe('report 1')
    await aTurn()
    expect(begun).toHaveLength(2)
    ends[1]!()
    // What was saved after the first began is in the second.
    expect(new Set(await Promise.all(later))).toEqual(new Set(['report 2']))
    const anew = ask('maren', 'report', 1)
    await aTurn()
    expect(begun).toHaveLength(3)
    ends[2]!()
    await anew
  })

  it('leaves another account its turn, and refuses one who asks for more than may wait', async () => {
    const { begun, ends, work } = held()
    const ask = fairly(work)
    const many = Array.from({ length: 60 }, (_, n) =>
      ask('tobias', 'pace', n).catch((error: { statusCode: number }) => error.statusCode),
    )
    const mine = ask('maren', 'pace', 'mine')
    await aTurn()
    expect(begun).toEqual(['pace 0', 'pace 1', 'pace mine'])
    ends[2]!()
    expect(await mine).toBe('pace 3')
    for (let n = 0; n < 60; n++) {
      ends.splice(0).forEach(end => end())
      await aTurn()
    }
    const answers = await Promise.all(many)
    expect(answers.filter(answer => answer === 429)).toHaveLength(18)
    expect(begun).toHaveLength(43)
  })

  it('that failed is done anew for who asks next', async () => {
    let times = 0
    const ask = fairly(() => (times++ === 0 ? Promise.reject(new Error('no thread')) : Promise.resolve('done')))
    await expect(ask('maren', 'day', 1)).rejects.toThrow('no thread')
    expect(await ask('maren', 'day', 1)).toBe('done')
  })
})
