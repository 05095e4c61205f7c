import { rodLotsImportSchema, type RodLotsImport } from '../../../contract/rodRoom'
import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { DOCUMENT_BYTES } from '../../http/readAs'
import { importLots } from '../../store/rodRoom'

/** Lots of rods from a list: all of them come in, or none. */
export default defineRoute(
  { who: staff, did: 'took in a list of lots', takes: rodLotsImportSchema, mostBytes: DOCUMENT_BYTES },
  ({ me, body }) => importLots(body as RodLotsImport, { name: me.name, now: new Date() }),
)
