import { rodBookImportSchema, type RodBookImport } from '../../../contract/rodRoom'
import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { DOCUMENT_BYTES } from '../../http/readAs'
import { wrongField } from '../../http/refuse'
import { importBook } from '../../store/rodBookImport'

/** What happened to rods, from a list: all of its lines come in, each as of when it happened, or none. */
export default defineRoute(
  { who: staff, did: 'took in a list of what happened to rods', takes: rodBookImportSchema, mostBytes: DOCUMENT_BYTES },
  async ({ me, body }) => {
    const refused = await importBook(body as RodBookImport, { name: me.name, now: new Date() })
    if (refused) throw wrongField(`lines[${refused.line}]${refused.field}`, refused.why)
  },
)
