import { defineEventHandler, getRouterParam, sendNoContent } from 'h3'
import { uuid } from '../../../contract/fields'
import { processUseSchema, type ProcessUseSave } from '../../../contract/welderTests'
import { requireStaff } from '../../http/access'
import { parseAs, readAs } from '../../http/readAs'
import { refuse } from '../../http/refuse'
import { findStudent } from '../../store/students'
import { addProcessUse } from '../../store/welderTests'

/** Notes that a student used the process, with a witness. */
export default defineEventHandler(async event => {
  const me = await requireStaff(event)
  const id = await parseAs<string>(getRouterParam(event, 'id'), uuid().label('id').required())
  const save = await readAs<ProcessUseSave>(event, processUseSchema)
  if (!(await findStudent(save.studentId)))
    throw refuse(422, 'Not accepted', 'There is no such student.', [
      { path: 'studentId', message: 'There is no such student' },
    ])
  await addProcessUse(id, save, { name: me.name, now: new Date() })
  return sendNoContent(event)
})
