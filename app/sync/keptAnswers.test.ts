import { beforeEach, describe, expect, it } from 'vitest'
import { isKeepable, ROOM_PATHS, sectionPaths, studentPaths } from './keepable'
import { createKeptAnswers, type AnswerShelf, type Sealed } from './keptAnswers'

const SECTION = '01900000-0000-7000-8000-000000000001'
const FLOOR = `/api/sections/${SECTION}/floor`
const HOUR = 3_600_000

/** A shelf in memory, as a browser's: what lies on it can be looked at. */
function aShelf() {
  const sealed = new Map<string, Sealed>()
  let owner: Awaited<ReturnType<AnswerShelf['owner']>>
  const shelf: AnswerShelf = {
    owner: () => Promise.resolve(owner),
    setOwner: next => Promise.resolve(void (owner = next)),
    get: path => Promise.resolve(sealed.get(path)),
    set: (path, one) => Promise.resolve(void sealed.set(path, one)),
    clear: () => Promise.resolve(void (sealed.clear(), (owner = undefined))),
  }
  return { shelf, sealed, owner: () => owner }
}

let time: number
let lies: ReturnType<typeof aShelf>
const open = (build = 'one') =>
  createKeptAnswers(
    lies.shelf,
    crypto.subtle,
    () => time,
    () => build,
  )
beforeEach(() => {
  time = Date.parse('2026-10-05T18:00:00Z')
  lies = aShelf()
})

describe('what the server said last', () => {
  it('is found again by the page that is opened next, with when it was said', async () => {
    const kept = open()
    await kept.begin('tobias', 'account')
    await kept.keep(FLOOR, [{ name: 'Senara Quick' }])
    expect(await open().find(FLOOR)).toEqual({ at: '2026-10-05T18:00:00.000Z', body: [{ name: 'Senara Quick' }] })
    expect(await open().find('/api/ladder')).toBeNull()
    expect(await open().saidAt(FLOOR)).toBe('2026-10-05T18:00:00.000Z')
    expect(await open().saidAt('/api/ladder')).toBeNull()
  })
  it('lies there sealed, by a key that no script can read out, and no two seals are alike', async () => {
    const kept = open()
    await kept.begin('tobias', 'account')
    await kept.keep(FLOOR, 'Senara Quick')
    const first = lies.sealed.get(FLOOR)!
    await kept.keep(FLOOR, 'Senara Quick')
    const again = lies.sealed.get(FLOOR)!
    expect(Buffer.from(first.sealed).toString('latin1')).not.toContain('Senara')
    expect(Buffer.from(first.sealed).equals(Buffer.from(again.sealed))).toBe(false)
    expect(lies.owner()!.key.extractable).toBe(false)
    await expect(crypto.subtle.exportKey('raw', lies.owner()!.key)).rejects.toThrow()
  })
  it('is of the account that is signed in alone: another finds nothing, and wipes it', async () => {
    const kept = open()
    await kept.begin('tobias', 'account')
    await kept.keep(FLOOR, 'his')
    await kept.begin('tobias', 'account')
    expect((await kept.find(FLOOR))?.body).toBe('his')
    await kept.begin('maren', 'account')
    expect(await kept.find(FLOOR)).toBeNull()
    expect(lies.sealed.size).toBe(0)
  })
  it('is gone at sign-out, and keeps nothing more until somebody signs in', async () => {
    const kept = open()
    await kept.begin('tobias', 'account')
    await kept.keep(FLOOR, 'his')
    await kept.wipe()
    expect(lies.sealed.size).toBe(0)
    expect(lies.owner()).toBeUndefined()
    await kept.keep(FLOOR, 'later')
    expect(lies.sealed.size).toBe(0)
  })
  it('is wiped by another build, whose pages may want more of an answer than was kept', async () => {
    const kept = open()
    await kept.begin('tobias', 'account')
    await kept.keep(FLOOR, 'his')
    expect(await open('two').find(FLOOR)).toBeNull()
    expect(lies.sealed.size).toBe(0)
  })
  it('is wiped after twelve hours, as long as a sign-in lasts, whoever asks', async () => {
    const kept = open()
    await kept.begin('tobias', 'account')
    await kept.keep(FLOOR, 'his')
    time += 12 * HOUR - 1
    expect((await open().find(FLOOR))?.body).toBe('his')
    time += 1
    expect(await open().find(FLOOR)).toBeNull()
    expect(lies.sealed.size).toBe(0)
  })
  it('is not kept where a page did not come through TLS, and nothing fails by it', async () => {
    const kept = createKeptAnswers(
      lies.shelf,
      undefined,
      () => time,
      () => 'one',
    )
    await kept.begin('tobias', 'account')
    await kept.keep(FLOOR, 'his')
    expect([lies.sealed.size, lies.owner(), await kept.find(FLOOR)]).toEqual([0, undefined, null])
  })
  it('is not found where it was tampered with, or the browser fails', async () => {
    const kept = open()
    await kept.begin('tobias', 'account')
    await kept.keep(FLOOR, 'his')
    const { at, iv, sealed } = lies.sealed.get(FLOOR)!
    const other = new Uint8Array(sealed.slice(0))
    other[0]! ^= 1
    lies.sealed.set(FLOOR, { at, iv, sealed: other.buffer })
    expect(await kept.find(FLOOR)).toBeNull()
    const failing = createKeptAnswers(
      { ...lies.shelf, set: () => Promise.reject(new Error('full')) },
      crypto.subtle,
      () => time,
      () => 'one',
    )
    await expect(failing.keep(FLOOR, 'his')).resolves.toBeUndefined()
  })
})

describe('what may be kept', () => {
  it('is all that a class needs', () => {
    for (const path of [...ROOM_PATHS, ...sectionPaths(SECTION), ...studentPaths(SECTION)])
      expect([path, isKeepable(path, 'account')]).toEqual([path, true])
    expect(isKeepable('/api/session', 'account')).toBe(true)
  })
  it.each([
    '/api/accounts',
    '/api/trail',
    '/api/sessions',
    '/api/session/codes',
    '/api/school/retention',
    `/api/students/${SECTION}/export`,
    `/api/sections/${SECTION}/consents`,
    `/api/sections/${SECTION}/day?day=2026-10-01`,
    '/api/metrics',
    '/api/kiosk',
  ])('is not %s', path => expect(isKeepable(path, 'account')).toBe(false))
  it('is, at a tablet that goes round, whose names stand on it and the rules, and nothing else', async () => {
    for (const path of ['/api/kiosk', '/api/house-rules']) expect(isKeepable(path, 'tablet')).toBe(true)
    const others = ROOM_PATHS.filter(path => path !== '/api/house-rules')
    for (const path of ['/api/session', ...others, ...sectionPaths(SECTION), ...studentPaths(SECTION)])
      expect([path, isKeepable(path, 'tablet')]).toEqual([path, false])
    const kept = open()
    await kept.begin(SECTION, 'tablet')
    await kept.keep(FLOOR, 'Senara Quick')
    await kept.keep('/api/kiosk', 'the names')
    expect(await open().find(FLOOR)).toBeNull()
    expect((await open().find('/api/kiosk'))!.body).toBe('the names')
    // Whoever signs in there finds nothing of it, and the other way round.
    await kept.begin(SECTION, 'account')
    expect(await open().find('/api/kiosk')).toBeNull()
  })
})
