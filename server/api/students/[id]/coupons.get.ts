import { getQuery } from 'h3'
import { lookerInto } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { listCoupons, noteSeenByStudent } from '../../../store/coupons'

const asText = (value: unknown): string | null => (typeof value === 'string' && value !== '' ? value : null)

/** Coupons of a student, newest first; filtered by position, rod family and verdict. */
export default defineRoute({ who: lookerInto, id: 'student' }, async ({ me, id, event }) => {
  const { position, rodFamily, verdict, after } = getQuery(event)
  const page = await listCoupons(id, {
    position: asText(position),
    rodFamily: asText(rodFamily),
    verdict: asText(verdict),
    after: asText(after),
  })
  if (me.role === 'student') await noteSeenByStudent(page.coupons.map(coupon => coupon.id))
  return page
})
