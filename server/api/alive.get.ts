import { anyone } from '../http/access'
import { defineRoute } from '../http/defineRoute'

/** Whether the process answers at all, even without its database: one that is silent is replaced. */
export default defineRoute({ who: anyone }, () => ({ alive: true }))
