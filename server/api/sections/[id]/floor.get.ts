import { defineEventHandler } from 'h3'
import { idIn, requireStaff } from '../../../http/access'
import { listFloor } from '../../../store/students'

/** The active students of a section, each with the newest coupon. */
export default defineEventHandler(async event => {
  await requireStaff(event)
  return listFloor(idIn(event, 'section'))
})
