import { processUseSchema } from '../../../contract/welderTests'
import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { wrongField } from '../../http/refuse'
import { findStudent } from '../../store/students'
import { addProcessUse } from '../../store/welderTests'

/** Notes that a student used the process, with a witness. */
export default defineRoute(
  { who: staff, did: 'kept a use of a process', newId: 'use of the process', takes: processUseSchema },
  async ({ me, id, body: save }) => {
    if (!(await findStudent(save.studentId))) throw wrongField('studentId', 'There is no such student')
    await addProcessUse(id, save, { name: me.name, now: new Date() })
  },
)
