import type { Bead, CouponDocument } from './document'

type Lanes = Pick<CouponDocument, 'beads' | 'passes'>

/** Length of all weld metal laid, mm. The root side is looked at, not laid again. */
export function weldedLength(document: Pick<CouponDocument, 'beads'>): number {
  return document.beads.reduce((sum, bead) => (bead.face === 'root' ? sum : sum + bead.toMm - bead.fromMm), 0)
}

/** Number of a bead in the order laid, from 1; 0 when it is not on the coupon. */
export function beadNumber(document: Pick<CouponDocument, 'beads'>, beadId: string): number {
  return document.beads.findIndex(bead => bead.id === beadId) + 1
}

/**
 * The half of a fixed pipe that a lane of a pass is on: its seam runs from 6 up the right half to 12 and down the
 * left one, so of a pass's two lanes the right one begins lower. Null for a lane that is its pass's only one.
 */
function halfOf(bead: Bead, { beads }: Pick<CouponDocument, 'beads'>): 'right half' | 'left half' | null {
  const other = beads.find(one => one.id !== bead.id && one.passId === bead.passId && one.face === bead.face)
  if (!other) return null
  return bead.fromMm < other.fromMm ? 'right half' : 'left half'
}

/**
 * A pass as it is called: its number and role; the weld, where there is only one.
 * @example passName(document, 'p2') // 'pass 2, hot'
 */
export function passName({ passes = [] }: Pick<CouponDocument, 'passes'>, passId: string): string {
  const index = passes.findIndex(pass => pass.id === passId)
  const pass = passes[index]
  if (!pass) return ''
  if (passes.length === 1) return 'the weld'
  const role =
    pass.role === 'single'
      ? pass.face === 'far side'
        ? ', far side'
        : ''
      : `, ${pass.role}${pass.face === 'far side' ? ' on the far side' : ''}`
  return `pass ${index + 1}${role}`
}

/**
 * A lane as it is called: `bead 4` on a pad, `pass 2, hot, left half` on a pipe, `root side`.
 * @example laneName(document, 'b4') // 'bead 4'
 */
export function laneName(document: Lanes, beadId: string): string {
  const bead = document.beads.find(one => one.id === beadId)
  if (bead?.face === 'root') return 'root side'
  if (!bead?.passId) return `bead ${beadNumber(document, beadId)}`
  const half = halfOf(bead, document)
  return `${passName(document, bead.passId)}${half ? `, ${half}` : ''}`
}
