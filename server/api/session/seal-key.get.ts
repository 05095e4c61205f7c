import { cameIn } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { sealKeyOf } from '../../store/sealKey'

/** The key that seals what this account leaves unsent in a browser. */
export default defineRoute({ who: cameIn }, async ({ me }) => ({ key: await sealKeyOf(me.id) }))
