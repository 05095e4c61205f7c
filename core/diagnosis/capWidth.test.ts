import { describe, expect, it } from 'vitest'
import { newReading, putMark, stripOf, type CouponDocument } from '../coupon'
import { aJoint } from '../coupon/example'
import { DEFAULT_HOUSE_RULES } from '../house'
import { inches } from '../units'
import { diagnose, signsOf } from '.'

const rules = DEFAULT_HOUSE_RULES
const joint = aJoint()
const cap = joint.passes!.findLast(pass => pass.role === 'cap')!
/** The same joint with its cap laid in one pass, or as it is planned. */
const capped = (passes: number): CouponDocument => {
  const others = joint.passes!.filter(pass => pass.role !== 'cap')
  const caps = Array.from({ length: passes }, (_, n) => ({ ...cap, id: `cap${n}` }))
  const under = joint.beads.filter(bead => others.some(pass => pass.id === bead.passId))
  const laid = joint.beads.find(bead => bead.passId === cap.id)!
  return {
    ...joint,
    passes: [...others, ...caps],
    beads: [...under, ...caps.map(({ id }) => ({ ...laid, id: `${id}-lane`, passId: id }))],
    marks: [],
  }
}
const [lower, upper] = stripOf(joint.piece).lines
const edgesMm = upper!.offsetMm - lower!.offsetMm
const gauged = (document: CouponDocument, widthMm: number) =>
  putMark(document, newReading('w', 'width', { beadId: 'cap0-lane', atMm: inches(2) }, widthMm))
const seen = (document: CouponDocument) => signsOf(document, rules)

// A cap ends within 1/16 in beyond each bevel edge: the house’s rule. Wide is slow or hot, narrow is fast or cold.
describe('the gauged width of a cap', () => {
  it('is wide or narrow by the groove and the house’s rule, to the limit itself', () => {
    const ids = (widthMm: number) => seen(gauged(capped(1), widthMm)).signs.map(sign => sign.id)
    expect(ids(edgesMm)).toEqual([])
    expect(ids(edgesMm + inches(1 / 8))).toEqual([])
    expect(ids(edgesMm + inches(3 / 16))).toEqual(['wide'])
    expect(ids(edgesMm - inches(1 / 16))).toEqual(['narrow'])
  })
  it('that is right speaks against what would make it wide', () =>
    expect(seen(gauged(capped(1), edgesMm + 1)).absent).toEqual(expect.arrayContaining(['wide', 'narrow'])))
  it('leads to its causes, where nothing is marked by eye', () => {
    const lead = (widthMm: number) => diagnose(gauged(capped(1), widthMm), rules).causes[0]!.cause
    expect(lead(edgesMm + inches(3 / 8)).shows.wide).toBeGreaterThan(0.5)
    expect(lead(edgesMm - inches(1 / 8)).shows.narrow).toBeGreaterThan(0.3)
  })
  it('says nothing of one of several beads of a cap', () => {
    const two = seen(gauged(capped(2), edgesMm / 2))
    expect(two.signs).toEqual([])
    expect(two.absent).not.toContain('wide')
  })
})
