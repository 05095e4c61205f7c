import { cautionsReadSchema, type StudentCautions } from '../../../../contract/cautions'
import { whoever } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { readerFor } from '../../../http/reader'
import { found } from '../../../http/refuse'
import { cautionsOf, noteCautionsRead } from '../../../store/cautionsRead'
import { findStudent } from '../../../store/students'

/** Keeps that cautions were read, by the student or with an instructor. */
export default defineRoute(
  { who: readerFor, did: 'said that cautions were read', id: 'student', takes: cautionsReadSchema },
  async ({ me, id, body, event }): Promise<StudentCautions> => {
    const student = found(await findStudent(id), 'student')
    const name = me.kind === 'student' ? student.name : (await whoever(event))!.name
    await noteCautionsRead(id, body.texts, { name, now: new Date() })
    return cautionsOf(id)
  },
)
