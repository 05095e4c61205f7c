import { recordOf } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { ownBlindReadings } from '../../../store/blindReadings'

/** How a student's own readings agreed with the instructor's. */
export default defineRoute({ who: recordOf, id: 'student' }, async ({ id }) => {
  return ownBlindReadings(id)
})
