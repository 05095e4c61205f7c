import { defineEventHandler } from 'h3'
import { bookSaveSchema, type BookSave, type SavedBook } from '../../../contract/codeBooks'
import { idIn, requireLead } from '../../http/access'
import { readAs } from '../../http/readAs'
import { refuse } from '../../http/refuse'
import { addBook } from '../../store/codeBooks'

/**
 * Saves one of the school's own code books, new or over the version that was edited. Shipped books have no such id
 * and stay as they are.
 */
export default defineEventHandler(async (event): Promise<SavedBook> => {
  const me = await requireLead(event)
  const id = idIn(event, 'code book')
  const save = await readAs<BookSave>(event, bookSaveSchema)
  const now = new Date()
  if (!(await addBook(id, save, { name: me.name, now })))
    throw refuse(
      409,
      'Saved by someone else',
      'Someone saved this book meanwhile. Load it, and make your changes on that.',
    )
  return {
    version: save.baseVersion + 1,
    book: { ...save.book, id },
    retired: save.retired,
    savedAt: now.toISOString(),
    savedBy: me.name,
    why: save.why,
  }
})
