import { defineEventHandler } from 'h3'
import { straysOfSchool, type Stray } from '../../core/readiness'
import { requireStaff } from '../http/access'
import { testsKnown } from '../store/testOutcomes'

/** Which tests of the school go otherwise than its coupons say. */
export default defineEventHandler(async (event): Promise<Stray[]> => {
  await requireStaff(event)
  return straysOfSchool((await testsKnown()).recalibration)
})
