import { defineEventHandler, getQuery } from 'h3'
import { idIn, requireRecordOf } from '../../../http/access'
import { listCoupons } from '../../../store/coupons'

const asText = (value: unknown): string | null => (typeof value === 'string' && value !== '' ? value : null)

/** Coupons of a student, newest first; filtered by position, rod family and verdict. */
export default defineEventHandler(async event => {
  const id = idIn(event, 'student')
  await requireRecordOf(event, id)
  const { position, rodFamily, verdict, after } = getQuery(event)
  return listCoupons(id, {
    position: asText(position),
    rodFamily: asText(rodFamily),
    verdict: asText(verdict),
    after: asText(after),
  })
})
