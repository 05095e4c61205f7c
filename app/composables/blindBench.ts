import { reactive } from 'vue'
import type { CouponDocument } from '~~/core/coupon'
import type { Stage } from '~~/contract/blindReadings'
import { useHouseRules } from '~/stores/houseRules'
import { outboxSeal } from '~/stores/outbox'
import { useSession } from '~/stores/session'
import { sealedDrawer } from '~/sync/sealedDrawer'
import { makeCouponBench } from './couponBench'
import { useCouponDraft } from './couponDraft'

/** A coupon that is read blind: which, by whom, and how it lies before anything is marked. */
export interface Blind {
  readonly couponId: string
  readonly reader: { readonly id: string; readonly name: string }
  readonly stage: Stage
  readonly coupon: CouponDocument
}

/** A bench of a reading's own, beside the instructor's. What was marked before a reload lies on it again. */
export function useBlindBench({ couponId, reader, stage, coupon }: Blind) {
  const houseRules = useHouseRules()
  const draft = useCouponDraft(sealedDrawer<CouponDocument>(outboxSeal))
  // A tablet's class has no account, and nothing to hide from itself.
  draft.keepAt(`fusilis.blindReading.${reader.id}.${couponId}.${stage}`, useSession().me?.id ?? '')

  const made = makeCouponBench({
    rulesOf: lies => houseRules.rulesOf(lies?.rulesVersion ?? houseRules.current.version),
    changed: () => {
      if (made.coupon.value) void draft.keep(made.coupon.value)
    },
  })
  made.putDown(coupon)
  void draft.found().then(([kept]) => {
    if (kept && !made.touched.value) made.putDown(kept)
  })
  return { bench: reactive(made), keptAt: draft.keptAt, drop: draft.drop }
}
