import { demonstrationSchema } from '../../../contract/day'
import { staff } from '../../http/access'
import { doneAt } from '../../http/doneAt'
import { defineRoute } from '../../http/defineRoute'
import { requireSection } from '../../http/requireSection'
import { addDemonstration } from '../../store/demonstrations'

/** Keeps that something was shown to a section. */
export default defineRoute(
  { who: staff, did: 'gave a demonstration', newId: 'demonstration', takes: demonstrationSchema },
  async ({ me, id, body, event }) => {
    await requireSection(body.sectionId)
    await addDemonstration(id, body, { name: me.name, now: doneAt(event) })
  },
)
