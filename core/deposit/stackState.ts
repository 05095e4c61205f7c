import type { LaidBead, Surface } from './layBead'
import type { JointSection, JointShape } from './jointSection'
import type { PadPosition } from '../trade'

export type StackRole = 'root' | 'fill' | 'cap' | 'single'

/** How a joint is to be filled. Lengths mm. */
export interface StackPlanner {
  readonly shape: JointShape
  readonly position: PadPosition
  /** Core diameter of the rod that fills, and of the one that roots. */
  readonly coreMm: number
  readonly rootCoreMm: number
  /** Beads no wider than a stringer, in every position. */
  readonly stringersOnly: boolean
  /** Overlap on the last bead, a share. */
  readonly overlap: number
  /** How far under flush the fill stops. */
  readonly stopUnderMm: number
  /** How far the cap may go beyond each bevel edge. */
  readonly capBeyondMm: number
  readonly reinforcementMm: { readonly low: number; readonly high: number }
  /** Aims moved by hand: bead number, from 1, to mm from the middle. */
  readonly aims?: Readonly<Record<number, number>>
}

export interface StackBead extends LaidBead {
  readonly number: number
  readonly layer: number
  readonly role: StackRole
  /** A slot beside it is too narrow for the rod to reach the bottom of. */
  readonly tight: boolean
  /**
   * Where a tight bead should have been aimed instead, mm from the middle; null when it is not tight, or no aim is
   * better.
   */
  readonly betterAimMm: number | null
}

export interface StackPlan {
  readonly section: JointSection
  readonly beads: readonly StackBead[]
  readonly layers: readonly { readonly role: StackRole; readonly beads: number }[]
  /** Deepest place under flush before the cap, mm. */
  readonly underFlushMm: number
  /** How far the cap lies beyond the edges, mm; less than 0 when an edge is left open. */
  readonly beyondLeftMm: number
  readonly beyondRightMm: number
  readonly reinforcementMm: number
  /** Legs of a fillet, mm; null for a groove. */
  readonly legsMm: readonly [lower: number, upper: number] | null
  /** Metal in all beads, mm². */
  readonly areaMm2: number
}

/** A stack as far as it is built. */
export interface StackState {
  readonly planner: StackPlanner
  readonly section: JointSection
  readonly surface: Surface
  readonly beads: readonly StackBead[]
  readonly layers: readonly { readonly role: StackRole; readonly beads: number }[]
  readonly underFlushMm?: number
}

/** How far the beads reach to their farther side, and to their nearer one, mm from the middle. */
export const longerReach = ({ beads }: StackState) =>
  Math.max(-Math.min(...beads.map(bead => bead.fromMm)), Math.max(...beads.map(bead => bead.toMm)))
export const shorterReach = ({ beads }: StackState) =>
  Math.min(-Math.min(...beads.map(bead => bead.fromMm)), Math.max(...beads.map(bead => bead.toMm)))
