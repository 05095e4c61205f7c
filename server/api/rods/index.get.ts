import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { findRodRoom } from '../../store/rodRoom'

/** The rod room: lots, what there is of each, who has what, and the ovens. */
export default defineRoute({ who: staff }, ({ me }) => findRodRoom(me.sectionIds, new Date()))
