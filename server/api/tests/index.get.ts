import { dearAnswer } from '../../http/dearAnswer'
import { defineRoute } from '../../http/defineRoute'
import { staff } from '../../http/access'

/** The tests and uses of the process in the sections that one teaches, newest first. */
export default defineRoute({ who: staff }, ({ event, me }) =>
  dearAnswer(event, me, ['ofTests', { sectionIds: me.sectionIds }]),
)
