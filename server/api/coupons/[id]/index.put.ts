import { couponSaveSchema, type SavedCoupon } from '../../../../contract/coupon'
import { staff } from '../../../http/access'
import { doneAt } from '../../../http/doneAt'
import { defineRoute } from '../../../http/defineRoute'
import { log } from '../../../http/log'
import { DOCUMENT_BYTES } from '../../../http/readAs'
import { wrongField } from '../../../http/refuse'
import { savedByOther } from '../../../http/savedByOther'
import { saveCoupon } from '../../../store/coupons'
import { rulesOf } from '../../../store/houseRules'
import { refreshProgress } from '../../../store/progress'
import { findStudent } from '../../../store/students'
import { fitInWorker } from '../../../workers/fitInWorker'

/** Saves a coupon whole. The same save twice is one save; over someone else's newer version: 409 with theirs. */
export default defineRoute(
  { who: staff, did: 'saved a coupon', newId: 'coupon', takes: couponSaveSchema, mostBytes: DOCUMENT_BYTES },
  async ({ me, id, body: save, event }): Promise<SavedCoupon> => {
    const [rules, student] = await Promise.all([
      rulesOf(save.document.rulesVersion),
      findStudent(save.document.studentId),
    ])
    if (!student) throw wrongField('document.studentId', 'There is no such student')
    if (!rules) throw wrongField('document.rulesVersion', 'There is no such version of the house rules')
    const outcome = await saveCoupon(id, save, rules, {
      id: me.id,
      name: me.name,
      now: new Date(),
      doneAt: doneAt(event),
    })
    if ('saved' in outcome) {
      // The coupon is kept; what it says of progress is computed when it is looked at, where it cannot be now.
      const refreshed = refreshProgress(save.document.studentId, new Date(), fitInWorker).catch((error: unknown) =>
        log.warn({ requestId: event.context.requestId, cause: String(error) }, 'progress waits to be computed'),
      )
      event.waitUntil(refreshed)
      return outcome.saved
    }
    throw savedByOther(
      `${outcome.theirs.savedBy} saved a newer version of this coupon. Both are kept: choose which one stands.`,
      outcome.theirs,
    )
  },
)
