import { defineEventHandler } from 'h3'
import { requireSignedIn } from '../../http/access'
import { schoolCriteria } from '../../store/criteria'

/** The school's own sets of criteria; the shipped ones come with the application. */
export default defineEventHandler(async event => {
  await requireSignedIn(event)
  return schoolCriteria()
})
