import { anyone } from '../http/access'
import { defineRoute } from '../http/defineRoute'

/** Whether the process answers at all, whatever the database does: one that is silent is replaced. */
export default defineRoute({ who: anyone }, () => ({ alive: true }))
