import { retentionSchema } from '../../../contract/retention'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { keepFor } from '../../store/retention'

/** Says for how long the record of a student who left is kept. */
export default defineRoute(
  { who: lead, did: 'changed how long records are kept', takes: retentionSchema },
  ({ body: { months } }) => keepFor(months ?? null),
)
