import { describe, expect, it } from 'vitest'
import { FAULTS } from '~~/core/coupon'
import { DISCONTINUITIES } from '~~/core/trade'
import { MARK_KINDS, PALETTE_SIZE } from './markKinds'

describe('the marks and their letters', () => {
  it('each letter stands for one mark', () => expect(new Set(MARK_KINDS.map(kind => kind.letter)).size).toBe(MARK_KINDS.length))

  it('no letter is taken from what the bench uses for itself', () => {
    for (const taken of ['N', 'I', 'X', 'Y']) expect(MARK_KINDS.some(kind => kind.letter === taken)).toBe(false)
  })

  it('every discontinuity and every kind of try can be marked', () => {
    const flaws = MARK_KINDS.flatMap(kind => (kind.is === 'flaw' ? [kind.flaw] : []))
    expect([...flaws].sort()).toEqual(DISCONTINUITIES.map(row => row.id).sort())
    const tries = MARK_KINDS.flatMap(kind => (kind.is === 'try' ? [kind.kind] : []))
    expect([...tries].sort()).toEqual(Object.keys(FAULTS).sort())
  })

  it('the palette begins with the tries, as a reading does', () => {
    expect(MARK_KINDS.slice(0, 4).every(kind => kind.is === 'try')).toBe(true)
    expect(PALETTE_SIZE).toBeLessThan(MARK_KINDS.length)
  })
})
