import { describe, expect, it } from 'vitest'
import { isFlaw, isGauge, isTry, type CouponDocument } from '../coupon'
import { DEFAULT_HOUSE_RULES as rules } from '../house'
import { CAUSES } from '../diagnosis'
import { drawTechnique, weldWith, type Technique } from '.'
import { seededRandom } from '../statistics'

const COUPONS = 60
const many = (technique: Technique): CouponDocument[] => {
  const random = seededRandom(11)
  return Array.from({ length: COUPONS }, () => weldWith(technique, rules, random))
}
const flaws = (technique: Technique, flaw: string, side?: string) =>
  many(technique).reduce(
    (sum, { marks }) =>
      sum +
      marks.filter(isFlaw).filter(mark => mark.flaw === flaw && (side === undefined || mark.side === side)).length,
    0,
  )
const faults = (technique: Technique, fault: string) =>
  many(technique).reduce((sum, { marks }) => sum + marks.filter(isTry).filter(mark => mark.fault === fault).length, 0)
const width = (technique: Technique) => {
  const read = many(technique).flatMap(({ marks }) => marks.filter(isGauge).map(mark => mark.valueMm))
  return read.reduce((sum, mm) => sum + mm, 0) / read.length
}

// Bead shapes and what they say: common practice, as manuals agree.
describe('what a technique does to a bead', () => {
  it('too hot and too slow widen it, too cold and too fast narrow it', () => {
    const right = width({})
    expect(width({ 'current high': 1 })).toBeGreaterThan(right * 1.1)
    expect(width({ 'travel slow': 1 })).toBeGreaterThan(right * 1.1)
    expect(width({ 'arc long': 1 })).toBeGreaterThan(right * 1.1)
    expect(width({ 'current low': 1 })).toBeLessThan(right * 0.9)
    expect(width({ 'travel fast': 1 })).toBeLessThan(right * 0.9)
  })
  it.each([
    ['arc long', 'spatter'],
    ['arc long', 'porosity'],
    ['current high', 'undercut'],
    ['travel fast', 'undercut'],
    ['travel fast', 'underfill'],
    ['travel slow', 'overlap'],
    ['current low', 'excess weld metal'],
    ['travel angle', 'overlap'],
    ['not cleaned', 'slag'],
    ['bracing', 'crooked'],
    ['aim', 'lap'],
    ['unsteady feed', 'irregular width'],
    ['damp rod', 'porosity'],
    ['strike', 'arc strike'],
  ] as const)('%s shows as %s, many times as often as a right hand', (cause, flaw) =>
    expect(flaws({ [cause]: 1.2 }, flaw)).toBeGreaterThan(3 * flaws({}, flaw)),
  )
  it('a work angle that is off eats one toe, a long arc both', () => {
    expect(flaws({ 'work angle': 1.2 }, 'undercut', 'upper')).toBeGreaterThan(
      4 * flaws({ 'arc long': 1.2 }, 'undercut', 'upper'),
    )
    expect(flaws({ 'arc long': 1.2 }, 'undercut', 'both')).toBeGreaterThan(
      4 * flaws({ 'work angle': 1.2 }, 'undercut', 'both'),
    )
  })
  it.each([
    ['too long in crater', 'high'],
    ['too short in crater', 'low'],
    ['crater left', 'crater'],
    ['ends', 'low'],
    ['strike', 'lump'],
    ['damp rod', 'pinholes'],
  ] as const)('%s shows as %s', (cause, fault) => {
    expect(faults({ [cause]: 1.2 }, fault)).toBeGreaterThan(3 * faults({}, fault))
  })
  it('a hot plate shows from bead to bead, and the current is read off the ticket', () => {
    const late = many({ 'plate hot': 1.4 }).flatMap(({ marks }) =>
      marks
        .filter(isFlaw)
        .filter(mark => mark.flaw === 'undercut')
        .map(mark => Number(mark.beadId.slice(1))),
    )
    expect(late.filter(bead => bead > 3).length).toBeGreaterThan(4 * late.filter(bead => bead <= 3).length)
    const current = (technique: Technique) =>
      many(technique).reduce((sum, { ticket }) => sum + ticket.currentA, 0) / COUPONS
    expect(current({ 'current high': 1 })).toBeGreaterThan(current({}) + 15)
  })
})

it('draws one to three things that are wrong, each of them a cause that is kept, the same from one seed', () => {
  const random = seededRandom(3)
  const known = new Set<string>(CAUSES.map(cause => cause.id))
  for (let n = 0; n < 200; n++) {
    const drawn = Object.entries(drawTechnique(random))
    expect(drawn.length >= 1 && drawn.length <= 3).toBe(true)
    for (const [id, off] of drawn) expect(known.has(id) && off >= 0.6 && off <= 1.6).toBe(true)
  }
  expect(weldWith({ 'arc long': 1 }, rules, seededRandom(5))).toEqual(
    weldWith({ 'arc long': 1 }, rules, seededRandom(5)),
  )
})
