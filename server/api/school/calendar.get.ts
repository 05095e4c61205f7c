import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { currentCalendar } from '../../store/schoolCalendar'

/** The days without class, of the school and of its sections. */
export default defineRoute({ who: staff }, currentCalendar)
