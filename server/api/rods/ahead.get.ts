import { dearAnswer } from '../../http/dearAnswer'
import { defineRoute } from '../../http/defineRoute'
import { staff } from '../../http/access'

/** What rods the coming weeks will use, by where the whole school's students are on the ladder: no student is named. */
export default defineRoute({ who: staff }, ({ event, me }) => dearAnswer(event, me, ['ofRodsAhead', undefined]))
