import { defineEventHandler } from 'h3'
import { schoolPlaceSchema, type SchoolPlace } from '../../contract/people'
import { requireLead } from '../http/access'
import { readAs } from '../http/readAs'
import { moveSchool } from '../store/school'

/** Says where the school stands: its class days begin at midnight there. */
export default defineEventHandler(async (event): Promise<SchoolPlace> => {
  await requireLead(event)
  const place = await readAs<SchoolPlace>(event, schoolPlaceSchema)
  await moveSchool(place.timeZone)
  return place
})
