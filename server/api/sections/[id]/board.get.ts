import { dearAnswer } from '../../../http/dearAnswer'
import { defineRoute } from '../../../http/defineRoute'
import { staff } from '../../../http/access'

/** The active students of a section against the rungs of the ladder. */
export default defineRoute({ who: staff, id: 'section' }, ({ event, me, id }) =>
  dearAnswer(event, me, ['ofBoard', { id }], 'section'),
)
