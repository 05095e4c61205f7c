import { recordOf } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { beadAnswersOf } from '../../../store/readingRoom'

/** What a student said of the beads shown for practice. */
export default defineRoute({ who: recordOf, id: 'student' }, async ({ id }) => {
  return beadAnswersOf(id)
})
