import type { Page } from 'playwright-core'
import { stripOf, type CouponDocument } from '../../core/coupon'
import { homographyOf, mapPoint, usualAcrossMm, type Corners, type Point } from '../../core/picture'
import { withPlace } from '../../core/picture/exampleJpeg'
import { seededRandom } from '../../core/statistics'

export interface Photograph {
  readonly file: { readonly name: string; readonly mimeType: string; readonly buffer: Buffer }
  readonly widthPx: number
  readonly heightPx: number
  /** Where the steel's corners are on it, px: start of the beads above first. */
  readonly corners: Corners
}

interface Shape {
  readonly points: readonly Point[]
  readonly fill: string
}

/** A coupon of plate as a phone sees it: held a little askew on a dark bench, ripples and spatter on it. */
function shapesOf(document: CouponDocument, corners: Corners): Shape[] {
  const { lengthMm, widthMm } = stripOf(document.piece)
  const acrossMm = usualAcrossMm(document.piece)
  const [upper, lower] = [widthMm / 2 - acrossMm / 2, widthMm / 2 + acrossMm / 2]
  const seen = homographyOf(
    [
      { x: 0, y: upper },
      { x: lengthMm, y: upper },
      { x: lengthMm, y: lower },
      { x: 0, y: lower },
    ],
    corners,
  )
  const at = (x: number, y: number) => mapPoint(seen, { x, y })
  const random = seededRandom(5)
  const shapes: Shape[] = [{ points: corners, fill: '#8d9498' }]
  for (const bead of document.beads) {
    const middle = widthMm - bead.offsetMm
    const half = (x: number) => (bead.widthMm / 2) * (1 + 0.07 * Math.sin(x / 7 + middle))
    const xs = Array.from({ length: 60 }, (_, n) => bead.fromMm + (n / 59) * (bead.toMm - bead.fromMm))
    shapes.push({
      points: [...xs.map(x => at(x, middle - half(x))), ...[...xs].reverse().map(x => at(x, middle + half(x)))],
      fill: '#6b7276',
    })
    for (let x = bead.fromMm + 1; x < bead.toMm; x += 1.6) {
      const bow = Array.from({ length: 9 }, (_, n) => {
        const across = (n - 4) / 4
        return { x: x + 1.9 * (1 - across * across), y: middle + across * half(x) * 0.94 }
      })
      shapes.push({
        points: [...bow.map(({ x: u, y }) => at(u, y)), ...[...bow].reverse().map(({ x: u, y }) => at(u - 0.55, y))],
        fill: random.chance(0.5) ? '#9aa2a6' : '#a6aeb2',
      })
    }
  }
  for (let n = 0; n < 60; n++) {
    const [x, y, r] = [random.uniform() * lengthMm, random.uniform() * widthMm, 0.3 + random.uniform() * 0.5]
    const round = Array.from({ length: 10 }, (_, k) => at(x + r * Math.cos(k * 0.63), y + r * Math.sin(k * 0.63)))
    shapes.push({ points: round, fill: '#4b5256' })
  }
  return shapes
}

/** Takes a picture of a coupon, with the place and the phone written into its file as phones do. */
export async function photograph(
  page: Page,
  document: CouponDocument,
  [widthPx, heightPx] = [4000, 3000],
): Promise<Photograph> {
  const corners: Corners = [
    { x: 0.13 * widthPx, y: 0.2 * heightPx },
    { x: 0.86 * widthPx, y: 0.15 * heightPx },
    { x: 0.9 * widthPx, y: 0.83 * heightPx },
    { x: 0.09 * widthPx, y: 0.78 * heightPx },
  ]
  const base64 = await page.evaluate(
    async ({ shapes, size: [width, height] }) => {
      const canvas = new OffscreenCanvas(width!, height!)
      const context = canvas.getContext('2d')!
      context.fillStyle = '#34302c'
      context.fillRect(0, 0, width!, height!)
      for (const { points, fill } of shapes) {
        context.fillStyle = fill
        context.beginPath()
        points.forEach(({ x, y }, n) => (n === 0 ? context.moveTo(x, y) : context.lineTo(x, y)))
        context.closePath()
        context.fill()
      }
      const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 })
      return new Promise<string>(resolve => {
        const reader = new FileReader()
        reader.onload = () => resolve(String(reader.result).split(',')[1]!)
        reader.readAsDataURL(blob)
      })
    },
    { shapes: shapesOf(document, corners), size: [widthPx, heightPx] },
  )
  const buffer = Buffer.from(withPlace(Buffer.from(base64, 'base64')))
  return { file: { name: 'coupon.jpg', mimeType: 'image/jpeg', buffer }, widthPx, heightPx, corners }
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
    await page.mouse.move(handle.x + handle.width / 2, handle.y + handle.height / 2)
    await page.mouse.down()
    await page.mouse.move(box.x + (corner.x / widthPx) * box.width, box.y + (corner.y / heightPx) * box.height, {
      steps: 4,
    })
    await page.mouse.up()
  }
}
