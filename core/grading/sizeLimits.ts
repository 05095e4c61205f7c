import { filletThroat } from '../deposit'
import {
  hasGroove,
  isFilletPiece,
  isLastLayer,
  isPlate,
  stripOf,
  type CouponDocument,
  type GaugeKind,
  type GaugeMark,
} from '../coupon'
import type { HouseRules } from '../house'
import { HOUSE_WINDOW } from '../setup'
import type { Source } from '../trade'
import { formatLength, inches, type LengthUnit, over, under } from '../units'

/** What a reading may be, mm; an open end has no limit. */
export interface SizeLimit {
  readonly lowMm: number | null
  readonly highMm: number | null
  readonly source: Source
}

const WELDER_VISUAL: Source = { name: 'AWS D1.1:2020 6.10.1', certainty: 'from memory, check your copy' }
const PROFILE: Source = { name: 'AWS D1.1:2020 Table 7.8', certainty: 'from memory, check your copy' }

/**
 * Most that an open root may stand through, and be drawn in, mm. Source: AWS D1.1:2020 6.10.1 (2015 4.9.1), from
 * memory, check your copy.
 */
export const ROOT_LIMITS_MM = { through: inches(1 / 8), concave: inches(1 / 16) } as const

/**
 * A limit that steps with a width: up to `to` as printed in each unit, null for the last step. `under`: the width
 * itself belongs to the next step.
 */
export interface WidthStep {
  readonly to: { readonly in: number; readonly mm: number } | null
  readonly under: boolean
  readonly in: number
  readonly mm: number
}

/**
 * Convexity by width of face, as printed in inches and in millimetres. Source: AWS D1.1:2020 Table 7.8 (2015 Table
 * 5.9), from memory.
 */
export const CONVEXITY_STEPS: readonly WidthStep[] = [
  { to: { in: 5 / 16, mm: 8 }, under: false, in: 1 / 16, mm: 2 },
  { to: { in: 1, mm: 25 }, under: true, in: 1 / 8, mm: 3 },
  { to: null, under: false, in: 3 / 16, mm: 5 },
]

/**
 * The step that a width falls on.
 * @param unit which of the printed values is meant
 * @returns mm
 * @example stepOf(CONVEXITY_STEPS, 9, 'in') // 3.175
 */
export function stepOf(steps: readonly WidthStep[], widthMm: number, unit: LengthUnit): number {
  const step =
    steps.find(one => {
      const to = one.to === null ? Infinity : unit === 'in' ? inches(one.to.in) : one.to.mm
      return one.under ? under(widthMm, to) : !over(widthMm, to)
    }) ?? steps.at(-1)!
  return unit === 'in' ? inches(step.in) : step.mm
}

/**
 * Greatest convexity of a fillet by the width of its face: 1/16 in up to 5/16 in, 1/8 in under 1 in, 3/16 in from
 * there.
 * Source: AWS D1.1:2020 Table 7.8 (2015 Table 5.9), from memory.
 * @param faceMm width of the face, mm
 * @returns mm
 * @example mostConvexity(9) // 3.175
 */
export const mostConvexity = (faceMm: number): number => stepOf(CONVEXITY_STEPS, faceMm, 'in')

/**
 * What a reading may be: the height of a pad's bead, and what a joint's own size allows; null where nothing is laid
 * down for it, as under the last layer.
 * @example sizeLimit(tee, { of: 'upper leg', ... }, rules).lowMm // 6.35 for a 1/4 in fillet
 */
export function sizeLimit(document: CouponDocument, { beadId, of }: GaugeMark, rules: HouseRules): SizeLimit | null {
  const { piece } = document
  const bead = document.beads.find(lane => lane.id === beadId)
  if (!bead) return null
  if (isPlate(piece))
    return of === 'height' ? { lowMm: rules.heightMm.low, highMm: rules.heightMm.high, source: HOUSE_WINDOW } : null
  if (bead.face === 'root')
    return of === 'penetration' ? { lowMm: 0, highMm: ROOT_LIMITS_MM.through, source: WELDER_VISUAL } : null
  if (!isLastLayer(document, bead)) return null
  if (isFilletPiece(piece)) return filletLimit(of, piece.legMm)
  if (!hasGroove(piece)) return null
  const [lower, upper] = stripOf(piece).lines
  const edgesMm = upper!.offsetMm - lower!.offsetMm
  if (of === 'width') return { lowMm: edgesMm, highMm: edgesMm + 2 * rules.capBeyondMm, source: HOUSE_WINDOW }
  return of !== 'height'
    ? null
    : { lowMm: rules.reinforcementMm.low, highMm: rules.reinforcementMm.high, source: HOUSE_WINDOW }
}

function filletLimit(of: GaugeKind, legMm: number): SizeLimit | null {
  if (of === 'upper leg' || of === 'lower leg') return { lowMm: legMm, highMm: null, source: WELDER_VISUAL }
  if (of === 'throat') return { lowMm: filletThroat(legMm), highMm: null, source: WELDER_VISUAL }
  return of === 'convexity' ? { lowMm: null, highMm: mostConvexity(legMm * Math.SQRT2), source: PROFILE } : null
}

/** A limit met exactly is met, in inches or in tenths of a millimetre: 3.2 mm is 1/8 in. */
export const SAME_GAUGED_MM = 0.03

/** Whether a reading lies outside what it may be. */
export function offSize(document: CouponDocument, mark: GaugeMark, rules: HouseRules): boolean {
  const limit = sizeLimit(document, mark, rules)
  return (
    limit !== null &&
    ((limit.lowMm !== null && mark.valueMm < limit.lowMm - SAME_GAUGED_MM) ||
      (limit.highMm !== null && mark.valueMm > limit.highMm + SAME_GAUGED_MM))
  )
}

/**
 * A limit in words.
 * @example sayLimit({ lowMm: 6.35, highMm: null, source }, 'in') // '1/4 in or more'
 */
export function sayLimit({ lowMm, highMm }: SizeLimit, unit: LengthUnit): string {
  if (lowMm !== null && highMm !== null && lowMm > 0)
    return `${formatLength(lowMm, unit)} to ${formatLength(highMm, unit)}`
  return highMm !== null ? `${formatLength(highMm, unit)} or less` : `${formatLength(lowMm ?? 0, unit)} or more`
}
