import { cameIn } from '../http/access'
import { defineRoute } from '../http/defineRoute'

/** Who is signed in here, and what they may see. */
export default defineRoute({ who: cameIn }, ({ me }) => me)
