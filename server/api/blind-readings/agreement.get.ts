import { dearAnswer } from '../../http/dearAnswer'
import { defineRoute } from '../../http/defineRoute'
import { staff } from '../../http/access'

/** How the school's instructors agree with one another. */
export default defineRoute({ who: staff }, ({ event, me }) =>
  dearAnswer(event, me, ['ofAgreement', { id: me.id, sectionIds: me.sectionIds }]),
)
