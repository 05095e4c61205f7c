import type { FitUp } from '../setup'
import type { DiscontinuityId, Polarity, PositionId, Travel } from '../trade'
import type { Face, Pass } from './pass'
import type { Piece } from './piece'

export type Degree = 'sound' | 'workable' | 'poor'
export type Hand = 'right' | 'left'
export type Side = 'upper' | 'lower' | 'both'
export type TryKind = 'start' | 'restart' | 'tie-in' | 'end'

/** Settings of one coupon, as on the slip that comes with it. Current in A, diameter in mm. */
export interface Ticket {
  /** The rung of the school's ladder this coupon is run for, in the school's words. */
  readonly rung: string
  /** Its id on that ladder: a rung that is renamed keeps its coupons. Absent for a rung of no ladder. */
  readonly rungId?: string
  readonly position: PositionId
  readonly classification: string
  readonly diameterMm: number
  /** As printed on the box: makes of one class differ by 5 to 15 A. Absent where it was not said. */
  readonly make?: string
  readonly rods: 'new' | 'stubs'
  /** As the panel showed it. */
  readonly currentA: number
  /** What the arc has more than that machine's panel says, A; absent where no clamp meter was held to it. */
  readonly panelOffsetA?: number
  readonly polarity: Polarity
  /** Percent of the machine's scale; absent where it was not looked at. */
  readonly arcForcePercent?: number
  readonly hand: Hand
  readonly travel: Travel
  readonly booth: number | null
  /** Hours a low-hydrogen rod had been out of its oven; absent where it was not said. */
  readonly hoursOut?: number
  /** The maker's lot of the rods, and how long such rods may be out, h; absent where they were not drawn by lot. */
  readonly lot?: { readonly makersLot: string; readonly hoursAllowed: number }
}

/**
 * A lane of weld. On a pad it is one bead; a pass of a joint is one lane, or two on a fixed pipe, a half each; the
 * root side of an open root
 * has a lane of its own. `offsetMm` is its centre line above the lower edge of the strip that is drawn.
 */
export interface Bead {
  readonly id: string
  readonly offsetMm: number
  readonly widthMm: number
  readonly fromMm: number
  readonly toMm: number
  /** The pass it is of, and the side it is seen on; absent on a plate. */
  readonly passId?: string
  readonly face?: Face
  /** Arc time of the bead by the stopwatch, s; absent when it was not timed. */
  readonly arcSeconds?: number
  /** Where the panel was turned while the bead was run, mm along the strip, and to what, A. Absent where it was not. */
  readonly turned?: { readonly atMm: number; readonly currentA: number }
}

interface OnBead {
  readonly id: string
  readonly beadId: string
  /** Distance from the plate's left (or lower) edge as drawn, mm. */
  readonly atMm: number
}

/** Something the welder tried once: a start, a restart, a tie-in, an end. */
export interface TryMark extends OnBead {
  readonly kind: TryKind
  readonly degree: Degree
  /** What is wrong with it, where the instructor said so. */
  readonly fault: string | null
  readonly rod: 'new' | 'stub'
}

/** A discontinuity at its place. A point has no length: `toMm` equals `atMm`. */
export interface FlawMark extends OnBead {
  readonly kind: 'flaw'
  readonly flaw: DiscontinuityId
  readonly toMm: number
  readonly side: Side | null
  /** 1 light, 2 plain, 3 bad. */
  readonly severity: 1 | 2 | 3
  readonly sizeMm: number | null
  /** Its kind, where it has kinds and it was said: a crack along, across or in the crater. */
  readonly form?: string
  /** Laid open by a bend: it lay inside, and no visual saw it. */
  readonly found?: 'bend'
}

/**
 * What a gauge reads: a bead or cap across and over the plate, its near toe from the edge the pad began at, a
 * fillet's legs, throat and convexity, and how far a root stands through.
 */
export type GaugeKind =
  'width' | 'edge to toe' | 'height' | 'upper leg' | 'lower leg' | 'throat' | 'convexity' | 'penetration'

/** A gauge reading at a place. */
export interface GaugeMark extends OnBead {
  readonly kind: 'reading'
  readonly of: GaugeKind
  readonly valueMm: number
}

export type Mark = TryMark | FlawMark | GaugeMark

export type Verdict = 'move on' | 'run it again' | 'start over'

/** What a student was told after one coupon, as it is asked about on the next. */
export interface ToldBefore {
  /** The coupon it was said of. */
  readonly couponId: string
  readonly says: string
  /** The cause it would put right, by its id; null where it was said for none. */
  readonly cause: string | null
  /** Whether the student did it; null while it was not asked. */
  readonly done: 'yes' | 'no' | null
}

/** The whole coupon, saved as it stands. Version 1. */
export interface CouponDocument {
  readonly schema: 1
  readonly studentId: string
  /** Local date of the class, ISO 8601. */
  readonly classDay: string
  /** Version of the house rules it is judged by. */
  readonly rulesVersion: number
  /** A mock test: run under test terms. */
  readonly mock: boolean
  readonly piece: Piece
  readonly ticket: Ticket
  /** The passes of a joint, in the order they are laid; absent on a plate, whose beads are all run by the ticket. */
  readonly passes?: readonly Pass[]
  /** How the joint was put together; absent where it was not kept. */
  readonly fitUp?: FitUp
  readonly beads: readonly Bead[]
  readonly marks: readonly Mark[]
  /** Slag and spatter left on the whole piece. */
  readonly cleanUp: Degree
  readonly notes: string
  /** What the student was asked and answered, by the sign it is about. */
  readonly answers?: Readonly<Record<string, 'yes' | 'no'>>
  /** The cause as the instructor saw it, by its id; absent where it was not said. */
  readonly trueCause?: string
  /** What was proposed when it was saved, by the odds of that day; absent before it is saved. */
  readonly advised?: string
  /** The cause that the proposed words would put right, by its id; absent where nothing was singled out. */
  readonly advisedCause?: string
  /** What was told after the coupon before, and whether it was done on this one; absent where nothing was. */
  readonly toldBefore?: ToldBefore
  /** What the student was told to change; null until the instructor changes the proposed words. */
  readonly nextRun: string | null
  /** An instructor's own verdict over the computed one; both are kept. */
  readonly overrule: { readonly verdict: Verdict; readonly reason: string } | null
}

export const isTry = (mark: Mark): mark is TryMark => mark.kind !== 'flaw' && mark.kind !== 'reading'
export const isFlaw = (mark: Mark): mark is FlawMark => mark.kind === 'flaw'
export const isGauge = (mark: Mark): mark is GaugeMark => mark.kind === 'reading'
