import { holdAgainst, sayAmount, type CriteriaSet } from '../criteria'
import type { CouponDocument } from '../coupon'
import type { LengthUnit } from '../units'
import type { Signature, Visual, VisualSide } from './welderTest'

/** What is signed of a visual: by whom, what it comes to, and why where the criteria say otherwise. */
export interface SignedVisual extends Signature {
  readonly outcome: 'passes' | 'fails'
  readonly why: string
}

/**
 * What the criteria say of a coupon by eye: whether it passes, the lines that it fails, each in words, and the sides
 * that those lie on.
 */
export function visualOf(
  coupon: CouponDocument,
  set: CriteriaSet,
  unit: LengthUnit,
): Pick<Visual, 'computed' | 'failed' | 'failedOn'> {
  const rows = holdAgainst(coupon, set, unit).rows.filter(row => row.outcome === 'fail')
  const failed = rows.map(({ name, criterion, measured, limit }) => {
    const allowed = limit === 0 ? 'none' : sayAmount(criterion.observed, limit, unit)
    return `${name}: ${sayAmount(criterion.observed, measured, unit)}, at most ${allowed} (${criterion.clause})`
  })
  return {
    computed: failed.length > 0 ? 'fails' : 'passes',
    failed,
    failedOn: sidesOf(
      coupon,
      rows.flatMap(row => row.markIds),
    ),
  }
}

/** The sides that marks lie on. */
function sidesOf({ beads, marks }: CouponDocument, markIds: readonly string[]): VisualSide[] {
  const roots = new Set(beads.filter(bead => bead.face === 'root').map(bead => bead.id))
  const on = new Set(marks.filter(mark => markIds.includes(mark.id)).map(mark => roots.has(mark.beadId)))
  return [...(on.has(false) ? ['face' as const] : []), ...(on.has(true) ? ['root' as const] : [])]
}

/**
 * Whether a side was accepted by eye; null where it was not looked at yet, or a person failed the piece without a line
 * of the criteria that says where.
 */
export function sidePassed(visual: Visual | null, side: VisualSide): boolean | null {
  if (visual === null) return null
  if (visual.outcome === 'passes') return true
  return visual.failedOn ? !visual.failedOn.includes(side) : null
}

/**
 * A visual as it is kept: what the criteria say is computed from the coupon, what was signed is a person's. Failed
 * lines stand only where the piece was failed, and their sides with them.
 */
export function visualSigned(signed: SignedVisual, said: Pick<Visual, 'computed' | 'failed' | 'failedOn'>): Visual {
  const { by, at, outcome, why } = signed
  const kept = outcome === 'fails' ? said : { failed: [], failedOn: [] }
  const sides = kept.failedOn && kept.failedOn.length > 0 ? { failedOn: kept.failedOn } : {}
  return { by, at, computed: said.computed, outcome, failed: kept.failed, ...sides, why }
}
