import { defineEventHandler } from 'h3'
import { idIn, requireStaff } from '../../../http/access'
import { listRevisions } from '../../../store/coupons'

export default defineEventHandler(async event => {
  await requireStaff(event)
  return listRevisions(idIn(event, 'coupon'))
})
