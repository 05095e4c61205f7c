import type { HoursWanted } from '../../../core/floor'
import { programmeSchema } from '../../../contract/hours'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { askHours } from '../../store/school'

/** Says how many hours the school's programme asks for. */
export default defineRoute(
  { who: lead, did: 'changed the programme’s hours', takes: programmeSchema },
  ({ body: { wanted } }) => askHours(wanted as HoursWanted[]),
)
