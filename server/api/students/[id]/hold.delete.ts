import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { letGo } from '../../../store/queue'

/** The instructor has put this student's coupon aside. */
export default defineRoute({ who: staff, id: 'student', did: 'put a coupon aside' }, ({ me, id }) => letGo(id, me.id))
