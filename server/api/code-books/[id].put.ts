import { defineEventHandler } from 'h3'
import { bookSaveSchema, type BookSave, type SavedBook } from '../../../contract/codeBooks'
import { idIn, requireLead } from '../../http/access'
import { DOCUMENT_BYTES, readAs } from '../../http/readAs'
import { savedByOther } from '../../http/savedByOther'
import { keepBook } from '../../store/codeBooks'

/**
 * Saves one of the school's own code books, new or over the version that was edited. Shipped books have no such id
 * and stay as they are.
 */
export default defineEventHandler(async (event): Promise<SavedBook> => {
  const me = await requireLead(event)
  const id = idIn(event, 'code book')
  const save = await readAs<BookSave>(event, bookSaveSchema, DOCUMENT_BYTES)
  const kept = await keepBook(id, save, { by: me.name, why: save.why, now: new Date() })
  if (!kept) throw savedByOther('Someone saved this book meanwhile. Load it, and make your changes on that.')
  return kept
})
