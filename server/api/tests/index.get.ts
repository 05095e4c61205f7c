import { defineEventHandler } from 'h3'
import { requireStaff } from '../../http/access'
import { testBay } from '../../store/welderTests'

/** The school's tests and uses of the process, newest first. */
export default defineEventHandler(async event => {
  await requireStaff(event)
  return testBay(null)
})
