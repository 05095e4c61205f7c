import { describe, expect, it } from 'vitest'
import { CATALOGUE, DISCONTINUITIES, iso6520Of } from '.'

describe('the catalogue (terms AWS A3.0, numbers ISO 6520-1:2007, from memory)', () => {
  it.each([
    ['101', /crack/i],
    ['102', /crack/i],
    ['104', /crack/i],
    ['2025', /crater/i],
    ['2012', /poro/i],
    ['2013', /poro/i],
    ['2014', /poro/i],
    ['2017', /poro/i],
    ['301', /slag/i],
    ['401', /fusion/i],
    ['4021', /penetration/i],
    ['5011', /undercut/i],
    ['502', /high/i],
    ['503', /convex/i],
    ['504', /through/i],
    ['506', /overlap/i],
    ['507', /linear/i],
    ['508', /angular/i],
    ['509', /sag/i],
    ['510', /through/i],
    ['511', /low/i],
    ['512', /legs/i],
    ['513', /width/i],
    ['514', /ripples/i],
    ['515', /concav/i],
    ['517', /restart/i],
    ['5213', /throat/i],
    ['601', /strike/i],
    ['602', /spatter/i],
    ['603', /torn/i],
    ['604', /grind/i],
    ['605', /chip/i],
  ])('%s is in it, once', (number, term) => {
    const rows = CATALOGUE.filter(row => row.iso6520 === number)
    expect(rows.map(row => row.term)).toEqual([expect.stringMatching(term)])
  })
  it('says of every row how it is given, measured, where it occurs and what it looks like', () => {
    for (const row of CATALOGUE)
      expect(
        [row.given, row.measured, row.where, row.looksLike].every(text => text.length > 3),
        row.term,
      ).toBe(true)
    expect(new Set(CATALOGUE.map(row => row.term)).size).toBe(CATALOGUE.length)
  })
  it('has every mark there is', () => {
    const ids = new Set(CATALOGUE.map(row => row.mark?.flaw))
    expect(DISCONTINUITIES.filter(row => !ids.has(row.id))).toEqual([])
  })
  it('knows the number of a form, and of what has none', () =>
    expect([
      iso6520Of('crack', 'crater'),
      iso6520Of('crack'),
      iso6520Of('lap'),
      iso6520Of('undercut', 'nonsense'),
    ]).toEqual(['104', '100', null, '5011']))
})
