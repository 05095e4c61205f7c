import type { CouponDocument, Mark } from '../coupon'
import { inches } from '../units'
import { PLACES, strengthOn } from './strength'
import type { SignId } from './signTable'

/** A sign that was found, with the marks that show it. */
export interface Sign {
  readonly id: SignId
  readonly markIds: readonly string[]
  /** How much of the coupon shows it, 0 to 1: of its beads, or of its tries; 1 for what was answered. */
  readonly share: number
  /** Of a sign of starts, restarts or ends: how many were bad, of how many. */
  readonly tries?: { readonly bad: number; readonly of: number }
  /** Of a pattern that luck alone may make: how often it would, 0 to 1. */
  readonly byLuck?: number
  /** Only said, when the student was asked or unasked; nothing on the coupon shows it. */
  readonly told?: true
}

/** What was looked at: signs that were found, and those looked for and not found. */
export interface SeenSigns {
  readonly signs: readonly Sign[]
  readonly absent: readonly SignId[]
  /** Of these, what is missing by the student's word alone. */
  readonly denied?: readonly SignId[]
  /** How much bead there was to look at, in pads, at most 1 (`padsOf`); 1 where it is not said. */
  readonly pads?: number
}

/** The beads that were laid; a root side is looked at, not laid. */
export const laid = (document: CouponDocument) => document.beads.filter(bead => bead.face !== 'root')

/** Six beads of six inches, mm: what the chances of the tables are said of. */
const A_PAD_MM = 6 * inches(6)
/** Of less than half a bead nothing less is said. */
const LEAST_PADS = 1 / 12

/**
 * How much bead was laid, in pads of six beads, at most one: a short run shows less of what is wrong with it.
 * @example padsOf(filletOfThreeBeads) // 0.5
 */
export function padsOf(document: CouponDocument): number {
  const laidMm = laid(document).reduce((sum, { fromMm, toMm }) => sum + toMm - fromMm, 0)
  return Math.min(1, Math.max(LEAST_PADS, laidMm / A_PAD_MM))
}

/**
 * A sign on some marks, as a share of the coupon's beads: each counts by how strongly it shows there. One slip on a
 * fillet of one bead is one slip, not the whole of it.
 */
export function onBeads(document: CouponDocument, id: SignId, marks: readonly Mark[]): Sign[] {
  if (marks.length === 0) return []
  const beads = document.beads.filter(bead => marks.some(mark => mark.beadId === bead.id))
  const places = Math.max(PLACES, laid(document).length)
  const most = places / Math.max(1, laid(document).length)
  const strength = beads.reduce(
    (sum, bead) =>
      sum +
      strengthOn(
        bead,
        marks.filter(mark => mark.beadId === bead.id),
        most,
      ),
    0,
  )
  return [{ id, markIds: marks.map(mark => mark.id), share: Math.min(1, strength / places) }]
}
