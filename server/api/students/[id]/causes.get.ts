import { defineEventHandler } from 'h3'
import { idIn, requireStaff } from '../../../http/access'
import { causesSaidOf } from '../../../store/causes'

/** What instructors said was the cause of a student's coupons: the odds of the Bench lean on it. */
export default defineEventHandler(async event => {
  await requireStaff(event)
  return causesSaidOf(idIn(event, 'student'))
})
