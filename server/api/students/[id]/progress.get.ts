import { recordOf } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { progressOf } from '../../../store/progress'

/** Where a student stands: ladder, sign-offs, skill. */
export default defineRoute({ who: recordOf, id: 'student' }, async ({ id }) => {
  return found(await progressOf(id), 'student')
})
