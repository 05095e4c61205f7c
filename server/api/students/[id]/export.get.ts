import { setResponseHeader } from 'h3'
import { recordOf } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { dearAnswer } from '../../../http/dearAnswer'

/** All that is kept about a student, as a file: for those who may see the record, the student first of all. */
export default defineRoute(
  { who: recordOf, did: 'exported a person’s data', id: 'student' },
  async ({ event, me, id }) => {
    const all = await dearAnswer(event, me, ['ofExport', { id }], 'student')
    setResponseHeader(event, 'content-disposition', 'attachment; filename="person.json"')
    return all
  },
)
