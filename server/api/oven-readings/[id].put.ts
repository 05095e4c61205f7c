import { ovenReadingSchema } from '../../../contract/rodRoom'
import { staff } from '../../http/access'
import { doneAt } from '../../http/doneAt'
import { defineRoute } from '../../http/defineRoute'
import { noteOven } from '../../store/rodRoom'

/** Notes how warm an oven is. */
export default defineRoute(
  { who: staff, did: 'read an oven', newId: 'reading', takes: ovenReadingSchema },
  ({ me, id, body, event }) => noteOven(id, body, { name: me.name, now: doneAt(event) }),
)
