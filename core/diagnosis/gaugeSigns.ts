import type { CouponDocument, GaugeKind, GaugeMark } from '../coupon'
import { isGauge, isPlate } from '../coupon'
import { laps, SAME_GAUGED_MM, sizeLimit, straightness } from '../grading'
import { wantedWidth, type HouseRules } from '../house'
import { mean } from '../statistics'
import { inches, over, SAME_SHARE, under } from '../units'
import { laid, onBeads, type Sign } from './sign'
import type { SignId } from './signTable'

/** Legs that differ by more than this are uneven, mm. Common practice: 1/16 in. */
const EVEN_LEGS_MM = inches(1 / 16)

const LEGS = ['upper leg', 'lower leg'] as const
const legsIn = ({ marks }: CouponDocument, of: (typeof LEGS)[number]) => marks.filter(isGauge).filter(m => m.of === of)

/** Whether one leg of a fillet was gauged longer than the other. */
function legsUneven(document: CouponDocument): boolean {
  const [upper, lower] = LEGS.map(of => legsIn(document, of).map(mark => mark.valueMm)) as [number[], number[]]
  return upper.length > 0 && lower.length > 0 && over(Math.abs(mean(upper) - mean(lower)), EVEN_LEGS_MM)
}

function legSigns(document: CouponDocument): Sign[] {
  const both = LEGS.flatMap(of => legsIn(document, of))
  return legsUneven(document)
    ? [{ id: 'uneven legs', markIds: both.map(mark => mark.id), share: Math.min(1, (GAUGED * both.length) / 2) }]
    : []
}

/** The signs that readings outside their limits are. */
export const gaugeSigns = (document: CouponDocument, rules: HouseRules): Sign[] => [
  ...legSigns(document),
  ...widthSigns(document, rules),
  ...sizeSigns(document, rules),
  ...lineSigns(document, rules),
]

/** Widths of one bead that differ by more than this are uneven, mm. Common practice: 1/8 in. */
const EVEN_WIDTH_MM = inches(1 / 8)

/** The beads that were gauged wide in one place and narrow in another. */
function unevenBeads(widths: readonly GaugeMark[]): ReadonlySet<string> {
  const of = (beadId: string) => widths.filter(mark => mark.beadId === beadId).map(mark => mark.valueMm)
  const spread = (values: readonly number[]) => Math.max(...values) - Math.min(...values)
  return new Set(widths.map(mark => mark.beadId).filter(id => !under(spread(of(id)), EVEN_WIDTH_MM)))
}

function widthSigns(document: CouponDocument, rules: HouseRules): Sign[] {
  if (!isPlate(document.piece)) return []
  const { lowMm, highMm } = wantedWidth(rules, document.ticket.diameterMm)
  const all = document.marks.filter(isGauge).filter(mark => mark.of === 'width')
  const uneven = unevenBeads(all)
  // A bead that is wide here and narrow there is neither: it was not fed evenly.
  const widths = all.filter(mark => !uneven.has(mark.beadId))
  return [
    ...onBeads(
      document,
      'width uneven',
      all.filter(mark => uneven.has(mark.beadId)),
    ),
    ...onBeads(
      document,
      'wide',
      widths.filter(mark => over(mark.valueMm, highMm)),
    ),
    ...onBeads(
      document,
      'narrow',
      widths.filter(mark => under(mark.valueMm, lowMm)),
    ),
  ]
}

/** One place that was gauged, as a share of a piece: a gauge is not laid on by a slip. Common practice. */
const GAUGED = 0.35

/** What a gauge finds too much or too little of, as the sign that a mark of it would be. */
const TOO_MUCH: Readonly<Partial<Record<GaugeKind, SignId>>> = {
  width: 'wide',
  height: 'too high',
  convexity: 'too high',
  penetration: 'root heavy',
}
const TOO_LITTLE: Readonly<Partial<Record<GaugeKind, SignId>>> = {
  'width': 'narrow',
  'height': 'too low',
  'throat': 'too low',
  'upper leg': 'too low',
  'lower leg': 'too low',
}

/** Whether what was gauged has a width of its own to be held to: a bead of a pad, or a cap that is one pass. */
export function hasOwnWidth({ piece, beads, passes = [] }: CouponDocument, { beadId }: GaugeMark): boolean {
  if (isPlate(piece)) return true
  const pass = passes.find(one => one.id === beads.find(bead => bead.id === beadId)?.passId)
  const beside = passes.filter(one => one.face === pass?.face && one.layer === pass.layer)
  return pass?.role === 'cap' && beside.length === 1
}

/** Readings outside their limits are signs, like what is marked by eye. */
function sizeSigns(document: CouponDocument, rules: HouseRules): Sign[] {
  const found = new Map<SignId, GaugeMark[]>()
  const uneven = legsUneven(document)
  for (const mark of document.marks.filter(isGauge)) {
    const limit = sizeLimit(document, mark, rules)
    if (!limit || (mark.of === 'width' && !hasOwnWidth(document, mark))) continue
    const tooMuch = limit.highMm !== null && over(mark.valueMm, limit.highMm, SAME_GAUGED_MM) && TOO_MUCH[mark.of]
    // A leg that is short beside a long one lies off the bisector: nothing is thin.
    const besideALong = uneven && (mark.of === 'upper leg' || mark.of === 'lower leg')
    const tooLittle =
      !besideALong && limit.lowMm !== null && under(mark.valueMm, limit.lowMm, SAME_GAUGED_MM) && TOO_LITTLE[mark.of]
    const sign = tooMuch || tooLittle
    if (sign) found.set(sign, [...(found.get(sign) ?? []), mark])
  }
  return [...found].flatMap(([id, marks]) =>
    id === 'root heavy'
      ? [{ id, markIds: marks.map(mark => mark.id), share: Math.min(1, GAUGED * marks.length) }]
      : onBeads(document, id, marks),
  )
}

/** Beads that are off the line, and laps that are off, as they were gauged. */
function lineSigns(document: CouponDocument, rules: HouseRules): Sign[] {
  const rowOf = (id: SignId, off: readonly { readonly markIds: readonly string[] }[]): Sign[] =>
    off.length === 0
      ? []
      : [{ id, markIds: off.flatMap(row => row.markIds), share: off.length / laid(document).length }]
  return [
    ...rowOf(
      'crooked',
      straightness(document, rules).filter(row => over(row.offMm, rules.straight.offMm)),
    ),
    ...rowOf(
      'lap off',
      laps(document).filter(
        row => under(row.share, rules.overlap.low, SAME_SHARE) || over(row.share, rules.overlap.high, SAME_SHARE),
      ),
    ),
  ]
}
