import { cameIn } from '../http/access'
import { defineRoute } from '../http/defineRoute'

export default defineRoute({ who: cameIn }, ({ me }) => me)
