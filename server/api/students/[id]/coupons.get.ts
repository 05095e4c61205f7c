import { getQuery } from 'h3'
import { recordOf } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { listCoupons } from '../../../store/coupons'

const asText = (value: unknown): string | null => (typeof value === 'string' && value !== '' ? value : null)

/** Coupons of a student, newest first; filtered by position, rod family and verdict. */
export default defineRoute({ who: recordOf, id: 'student' }, async ({ id, event }) => {
  const { position, rodFamily, verdict, after } = getQuery(event)
  return listCoupons(id, {
    position: asText(position),
    rodFamily: asText(rodFamily),
    verdict: asText(verdict),
    after: asText(after),
  })
})
