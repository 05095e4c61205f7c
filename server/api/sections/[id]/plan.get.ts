import { askedDay } from '../../../http/askedDay'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { dayToPlan } from '../../../store/dayPlan'

/** What a section's day is planned from, and its plan: today's, or that of the day that is asked for. */
export default defineRoute({ who: staff, id: 'section' }, async ({ id, event }) => {
  return found(await dayToPlan(id, await askedDay(event, new Date())), 'section')
})
