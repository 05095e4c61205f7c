import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { findRetention } from '../../store/retention'
import { schoolDay } from '../../store/school'

/** Whose records go next, by how long the school keeps them. */
export default defineRoute({ who: lead }, async () => findRetention(await schoolDay(new Date())))
