import type { LengthUnit } from '../units'
import { inches } from '../units'

/**
 * A school's own figures. Lengths are millimetres, angles degrees, shares 0 to 1.
 * Defaults are common practice; each can be changed by the school.
 */
export interface HouseRules {
  readonly unit: LengthUnit
  /** Width wanted of a stringer on a pad: from `low` to `high`; as multiples of the rod's core diameter, or as lengths. */
  readonly beadWidth:
    | { readonly by: 'core diameter', readonly low: number, readonly high: number }
    | { readonly by: 'length', readonly lowMm: number, readonly highMm: number }
  /** How far a width reading may stray from the coupon's mean. */
  readonly widthEvenMm: number
  readonly heightMm: { readonly low: number, readonly high: number }
  /** Share of the last bead that the next one covers. */
  readonly overlap: { readonly low: number, readonly high: number }
  /** Greatest step off the line in `perMm` of bead. */
  readonly straight: { readonly offMm: number, readonly perMm: number }
  /** Undercut deeper than this is not accepted at all. */
  readonly undercutDepthMm: number
  /** Share of the welded length that shallow undercut may take before the coupon is run again. */
  readonly undercutShare: number
  /** An end must be at full height to within this of the edge. */
  readonly endWithinMm: number
  /** What is left of a rod when it is put down. */
  readonly stubMm: number
  /** Shares of sound work that a coupon needs to move on. */
  readonly pass: {
    readonly starts: number
    readonly restarts: number
    readonly tieIns: number
    readonly run: number
    readonly ends: number
    readonly toes: number
  }
  /** Sound coupons in a row before a rung is signed off. */
  readonly goodInARow: number
}

/**
 * The rules a school starts with. Source: common practice, except where a line says otherwise.
 */
export const DEFAULT_HOUSE_RULES: HouseRules = {
  unit: 'in',
  beadWidth: { by: 'core diameter', low: 1.5, high: 2 },
  widthEvenMm: inches(1 / 16),
  heightMm: { low: inches(1 / 16), high: inches(1 / 8) },
  overlap: { low: 0.3, high: 0.5 },
  straight: { offMm: inches(1 / 16), perMm: inches(6) },
  undercutDepthMm: inches(1 / 32),
  undercutShare: 0.05,
  endWithinMm: inches(1 / 8),
  stubMm: inches(2),
  pass: { starts: 0.8, restarts: 0.8, tieIns: 0.8, run: 0.9, ends: 0.75, toes: 0.9 },
  goodInARow: 3,
}

/**
 * The bead width a rod should give, in millimetres.
 * @param coreMm core diameter of the rod, mm
 * @example wantedWidth(DEFAULT_HOUSE_RULES, 3.175) // { lowMm: 4.7625, highMm: 6.35 }
 */
export function wantedWidth(rules: HouseRules, coreMm: number): { lowMm: number, highMm: number } {
  const { beadWidth } = rules
  if (beadWidth.by === 'length') return { lowMm: beadWidth.lowMm, highMm: beadWidth.highMm }
  return { lowMm: beadWidth.low * coreMm, highMm: beadWidth.high * coreMm }
}
