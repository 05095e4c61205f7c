import { decode } from 'jpeg-js'
import { describe, expect, it } from 'vitest'
import { aCoupon } from '../core/coupon/example'
import { beadEdges, imageHead, layPicture, saysMore } from '../core/picture'
import { stripOf } from '../core/coupon'
import { couponPhotograph } from './couponPhotograph'

describe('a made-up picture of a coupon', () => {
  const coupon = aCoupon()
  const { bytes, widthPx, heightPx, lies } = couponPhotograph(coupon, 4)
  it('is a JPEG of its size that says nothing more, and the same twice', () => {
    expect(imageHead(bytes)).toEqual({ type: 'jpg', widthPx, heightPx })
    expect(saysMore(bytes)).toBe(false)
    expect([...couponPhotograph(coupon, 4).bytes.subarray(0, 4000)]).toEqual([...bytes.subarray(0, 4000)])
  })

  it('shows the beads where the coupon has them: the last one is found and measured on it', () => {
    const { data, width, height } = decode(bytes)
    const laid = layPicture({ data: new Uint8ClampedArray(data), width, height }, { piece: coupon.piece, lies }, 8)
    const bead = coupon.beads.at(-1)!
    const middleMm = stripOf(coupon.piece).widthMm - bead.offsetMm
    const seen = beadEdges(laid, 8, { fromMm: bead.fromMm, toMm: bead.toMm, middleMm, widthMm: bead.widthMm })!
    expect(Math.abs(seen.widthMm - bead.widthMm)).toBeLessThan(0.5)
    expect(seen.unevenMm).toBeGreaterThan(0.05)
    expect(seen.sure).toBeGreaterThan(0.6)
  })
})
