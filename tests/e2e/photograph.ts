import { decode, encode } from 'jpeg-js'
import type { Page } from 'playwright-core'
import type { CouponDocument } from '../../core/coupon'
import { placeAt, SCALE_CARD, usualAcrossMm, type Corners, type Point } from '../../core/picture'
import { withPlace } from '../../core/picture/exampleJpeg'
import { couponPhotograph } from '../../demo/couponPhotograph'

export interface Photograph {
  readonly file: { readonly name: string; readonly mimeType: string; readonly buffer: Buffer }
  readonly widthPx: number
  readonly heightPx: number
  /** Where the steel's corners are on it, px: start of the beads above first. */
  readonly corners: Corners
}

/** Takes a made-up picture of a coupon, with the place and the phone written into its file as phones do. */
export function photograph(document: CouponDocument, size: readonly [number, number] = [1200, 900]): Photograph {
  const { bytes, widthPx, heightPx, lies } = couponPhotograph(document, 5, size)
  const file = { name: 'coupon.jpg', mimeType: 'image/jpeg', buffer: Buffer.from(withPlace(bytes)) }
  return { file, widthPx, heightPx, corners: lies.corners }
}

/** The same picture with a scale card laid on the steel: its upper left corner at so many millimetres of the strip. */
export function withScaleCard(taken: Photograph, coupon: CouponDocument, at: Point): Photograph {
  const { data, width, height } = decode(taken.file.buffer, { useTArray: true })
  const lies = { corners: taken.corners, acrossMm: usualAcrossMm(coupon.piece), quarter: null }
  const place = placeAt({ piece: coupon.piece, lies })
  const { targets, widthMm, heightMm, ringMm, ringInsideMm, dotMm } = SCALE_CARD
  const [left, top] = [(widthMm - targets[1].x) / 2, (heightMm - targets[2].y) / 2]
  for (let n = 0; n < width * height; n++) {
    const on = place({ x: (n % width) + 0.5, y: Math.floor(n / width) + 0.5 })
    const [x, y] = [on.x - at.x, on.y - at.y]
    if (!(x > 0 && y > 0 && x < widthMm && y < heightMm)) continue
    const off = 2 * Math.min(...targets.map(target => Math.hypot(x - left - target.x, y - top - target.y)))
    data.fill(off < dotMm || (off > ringInsideMm && off < ringMm) ? 25 : 235, 4 * n, 4 * n + 3)
  }
  const buffer = Buffer.from(encode({ data, width, height }, 90).data)
  return { ...taken, file: { ...taken.file, buffer } }
}

const LETTERS = ['A', 'B', 'C', 'D']

/** Drags the letters to the corners of the steel, in the open dialog. */
export async function setCorners(
  page: Page,
  { corners, widthPx, heightPx }: Photograph,
  letters: readonly string[] = LETTERS,
): Promise<void> {
  const frame = page.getByRole('group', { name: 'The coupon’s corners' })
  const box = (await frame.boundingBox())!
  for (const letter of letters) {
    const handle = (await frame
      .getByRole('button', { name: `Corner ${letter}` })
      .locator('.ring')
      .boundingBox())!
    const corner = corners[LETTERS.indexOf(letter)]!
    const to = { x: box.x + (corner.x / widthPx) * box.width, y: box.y + (corner.y / heightPx) * box.height }
    await page.mouse.move(handle.x + handle.width / 2, handle.y + handle.height / 2)
    await page.mouse.down()
    await page.mouse.move(to.x, to.y, { steps: 4 })
    await page.mouse.up()
  }
}
