import { describe, expect, it } from 'vitest'
import { isFlaw, isTry } from '../coupon'
import { DEFAULT_HOUSE_RULES as rules } from '../house'
import { seededRandom } from '../statistics'
import { answered, metBy, ON_A_SHOWN_PAD, saidUnasked, weldAsShown, type Technique } from '.'

const many = (technique: Technique) => {
  const random = seededRandom(17)
  return Array.from({ length: 60 }, () => weldAsShown(technique, rules, random))
}
const flaws = (technique: Technique, flaw: string) =>
  many(technique).reduce((sum, { marks }) => sum + marks.filter(isFlaw).filter(mark => mark.flaw === flaw).length, 0)
const faults = (technique: Technique, fault: string) =>
  many(technique).reduce((sum, { marks }) => sum + marks.filter(isTry).filter(mark => mark.fault === fault).length, 0)

describe('a pad by the law of the shown bead', () => {
  it.each([
    ['current high', 'spatter'],
    ['travel fast', 'undercut'],
    ['travel slow', 'overlap'],
    ['damp rod', 'porosity'],
    ['bracing', 'crooked'],
    ['unsteady feed', 'irregular width'],
    ['not cleaned', 'slag'],
    ['strike', 'arc strike'],
  ] as const)('%s shows as %s, many times as often as a right hand', (cause, flaw) =>
    expect(flaws({ [cause]: 1.2 }, flaw)).toBeGreaterThan(3 * flaws({}, flaw)),
  )
  it.each([
    ['too long in crater', 'high'],
    ['too short in crater', 'low'],
    ['crater left', 'crater'],
    ['strike', 'lump'],
  ] as const)('%s shows as %s', (cause, fault) =>
    expect(faults({ [cause]: 1.2 }, fault)).toBeGreaterThan(3 * faults({}, fault)),
  )
  it('marks more for every cause that it draws than for a right hand', () => {
    const marked = (technique: Technique) =>
      many(technique).reduce((sum, { marks }) => {
        return sum + marks.filter(mark => isFlaw(mark) || (isTry(mark) && mark.degree !== 'sound')).length
      }, 0)
    const right = marked({})
    for (const [cause] of ON_A_SHOWN_PAD.filter(([id]) => id !== 'arc short'))
      expect(marked({ [cause]: 1.4 }), cause).toBeGreaterThan(1.2 * right)
  })
})

describe('what a student says', () => {
  const share = (technique: Technique, sign: Parameters<typeof answered>[1]) => {
    const random = seededRandom(3)
    return Array.from({ length: 400 }, () => metBy(technique, random)).filter(met => met.has(sign)).length / 400
  }
  it('follows from what was at work, and is little without it', () => {
    expect(share({ 'arc long': 1.2 }, 'arc fluttered')).toBeGreaterThan(0.4)
    expect(share({}, 'arc fluttered')).toBeLessThan(0.08)
    expect(share({ 'current low': 1.2 }, 'puddle sluggish')).toBeGreaterThan(0.3)
    expect(share({ 'gap wide': 1.2 }, 'keyhole grew')).toBeGreaterThan(0.5)
  })
  it('is said unasked only of what the piece can tell, and answered truly most of the time', () => {
    const random = seededRandom(8)
    const met = new Set(['keyhole grew', 'arc fluttered'] as const)
    for (let n = 0; n < 50; n++) expect(saidUnasked(met, ['arc fluttered'], random)).not.toContain('keyhole grew')
    const yes = Array.from({ length: 400 }, () => answered(met, 'arc fluttered', random)).filter(one => one === 'yes')
    const wrong = Array.from({ length: 400 }, () => answered(met, 'rod glows', random)).filter(one => one === 'yes')
    expect(yes.length / 400).toBeGreaterThan(0.78)
    expect(wrong.length / 400).toBeLessThan(0.22)
  })
})
