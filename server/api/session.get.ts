import { signedIn } from '../http/access'
import { defineRoute } from '../http/defineRoute'

export default defineRoute({ who: signedIn }, ({ me }) => me)
