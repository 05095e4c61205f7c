import type { Currency, LengthUnit } from '../units'
import { inches } from '../units'
import { liftWays } from './earlierWays'
import { DEFAULT_WAYS, type Ways } from './ways'

/** From `low` to `high`, both ends allowed. */
export interface Between {
  readonly low: number
  readonly high: number
}

/**
 * A current window that a school runs in place of the published one, A: of one make of rod, or of all that have none of
 * their own.
 */
export interface WindowOverride {
  readonly classification: string
  /** As printed on the box; absent for any make. */
  readonly make?: string
  readonly diameterMm: number
  readonly position: '1G' | '2G' | '3G' | '4G'
  readonly lowA: number
  readonly highA: number
}

/** Longest side that a school may set for its pictures, px: enough to measure a bead by, and no more than a screen. */
export const PICTURE_PX = { least: 800, most: 2400 } as const

/**
 * A school's own figures and ways. Lengths are millimetres, angles degrees, shares 0 to 1.
 * Defaults are common practice; each can be changed by the school.
 */
export interface HouseRules {
  readonly unit: LengthUnit
  /** What the prices of rods are in. */
  readonly currency: Currency
  /**
   * Width wanted of a stringer on a pad: from `low` to `high`; as multiples of the rod's core diameter, or as
   * lengths.
   */
  readonly beadWidth:
    | { readonly by: 'core diameter'; readonly low: number; readonly high: number }
    | { readonly by: 'length'; readonly lowMm: number; readonly highMm: number }
  /** How far a width reading may stray from the coupon's mean. */
  readonly widthEvenMm: number
  readonly heightMm: Between
  /** Share of the last bead that the next one covers. */
  readonly overlap: Between
  /** Greatest step off the line in `perMm` of bead. */
  readonly straight: { readonly offMm: number; readonly perMm: number }
  /** How near a sound restart comes to the bead it joins. */
  readonly restartWithin: { readonly heightMm: number; readonly widthMm: number; readonly lineMm: number }
  /** Undercut deeper than this is not accepted at all. */
  readonly undercutDepthMm: number
  /** Share of the welded length that shallow undercut may take before the coupon is run again. */
  readonly undercutShare: number
  /** An end must be at full height to within this of the edge. */
  readonly endWithinMm: number
  /**
   * How far under flush a groove's fill stops, how far its cap may go beyond each bevel edge, and how high it
   * stands.
   */
  readonly stopUnderMm: number
  readonly capBeyondMm: number
  readonly reinforcementMm: Between
  /** What is left of a rod when it is put down. */
  readonly stubMm: number
  /** Longest arc, as multiples of the core diameter. */
  readonly arcCores: number
  /** Arc force, as a percentage of the machine's scale. */
  readonly arcForcePercent: Between
  /** The same where the arc is held very tight, above all overhead. */
  readonly arcForceTightPercent: Between
  /** What the house's machines can be set to, as they mark it. */
  readonly arcForceScale: Between
  /** Travel angles from square: drag flat, horizontal and on fillets, push vertical up, drag overhead. */
  readonly dragFlatDegrees: Between
  readonly dragFilletDegrees: Between
  readonly pushVerticalDegrees: Between
  readonly dragOverheadDegrees: Between
  /** How far a horizontal rod points up, from square. */
  readonly upHorizontalDegrees: Between
  /** How far vertical up and overhead run under the flat current, A. */
  readonly verticalUnderFlatA: Between
  readonly overheadUnderFlatA: Between
  /** How long a low-hydrogen rod may be out of the oven, hours. */
  readonly exposureHours: number
  /** The days that the rods in store are to last: what is likely to be burnt in them is where more are bought. */
  readonly rodsLastDays: number
  /** The days after which a clamp meter is held to each machine again. */
  readonly clampDays: number
  /** Current windows that the school runs in place of the published ones. */
  readonly windows: readonly WindowOverride[]
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
  /** The days after which a coupon counts half of what it did, for how skilled a student is. */
  readonly halfLifeDays: number
  /** How many class days in a row the same drill may be proposed. */
  readonly sameDrillDays: number
  /** Share of simulated attempts that go well before a student is sent to a test. */
  readonly targetOdds: number
  /** Longest side of a coupon's picture that is kept, px. */
  readonly pictureLongestPx: number
  /** How things are done here, where good welders differ. */
  readonly ways: Ways
}

/**
 * The rules a school starts with. Source: common practice, except where a line of the catalogue says otherwise.
 */
export const DEFAULT_HOUSE_RULES: HouseRules = {
  unit: 'in',
  currency: 'USD',
  beadWidth: { by: 'core diameter', low: 1.5, high: 2 },
  widthEvenMm: inches(1 / 16),
  heightMm: { low: inches(1 / 16), high: inches(1 / 8) },
  overlap: { low: 0.3, high: 0.5 },
  straight: { offMm: inches(1 / 16), perMm: inches(6) },
  restartWithin: { heightMm: inches(1 / 16), widthMm: inches(1 / 16), lineMm: inches(1 / 16) },
  undercutDepthMm: inches(1 / 32),
  undercutShare: 0.05,
  endWithinMm: inches(1 / 8),
  stopUnderMm: inches(1 / 16),
  capBeyondMm: inches(1 / 16),
  reinforcementMm: { low: inches(1 / 16), high: inches(1 / 8) },
  stubMm: inches(2),
  arcCores: 1,
  arcForcePercent: { low: 40, high: 60 },
  arcForceTightPercent: { low: 70, high: 100 },
  arcForceScale: { low: 0, high: 100 },
  dragFlatDegrees: { low: 10, high: 15 },
  dragFilletDegrees: { low: 10, high: 15 },
  pushVerticalDegrees: { low: 5, high: 10 },
  dragOverheadDegrees: { low: 0, high: 5 },
  upHorizontalDegrees: { low: 5, high: 10 },
  verticalUnderFlatA: { low: 10, high: 15 },
  overheadUnderFlatA: { low: 0, high: 0 },
  exposureHours: 4,
  rodsLastDays: 28,
  clampDays: 365,
  windows: [],
  pass: { starts: 0.8, restarts: 0.8, tieIns: 0.8, run: 0.9, ends: 0.75, toes: 0.9 },
  goodInARow: 3,
  halfLifeDays: 60,
  sameDrillDays: 2,
  targetOdds: 0.8,
  pictureLongestPx: 1600,
  ways: DEFAULT_WAYS,
}

/**
 * Rules saved before a line existed, completed with that line's default; ways that were kept by their words get their
 * ids.
 * @param kept as they were saved
 * @example completeRules({ ...old, overlap: { low: 0.5, high: 0.6 } }).arcCores // 1
 */
export function completeRules(kept: Partial<HouseRules>): HouseRules {
  return { ...DEFAULT_HOUSE_RULES, ...kept, ways: { ...DEFAULT_WAYS, ...(kept.ways && liftWays(kept.ways)) } }
}

/**
 * The bead width a rod should give, in millimetres.
 * @param coreMm core diameter of the rod, mm
 * @example wantedWidth(DEFAULT_HOUSE_RULES, 3.175) // { lowMm: 4.7625, highMm: 6.35 }
 */
export function wantedWidth(rules: HouseRules, coreMm: number): { lowMm: number; highMm: number } {
  const { beadWidth } = rules
  if (beadWidth.by === 'length') return { lowMm: beadWidth.lowMm, highMm: beadWidth.highMm }
  return { lowMm: beadWidth.low * coreMm, highMm: beadWidth.high * coreMm }
}
