import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { createSeal, type KeyShelf } from './seal'
import { sealedDrawer } from './sealedDrawer'

let shelf: Map<string, string>
let full = false
beforeEach(() => {
  shelf = new Map()
  full = false
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => shelf.get(key) ?? null,
    removeItem: (key: string) => shelf.delete(key),
    setItem: (key: string, value: string) => {
      if (full) throw new DOMException('no room', 'QuotaExceededError')
      shelf.set(key, value)
    },
  })
})
afterEach(() => {
  vi.unstubAllGlobals()
})

function keyShelf(): KeyShelf {
  let kept: Awaited<ReturnType<KeyShelf['get']>>
  return {
    get: async () => kept,
    set: async key => void (kept = key),
    clear: async () => void (kept = undefined),
  }
}
const keyOf = (account: string) => async () => btoa(account.padEnd(32, '.'))
async function signedIn(account: string) {
  const seal = createSeal(crypto.subtle, keyShelf())
  await seal.begin(account, keyOf(account))
  return seal
}

interface Draft {
  readonly student: string
}
const draft: Draft = { student: 'Wenna Marsh' }

describe('a drawer of a shared browser', () => {
  it('holds nothing that the next person can read, and opens to its owner', async () => {
    await sealedDrawer<Draft>(await signedIn('maren')).keep('draft', 'maren', draft)
    expect([...shelf.values()].join()).not.toContain('Wenna')
    expect(await sealedDrawer<Draft>(await signedIn('tobias')).found('draft', 'maren')).toEqual([])
    expect(await sealedDrawer<Draft>(await signedIn('maren')).found('draft', 'maren')).toEqual([draft])
  })
  it('keeps in the clear where nothing can be sealed, and reads what was kept so before', async () => {
    await sealedDrawer<Draft>(createSeal(undefined, keyShelf())).keep('draft', '', draft)
    expect(await sealedDrawer<Draft>(await signedIn('maren')).found('draft', 'maren')).toEqual([draft])
  })
  it('keeps the later of two values, and nothing that was dropped while it was being sealed', async () => {
    const held: (() => void)[] = []
    const slow = {
      seal: (_: string, value: unknown) =>
        new Promise<null>(resolve => held.push(() => resolve(null))).then(() => void value),
      open: async () => null,
    }
    const drawer = sealedDrawer<Draft>(slow as never)
    const first = drawer.keep('draft', '', { student: 'first' })
    const later = drawer.keep('draft', '', { student: 'later' })
    held[1]!()
    held[0]!()
    await Promise.all([first, later])
    expect(await drawer.found('draft', '')).toEqual([{ student: 'later' }])
    const dropped = drawer.keep('draft', '', draft)
    drawer.drop('draft')
    held[2]!()
    await dropped
    expect(shelf.size).toBe(0)
  })
  it('writes nothing over what it cannot open: the newer one lies beside it, and both are found', async () => {
    await sealedDrawer<Draft>(await signedIn('maren')).keep('draft', 'maren', draft)
    // The server did not give the key this time.
    const keyless = sealedDrawer<Draft>(createSeal(crypto.subtle, keyShelf()))
    expect(await keyless.found('draft', 'maren')).toEqual([])
    expect(await keyless.keep('draft', 'maren', { student: 'begun' })).toBe(true)
    expect(await keyless.keep('draft', 'maren', { student: 'later' })).toBe(true)
    const again = sealedDrawer<Draft>(await signedIn('maren'))
    expect(await again.found('draft', 'maren')).toEqual([draft, { student: 'later' }])
    // Once both are in hand they are one again.
    await again.keep('draft', 'maren', { student: 'both' })
    expect(await sealedDrawer<Draft>(await signedIn('maren')).found('draft', 'maren')).toEqual([{ student: 'both' }])
    expect(shelf.size).toBe(1)
  })
  it('leaves what it cannot open where it is, also when the bench is cleared', async () => {
    await sealedDrawer<Draft>(await signedIn('maren')).keep('draft', 'maren', draft)
    const keyless = sealedDrawer<Draft>(createSeal(crypto.subtle, keyShelf()))
    await keyless.found('draft', 'maren')
    keyless.drop('draft')
    expect(await sealedDrawer<Draft>(await signedIn('maren')).found('draft', 'maren')).toEqual([draft])
  })
  it('says when the browser has no room, and throws away what cannot be read', async () => {
    const drawer = sealedDrawer<Draft>(await signedIn('maren'))
    full = true
    expect(await drawer.keep('draft', 'maren', draft)).toBe(false)
    shelf.set('draft', '{"n": ')
    expect(await drawer.found('draft', 'maren')).toEqual([])
    expect(shelf.has('draft')).toBe(false)
  })
})
