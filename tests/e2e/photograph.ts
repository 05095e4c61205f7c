import type { Page } from 'playwright-core'
import type { CouponDocument } from '../../core/coupon'
import type { Corners } from '../../core/picture'
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

/** Drags the letters to the corners of the steel, in the open dialog. */
export async function setCorners(page: Page, { corners, widthPx, heightPx }: Photograph): Promise<void> {
  const frame = page.getByRole('group', { name: 'The coupon’s corners' })
  const box = (await frame.boundingBox())!
  for (const [index, letter] of ['A', 'B', 'C', 'D'].entries()) {
    const handle = (await frame
      .getByRole('button', { name: `Corner ${letter}` })
      .locator('.ring')
      .boundingBox())!
    const corner = corners[index]!
    const to = { x: box.x + (corner.x / widthPx) * box.width, y: box.y + (corner.y / heightPx) * box.height }
    await page.mouse.move(handle.x + handle.width / 2, handle.y + handle.height / 2)
    await page.mouse.down()
    await page.mouse.move(to.x, to.y, { steps: 4 })
    await page.mouse.up()
  }
}
