import { defineEventHandler, getRouterParam } from 'h3'
import { uuid } from '../../../contract/fields'
import { testSaveSchema, type SavedTest, type TestSave } from '../../../contract/tests'
import { requireStaff } from '../../http/access'
import { parseAs, readAs } from '../../http/readAs'
import { refuse } from '../../http/refuse'
import { findStudent } from '../../store/students'
import { saveTest } from '../../store/tests'

/** Saves a test whole; what is out of order is refused, and nothing of it is kept. */
export default defineEventHandler(async (event): Promise<SavedTest> => {
  const me = await requireStaff(event)
  const id = await parseAs<string>(getRouterParam(event, 'id'), uuid().label('id').required())
  const save = await readAs<TestSave>(event, testSaveSchema)
  if (!await findStudent(save.document.studentId)) throw refuse(422, 'Not accepted', 'There is no such student.', [{ path: 'document.studentId', message: 'There is no such student' }])
  const saved = await saveTest(id, save, { id: me.id, now: new Date() })
  if (!saved) throw refuse(409, 'Saved by someone else', 'Somebody saved this test meanwhile. Load it, and do it again on that.')
  return saved
})
