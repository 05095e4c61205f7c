import { defineEventHandler } from 'h3'
import { idIn, requireRecordOf } from '../../../http/access'
import { testBay } from '../../../store/welderTests'

/** One student's tests and uses of the process. */
export default defineEventHandler(async event => {
  const id = idIn(event, 'student')
  await requireRecordOf(event, id)
  return testBay(id)
})
