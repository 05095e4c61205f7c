import { defineRoute } from '../../../http/defineRoute'
import { hand } from '../../../http/reader'
import { found } from '../../../http/refuse'
import { placeOf } from '../../../store/queue'
import { findStudent } from '../../../store/students'

/** Where a student stands in the queue. */
export default defineRoute({ who: hand, id: 'student' }, async ({ me, id }) => {
  me.speaksFor(found(await findStudent(id), 'student'))
  return placeOf(id, new Date())
})
