import { askedDay } from '../../../http/askedDay'
import { dearAnswer } from '../../../http/dearAnswer'
import { defineRoute } from '../../../http/defineRoute'
import { staff } from '../../../http/access'

/** What a section's day is planned from, and its plan: today's, or that of the day that is asked for. */
export default defineRoute({ who: staff, id: 'section' }, async ({ event, me, id }) =>
  dearAnswer(event, me, ['ofDayToPlan', { id, day: await askedDay(event, new Date()) }], 'section'),
)
