import type { CouponDocument } from '../../core/coupon'
import type { CouponReadTwice } from '../../core/progress'
import { database, fromJson, rows } from './database'

/** Readers who differed long ago may have talked it over. */
const MOST_COUPONS = 400

/** The newest coupons of the school that a second instructor read blind: the readers by their accounts. */
export async function couponsReadTwice(): Promise<CouponReadTwice[]> {
  const found = await rows<{ first: string; second: string; reading: unknown; reference: unknown }>(
    database(),
    `
    SELECT coupon.saved_by AS first, reader_id AS second, blind_reading.document AS reading,
      coupon.document AS reference
    FROM blind_reading JOIN coupon ON coupon.id = blind_reading.coupon_id
    WHERE reader_kind = 'instructor' ORDER BY made_at DESC LIMIT ${MOST_COUPONS}`,
  )
  return found.map(({ first, second, reading, reference }) => ({
    readers: [first, second],
    documents: [fromJson<CouponDocument>(reference), fromJson<CouponDocument>(reading)],
  }))
}
