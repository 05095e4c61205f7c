import { bookSaveSchema, type SavedBook } from '../../../contract/codeBooks'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { DOCUMENT_BYTES } from '../../http/readAs'
import { savedByOther } from '../../http/savedByOther'
import { keepBook } from '../../store/codeBooks'

/**
 * Saves one of the school's own code books, new or over the version that was edited. Shipped books have no such id
 * and stay as they are.
 */
export default defineRoute(
  { who: lead, did: 'saved a code book', id: 'code book', takes: bookSaveSchema, mostBytes: DOCUMENT_BYTES },
  async ({ me, id, body: save }): Promise<SavedBook> => {
    const kept = await keepBook(id, save, { by: me.name, why: save.why, now: new Date() })
    if (!kept) throw savedByOther('Someone saved this book meanwhile. Load it, and make your changes on that.')
    return kept
  },
)
