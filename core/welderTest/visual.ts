import { holdAgainst, sayAmount, type CriteriaSet } from '../criteria'
import type { CouponDocument } from '../coupon'
import type { LengthUnit } from '../units'
import type { Signature, Visual } from './welderTest'

/** What is signed of a visual: by whom, what it comes to, and why where the criteria say otherwise. */
export interface SignedVisual extends Signature {
  readonly outcome: 'passes' | 'fails'
  readonly why: string
}

/** What the criteria say of a coupon by eye: whether it passes, and the lines that it fails, each in words. */
export function visualOf(
  coupon: CouponDocument,
  set: CriteriaSet,
  unit: LengthUnit,
): Pick<Visual, 'computed' | 'failed'> {
  const failed = holdAgainst(coupon, set, unit)
    .rows.filter(row => row.outcome === 'fail')
    .map(({ name, criterion, measured, limit }) => {
      const allowed = limit === 0 ? 'none' : sayAmount(criterion.observed, limit, unit)
      return `${name}: ${sayAmount(criterion.observed, measured, unit)}, at most ${allowed} (${criterion.clause})`
    })
  return { computed: failed.length > 0 ? 'fails' : 'passes', failed }
}

/**
 * A visual as it is kept: what the criteria say is computed from the coupon, what was signed is somebody's. Failed
 * lines stand only where the piece was failed.
 */
export function visualSigned(signed: SignedVisual, said: Pick<Visual, 'computed' | 'failed'>): Visual {
  const { by, at, outcome, why } = signed
  return { by, at, computed: said.computed, outcome, failed: outcome === 'fails' ? said.failed : [], why }
}
