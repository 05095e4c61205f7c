import { cameIn } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { codesOf } from '../../../store/oneTimeCodes'

/** How one's own sign-in stands. */
export default defineRoute({ who: cameIn }, ({ me }) => codesOf(me.id))
