import { defineEventHandler } from 'h3'
import { requireStaff } from '../../http/access'
import { causesSaid } from '../../store/causes'

/** What instructors said was the cause: the odds of the Bench adapt to it. */
export default defineEventHandler(async event => {
  await requireStaff(event)
  return causesSaid()
})
