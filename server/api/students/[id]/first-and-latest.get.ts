import { getQuery } from 'h3'
import { lookerInto } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { firstAndLatest, noteSeenByStudent } from '../../../store/coupons'

/** The first and the latest coupon of one rung, with their readings. */
export default defineRoute({ who: lookerInto, id: 'student' }, async ({ me, id, event }) => {
  const { rung } = getQuery(event)
  const found = await firstAndLatest(id, typeof rung === 'string' && rung !== '' ? rung : null)
  if (me.role === 'student' && found.pair) await noteSeenByStudent([found.pair.first.id, found.pair.latest.id])
  return found
})
