import type { DiscontinuityId, PadPosition, PlateKind, Polarity, Travel } from '../trade'

export type Degree = 'sound' | 'workable' | 'poor'
export type Hand = 'right' | 'left'
export type Side = 'upper' | 'lower' | 'both'
export type TryKind = 'start' | 'restart' | 'tie-in' | 'end'

/** Settings of one coupon, as on the slip that comes with it. Current in A, diameter in mm. */
export interface Ticket {
  /** The rung of the school's ladder this coupon is run for, in the school's words. */
  readonly rung: string
  readonly position: PadPosition
  readonly classification: string
  readonly diameterMm: number
  readonly rods: 'new' | 'stubs'
  readonly currentA: number
  readonly polarity: Polarity
  readonly hand: Hand
  readonly travel: Travel
  readonly booth: number | null
  /** Hours a low-hydrogen rod had been out of its oven; absent when nobody said. */
  readonly hoursOut?: number
}

/** A flat practice plate; beads run along its length, the first one nearest the lower edge. */
export interface PlatePiece {
  readonly kind: PlateKind
  readonly lengthMm: number
  readonly widthMm: number
  readonly thicknessMm: number
  /** On an arc-strike plate the length of each run, on a restart strip the way from one restart to the next; absent on a pad. */
  readonly everyMm?: number
}

/** A lane on the plate. `offsetMm` is its centre line above the lower edge. */
export interface Bead {
  readonly id: string
  readonly offsetMm: number
  readonly widthMm: number
  readonly fromMm: number
  readonly toMm: number
  /** Arc time of the bead by the stopwatch, s; absent when it was not timed. */
  readonly arcSeconds?: number
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
}

/** A gauge reading of bead width or height. */
export interface ReadingMark extends OnBead {
  readonly kind: 'reading'
  readonly of: 'width' | 'height'
  readonly valueMm: number
}

export type Mark = TryMark | FlawMark | ReadingMark

export type Verdict = 'move on' | 'run it again' | 'start over'

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
  readonly piece: PlatePiece
  readonly ticket: Ticket
  readonly beads: readonly Bead[]
  readonly marks: readonly Mark[]
  /** Slag and spatter left on the whole piece. */
  readonly cleanUp: Degree
  readonly notes: string
  /** What the student was told to change; null until the instructor changes the proposed words. */
  readonly nextRun: string | null
  /** An instructor's own verdict over the computed one; both are kept. */
  readonly overrule: { readonly verdict: Verdict, readonly reason: string } | null
}

export const isTry = (mark: Mark): mark is TryMark => mark.kind !== 'flaw' && mark.kind !== 'reading'
export const isFlaw = (mark: Mark): mark is FlawMark => mark.kind === 'flaw'
export const isReading = (mark: Mark): mark is ReadingMark => mark.kind === 'reading'
