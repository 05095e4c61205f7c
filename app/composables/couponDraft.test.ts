import { describe, expect, it } from 'vitest'
import { useCouponDraft } from './couponDraft'

function aDrawer() {
  const held = new Map<string, { n: number }>()
  const state = { full: false }
  const place = (key: string, owner: string) => `${key} of ${owner}`
  return {
    state,
    keep: async (key: string, owner: string, value: { n: number }) => {
      if (!state.full) held.set(place(key, owner), value)
      return !state.full
    },
    drop: (key: string) => [...held.keys()].filter(one => one.startsWith(key)).forEach(one => held.delete(one)),
    found: async (key: string, owner: string) =>
      [...held].flatMap(([at, value]) => (at === place(key, owner) ? [value] : [])),
  }
}

describe('what lies on a bench, kept in the browser', () => {
  it('is found again under its own key and for its owner, and not for another', async () => {
    const drawer = aDrawer()
    const draft = useCouponDraft(drawer)
    expect(draft.keepAt('mine', 'maren')).toBe(true)
    expect(draft.keepAt('mine', 'maren')).toBe(false)
    await draft.keep({ n: 1 })
    const again = useCouponDraft(drawer)
    again.keepAt('mine', 'tobias')
    expect(await again.found()).toEqual([])
    again.keepAt('mine', 'maren')
    expect(await again.found()).toEqual([{ n: 1 }])
    again.drop()
    expect(await draft.found()).toEqual([])
  })

  it('says when the browser keeps nothing, and when it does again', async () => {
    const drawer = aDrawer()
    const draft = useCouponDraft(drawer)
    draft.keepAt('mine', 'maren')
    drawer.state.full = true
    await draft.keep({ n: 1 })
    expect(draft.keptAt.value).toBe('nowhere')
    drawer.state.full = false
    await draft.keep({ n: 2 })
    expect([draft.keptAt.value, await draft.found()]).toEqual(['here', [{ n: 2 }]])
  })
})
