import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useCouponDraft } from './couponDraft'

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

describe('what lies on a bench, kept in the browser', () => {
  it('is found again under its own key, and not under another', () => {
    const draft = useCouponDraft<{ n: number }>()
    expect(draft.keepAt('mine')).toBe(true)
    expect(draft.keepAt('mine')).toBe(false)
    draft.keep({ n: 1 })
    const again = useCouponDraft<{ n: number }>()
    again.keepAt('theirs')
    expect(again.found()).toBeNull()
    again.keepAt('mine')
    expect(again.found()).toEqual({ n: 1 })
    again.drop()
    expect(draft.found()).toBeNull()
  })

  it('says when the browser keeps nothing, and when it does again', () => {
    const draft = useCouponDraft<{ n: number }>()
    draft.keepAt('mine')
    full = true
    draft.keep({ n: 1 })
    expect(draft.keptAt.value).toBe('nowhere')
    full = false
    draft.keep({ n: 2 })
    expect([draft.keptAt.value, draft.found()]).toEqual(['here', { n: 2 }])
  })

  it('what cannot be read is thrown away, not thrown at the page', () => {
    shelf.set('mine', '{"n": ')
    const draft = useCouponDraft<{ n: number }>()
    draft.keepAt('mine')
    expect(draft.found()).toBeNull()
    expect(shelf.has('mine')).toBe(false)
  })
})
