import { isFlaw, isGauge, isPlate, type CouponDocument, type GaugeMark, type Verdict } from '../coupon'
import type { HouseRules } from '../house'
import { formatLength, over, under, SAME_SHARE } from '../units'
import { elementOf, type ElementId } from './elements'
import { laidBeads, type Measures } from './measures'
import { offSize, sayLimit, sizeLimit } from './sizeLimits'

/** One thing found against a coupon. `weight` orders reasons; the marks show where to look. */
export interface Reason {
  readonly verdict: Exclude<Verdict, 'move on'>
  readonly weight: number
  readonly text: string
  readonly markIds: readonly string[]
}

type PassKey = keyof HouseRules['pass']

const SHARES: readonly { element: ElementId; rule: PassKey; say: (bad: number, tried: number) => string }[] = [
  { element: 'restart', rule: 'restarts', say: (bad, tried) => `${bad} of ${tried} restarts not sound` },
  { element: 'start', rule: 'starts', say: (bad, tried) => `${bad} of ${tried} starts not sound` },
  { element: 'tie-in', rule: 'tieIns', say: (bad, tried) => `${bad} of ${tried} tie-ins not sound` },
  { element: 'ends', rule: 'ends', say: (bad, tried) => `${bad} of ${tried} ends not sound` },
]

/**
 * What the house's criteria find against a coupon, heaviest first; empty when there is nothing.
 * A crack or a hole means starting over; everything else, running it again.
 * Source: house rules (common practice); cracks are never accepted under any visual criteria.
 * @example judge(measureCoupon(document, rules), document, rules)[0].text // '3 of 8 restarts not sound'
 */
export function judge(measures: Measures, document: CouponDocument, rules: HouseRules): Reason[] {
  const reasons: Reason[] = [
    ...unsafe(measures),
    ...notFused(document, rules),
    ...undercut(measures, document, rules),
    ...strikes(measures, document, rules),
    ...sizes(document, rules),
  ]
  for (const { element, rule, say } of SHARES) {
    const measure = measures.elements.find(row => row.element === element)!
    const share = measure.tried === 0 ? 1 : measure.sound / measure.tried
    if (under(share, rules.pass[rule], SAME_SHARE))
      reasons.push(
        again(
          elementOf(element).weight * (1 - share),
          say(measure.tried - measure.sound, measure.tried),
          measure.markIds,
        ),
      )
  }
  for (const [element, rule, what] of [
    ['run', 'run', 'of bead not sound'],
    ['root', 'run', 'of root side not sound'],
    ['toes', 'toes', 'of toe not wetted in'],
  ] as const) {
    const measure = measures.elements.find(row => row.element === element)!
    const share = measure.tried === 0 ? 1 : measure.sound / measure.tried
    if (under(share, rules.pass[rule], SAME_SHARE))
      reasons.push(
        again(
          elementOf(element).weight * (1 - share),
          `${formatLength(measure.tried - measure.sound, rules.unit)} ${what}`,
          measure.markIds,
        ),
      )
  }
  for (const [element, what] of [
    ['overlap', 'laps between beads off'],
    ['straightness', 'beads crooked'],
    ['width', 'beads uneven in width'],
  ] as const) {
    const measure = measures.elements.find(row => row.element === element)!
    const bad = measure.tried - measure.sound - measure.workable
    if (measure.tried > 0 && bad > measure.tried / 4)
      reasons.push(
        again(elementOf(element).weight * (bad / measure.tried), `${bad} of ${measure.tried} ${what}`, measure.markIds),
      )
  }
  return reasons.sort((a, b) => b.weight - a.weight)
}

function again(weight: number, text: string, markIds: readonly string[]): Reason {
  return { verdict: 'run it again', weight, text, markIds }
}

function unsafe(measures: Measures): Reason[] {
  const found: Reason[] = []
  if (measures.cracks.length > 0)
    found.push({
      verdict: 'start over',
      weight: 100,
      text: 'Cracked: a crack is never acceptable',
      markIds: measures.cracks,
    })
  if (measures.burnThroughs.length > 0)
    found.push({ verdict: 'start over', weight: 90, text: 'Burnt through', markIds: measures.burnThroughs })
  return found
}

/** What is not fused is run again, however little of it: no code book accepts it. */
function notFused({ marks }: CouponDocument, { unit }: HouseRules): Reason[] {
  const open = marks.filter(isFlaw).filter(mark => mark.flaw === 'incomplete fusion' && mark.severity > 1)
  if (open.length === 0) return []
  const lengthMm = open.reduce((sum, { atMm, toMm }) => sum + toMm - atMm, 0)
  return [
    again(
      3,
      `${formatLength(lengthMm, unit)} not fused: no code accepts it`,
      open.map(mark => mark.id),
    ),
  ]
}

/** A stray strike is counted on practice and never accepted on a mock test, or never at all, as the house has it. */
function strikes({ strayStrikes }: Measures, document: CouponDocument, rules: HouseRules): Reason[] {
  if (strayStrikes.length === 0 || (!document.mock && rules.ways.arcStrikes === 'on practice')) return []
  return [
    again(
      1.5,
      `${strayStrikes.length} ${strayStrikes.length === 1 ? 'arc strike' : 'arc strikes'} outside the joint`,
      strayStrikes,
    ),
  ]
}

function padHeights(off: readonly GaugeMark[], document: CouponDocument, rules: HouseRules): Reason[] {
  const [beads, laid] = [new Set(off.map(mark => mark.beadId)).size, laidBeads(document).length]
  if (beads <= laid / 4) return []
  const wanted = sayLimit(sizeLimit(document, off[0]!, rules)!, rules.unit)
  const ids = off.map(mark => mark.id)
  return [
    again(elementOf('size').weight * (beads / laid), `${beads} of ${laid} beads off in height, wants ${wanted}`, ids),
  ]
}

/** Readings outside what they may be: each on a joint; on a pad, where too many beads are of another height. */
function sizes(document: CouponDocument, rules: HouseRules): Reason[] {
  const off = document.marks.filter(isGauge).filter(mark => offSize(document, mark, rules))
  if (isPlate(document.piece)) return padHeights(off, document, rules)
  return off.map(mark => {
    const name = `${mark.of[0]!.toUpperCase()}${mark.of.slice(1)}`
    return again(
      2,
      `${name} ${formatLength(mark.valueMm, rules.unit)}, wants ${sayLimit(sizeLimit(document, mark, rules)!, rules.unit)}`,
      [mark.id],
    )
  })
}

function undercut(measures: Measures, document: CouponDocument, rules: HouseRules): Reason[] {
  const marks = document.marks.filter(mark => mark.kind === 'flaw' && mark.flaw === 'undercut')
  const deep = marks.filter(mark => mark.kind === 'flaw' && over(mark.sizeMm ?? 0, rules.undercutDepthMm))
  if (deep.length > 0)
    return [
      again(
        5,
        `Undercut over ${formatLength(rules.undercutDepthMm, rules.unit)} deep`,
        deep.map(mark => mark.id),
      ),
    ]
  if (over(measures.undercutMm, rules.undercutShare * measures.weldedMm))
    return [
      again(
        1,
        `${formatLength(measures.undercutMm, rules.unit)} of undercut`,
        marks.map(mark => mark.id),
      ),
    ]
  return []
}
