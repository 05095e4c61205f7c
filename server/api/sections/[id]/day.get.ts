import { askedDay } from '../../../http/askedDay'
import { dearAnswer } from '../../../http/dearAnswer'
import { defineRoute } from '../../../http/defineRoute'
import { staff } from '../../../http/access'

/** A section's class day: today, or the one that is asked for. */
export default defineRoute({ who: staff, id: 'section' }, async ({ event, me, id }) =>
  dearAnswer(event, me, ['ofDay', { id, day: await askedDay(event, new Date()) }], 'section'),
)
