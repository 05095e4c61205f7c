import { defineRoute } from '../../../http/defineRoute'
import { readerFor } from '../../../http/reader'
import { found } from '../../../http/refuse'
import { cautionsOf } from '../../../store/cautionsRead'
import { findStudent } from '../../../store/students'

/** The cautions of what a student runs: those that are left to be read, and what was. */
export default defineRoute({ who: readerFor, id: 'student' }, async ({ id }) => {
  found(await findStudent(id), 'student')
  return cautionsOf(id)
})
