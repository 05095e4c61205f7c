import { defineEventHandler, getRouterParam } from 'h3'
import { couponSaveSchema, type CouponSave, type SavedCoupon } from '../../../../contract/coupon'
import { uuid } from '../../../../contract/fields'
import { requireStaff } from '../../../http/access'
import { DOCUMENT_BYTES, parseAs, readAs } from '../../../http/readAs'
import { refuse } from '../../../http/refuse'
import { savedByOther } from '../../../http/savedByOther'
import { saveCoupon } from '../../../store/coupons'
import { rulesOf } from '../../../store/houseRules'
import { refreshProgress } from '../../../store/progress'
import { findStudent } from '../../../store/students'
import { fitInWorker } from '../../../workers/fitInWorker'

/** Saves a coupon whole. The same save twice is one save; over someone else's newer version: 409 with theirs. */
export default defineEventHandler(async (event): Promise<SavedCoupon> => {
  const me = await requireStaff(event)
  const id = await parseAs<string>(getRouterParam(event, 'id'), uuid().label('id').required())
  const save = await readAs<CouponSave>(event, couponSaveSchema, DOCUMENT_BYTES)
  const [rules, student] = await Promise.all([
    rulesOf(save.document.rulesVersion),
    findStudent(save.document.studentId),
  ])
  if (!student) throw refused('document.studentId', 'There is no such student')
  if (!rules) throw refused('document.rulesVersion', 'There is no such version of the house rules')
  const outcome = await saveCoupon(id, save, rules, { id: me.id, name: me.name, now: new Date() })
  if ('saved' in outcome) {
    event.waitUntil(refreshProgress(save.document.studentId, new Date(), fitInWorker))
    return outcome.saved
  }
  throw savedByOther(
    `${outcome.theirs.savedBy} saved a newer version of this coupon. Both are kept: choose which one stands.`,
    outcome.theirs,
  )
})

const refused = (path: string, message: string) => refuse(422, 'Not accepted', `${message}.`, [{ path, message }])
