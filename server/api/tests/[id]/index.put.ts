import { defineEventHandler } from 'h3'
import type { CodeBook } from '../../../../core/qualification'
import { documentFaults, type WelderTest } from '../../../../core/welderTest'
import { welderTestSaveSchema, type SavedWelderTest, type WelderTestSave } from '../../../../contract/welderTests'
import { idIn, requireStaff } from '../../../http/access'
import { DOCUMENT_BYTES, readAs } from '../../../http/readAs'
import { refuse } from '../../../http/refuse'
import { savedByOther } from '../../../http/savedByOther'
import { findBook } from '../../../store/codeBooks'
import { findStudent } from '../../../store/students'
import { saveTest } from '../../../store/welderTests'

/** Saves a test whole; what is out of order by its book is refused, and nothing of it is kept. */
export default defineEventHandler(async (event): Promise<SavedWelderTest> => {
  const me = await requireStaff(event)
  const id = idIn(event, 'test')
  const save = await readAs<WelderTestSave>(event, welderTestSaveSchema, DOCUMENT_BYTES)
  const { document } = save
  if (!(await findStudent(document.studentId))) throw notAccepted('studentId', 'There is no such student')
  const book = await bookOf(document)
  const [fault] = documentFaults(document, book)
  if (fault) throw notAccepted(fault.path, fault.message)
  const outcome = await saveTest(id, save, book, { id: me.id, name: me.name, now: new Date() })
  if ('saved' in outcome) return outcome.saved
  throw savedByOther(
    `${outcome.theirs.savedBy} saved this test meanwhile. Load it, and do it again on that.`,
    outcome.theirs,
  )
})

const notAccepted = (path: string, message: string) =>
  refuse(422, 'Not accepted', `${message}.`, [{ path: `document.${path}`, message }])

async function bookOf({ book }: WelderTest): Promise<CodeBook> {
  try {
    return await findBook(book)
  } catch (error) {
    throw notAccepted('book', (error as Error).message)
  }
}
