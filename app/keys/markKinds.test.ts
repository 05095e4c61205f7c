import { describe, expect, it } from 'vitest'
import { FAULTS } from '~~/core/coupon'
import { DISCONTINUITIES, discontinuityOf } from '~~/core/trade'
import { FACE_KINDS, markKindsOn, PALETTE_SIZE, ROOT_KINDS, type MarkKind } from './markKinds'

const flawsOf = (kinds: readonly MarkKind[]) => kinds.flatMap(kind => (kind.is === 'flaw' ? [kind.flaw] : []))

describe('the marks and their letters', () => {
  it.each([
    ['face', FACE_KINDS],
    ['root', ROOT_KINDS],
  ] as const)('on the %s each letter stands for one mark', (face, kinds) => {
    expect(markKindsOn(face)).toBe(kinds)
    expect(new Set(kinds.map(kind => kind.letter)).size).toBe(kinds.length)
    for (const taken of ['N', 'I', 'X', 'Y']) expect(kinds.some(kind => kind.letter === taken)).toBe(false)
  })

  it('every discontinuity and every kind of try can be marked, each on the side it is read on', () => {
    expect([...new Set([...flawsOf(FACE_KINDS), ...flawsOf(ROOT_KINDS)])].sort()).toEqual(
      DISCONTINUITIES.map(row => row.id).sort(),
    )
    for (const flaw of flawsOf(FACE_KINDS)) expect(discontinuityOf(flaw).on).not.toBe('root')
    for (const flaw of flawsOf(ROOT_KINDS)) expect(discontinuityOf(flaw).on).not.toBe('face')
    const tries = FACE_KINDS.flatMap(kind => (kind.is === 'try' ? [kind.kind] : []))
    expect([...tries].sort()).toEqual(Object.keys(FAULTS).sort())
  })

  it('the palette begins with the tries, as a reading does, and has room for the rest under More', () => {
    expect(FACE_KINDS.slice(0, 4).every(kind => kind.is === 'try')).toBe(true)
    expect(PALETTE_SIZE).toBeLessThan(FACE_KINDS.length)
  })
})
