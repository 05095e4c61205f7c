import { askedDay } from '../../../http/askedDay'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { sectionDay } from '../../../store/sectionDay'

/** A section's class day: today, or the one that is asked for. */
export default defineRoute({ who: staff, id: 'section' }, async ({ id, event }) => {
  const now = new Date()
  return found(await sectionDay(id, await askedDay(event, now), now), 'section')
})
