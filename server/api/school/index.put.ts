import { schoolPlaceSchema, type SchoolPlace } from '../../../contract/people'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { moveSchool } from '../../store/school'

/** Says where the school stands: its class days begin at midnight there. */
export default defineRoute(
  { who: lead, did: 'changed the school', takes: schoolPlaceSchema },
  async ({ body: place }): Promise<SchoolPlace> => {
    await moveSchool(place.timeZone)
    return place
  },
)
