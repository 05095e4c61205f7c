import { meetingFits } from '../../../core/floor'
import { schoolPlaceSchema, type SchoolPlace } from '../../../contract/people'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { wrongField } from '../../http/refuse'
import { setSchoolClock } from '../../store/school'
import { listSections } from '../../store/sections'

/** Says where the school stands, and at which hour on its wall class days begin. */
export default defineRoute(
  { who: lead, did: 'changed the school', takes: schoolPlaceSchema },
  async ({ body: place }): Promise<SchoolPlace> => {
    const { timeZone: zone, dayTurnsAt: turnsAt } = place
    for (const { name, meetings } of await listSections(null)) {
      const cut = meetings.find(meeting => !meetingFits(meeting, turnsAt))
      if (cut)
        throw wrongField('dayTurnsAt', `${name} meets from ${cut.from} to ${cut.to}: its class day must not turn then`)
    }
    await setSchoolClock({ zone, turnsAt })
    return place
  },
)
