import { describe, expect, it } from 'vitest'
import { stripOf, usualPiece, type Piece } from '../coupon'
import { seededRandom } from '../statistics'
import { pipeOf } from '../trade'
import { radiusOf, sidesOf, spanOf, usualAcrossMm, type Quarter } from './couponPicture'
import { layPicture, placeAt, seenAt, strayMm, type Pixels } from './layPicture'
import type { Corners, Point } from './plane'

interface Solid {
  readonly x: number
  readonly y: number
  readonly z: number
}

/** A pinhole camera that looks at a point from a distance, tilted about the length and turned about its own axis. */
function camera({
  awayMm,
  tilt,
  roll = 0.1,
  focal = 3000,
}: {
  awayMm: number
  tilt: number
  roll?: number
  focal?: number
}) {
  return ({ x, y, z }: Solid): Point => {
    const [yt, zt] = [y * Math.cos(tilt) - z * Math.sin(tilt), y * Math.sin(tilt) + z * Math.cos(tilt)]
    const depth = awayMm - zt
    const [u, v] = [(focal * x) / depth, (focal * yt) / depth]
    return { x: 2000 + u * Math.cos(roll) - v * Math.sin(roll), y: 1500 + u * Math.sin(roll) + v * Math.cos(roll) }
  }
}

const degrees = (angle: number) => (angle * Math.PI) / 180
const pad = usualPiece('pad')
const groove = usualPiece('plate groove', true)

/** A plate as a camera sees it: its corners, and any place of its strip. */
function plateSeen(piece: Piece, see: (at: Solid) => Point) {
  const { lengthMm, widthMm } = stripOf(piece)
  const acrossMm = usualAcrossMm(piece)
  const at = (x: number, y: number) => see({ x: x - lengthMm / 2, y: y - widthMm / 2, z: 0 })
  const [upper, lower] = [widthMm / 2 - acrossMm / 2, widthMm / 2 + acrossMm / 2]
  const corners: Corners = [at(0, upper), at(lengthMm, upper), at(lengthMm, lower), at(0, lower)]
  return { of: { piece, lies: { corners, acrossMm, quarter: null } }, at, lengthMm, widthMm }
}

describe('a plate on its picture', () => {
  it.each([
    ['a pad', pad],
    ['an open root', groove],
  ])('%s: each place within 0.01 mm of where a camera at up to 50 degrees saw it', (_, piece) => {
    for (const tilt of [0, 15, 30, 50]) {
      const { of, at, lengthMm, widthMm } = plateSeen(piece, camera({ awayMm: 350, tilt: degrees(tilt) }))
      for (const along of [0, 0.3, 1])
        for (const across of [0, 0.4, 1]) {
          const place = { x: along * lengthMm, y: across * widthMm }
          const seen = seenAt(of)(place)
          expect(Math.hypot(seen.x - at(place.x, place.y).x, seen.y - at(place.x, place.y).y)).toBeLessThan(0.05)
          const back = placeAt(of)(at(place.x, place.y))
          expect(Math.hypot(back.x - place.x, back.y - place.y)).toBeLessThan(0.01)
        }
    }
  })

  it('at 30 degrees, corners set within 2 pixels: under 0.5 mm over 6 in, and as far off as it says', () => {
    const { of, at, lengthMm, widthMm } = plateSeen(pad, camera({ awayMm: 350, tilt: degrees(30) }))
    const said = strayMm(of, 2)
    expect(said).toBeGreaterThan(0.1)
    expect(said).toBeLessThan(0.5)
    const random = seededRandom(11)
    const places = [0.02, 0.5, 0.98].flatMap(along =>
      [0, 0.5, 1].map(across => ({ x: along * lengthMm, y: across * widthMm })),
    )
    const squares = places.map(() => 0)
    const draws = 2000
    for (let n = 0; n < draws; n++) {
      const corners = of.lies.corners.map(({ x, y }) => ({
        x: x + 2 * random.normal(),
        y: y + 2 * random.normal(),
      })) as unknown as Corners
      const off = placeAt({ ...of, lies: { ...of.lies, corners } })
      places.forEach((place, index) => {
        const found = off(at(place.x, place.y))
        squares[index]! += (found.x - place.x) ** 2 + (found.y - place.y) ** 2
      })
    }
    const came = Math.sqrt(Math.max(...squares) / draws)
    expect(came / said).toBeGreaterThan(0.93)
    expect(came / said).toBeLessThan(1.07)
  })

  it('a root side seen from behind lies as it is drawn', () => {
    const see = camera({ awayMm: 350, tilt: degrees(10) })
    // The plate is turned over about its length: up is down to the camera.
    const { of, at, lengthMm } = plateSeen(groove, ({ x, y, z }) => see({ x, y: -y, z: -z }))
    const place = { x: lengthMm / 4, y: 3 }
    const back = placeAt(of)(at(place.x, place.y))
    expect(back.x).toBeCloseTo(place.x, 3)
    expect(back.y).toBeCloseTo(place.y, 3)
    expect(sidesOf(groove)).toEqual(['face', 'root'])
    expect(sidesOf(pad)).toEqual(['face'])
    expect(sidesOf(usualPiece('pipe butt'))).toEqual(['face'])
  })

  it('is laid out to scale: a line drawn on the steel lies within half a millimetre of its place', () => {
    const see = camera({ awayMm: 420, tilt: degrees(30) })
    const { of, lengthMm, widthMm } = plateSeen(pad, see)
    const picture: Pixels = { data: new Uint8ClampedArray(2600 * 2600 * 4).fill(200), width: 2600, height: 2600 }
    const lies = placeAt(of)
    const lines = [20, 76.2, 131]
    for (let y = 0; y < picture.height; y++)
      for (let x = 0; x < picture.width; x++) {
        const place = lies({ x: x + 0.5, y: y + 0.5 })
        if (lines.some(line => Math.abs(place.x - line) < 0.4) && place.y > 0 && place.y < widthMm)
          picture.data.fill(0, (y * 2600 + x) * 4, (y * 2600 + x) * 4 + 3)
      }
    const pxPerMm = 6
    const laid = layPicture(picture, of, pxPerMm)
    expect([laid.width, laid.height]).toEqual([Math.round(lengthMm * pxPerMm), Math.round(widthMm * pxPerMm)])
    const row = Math.round(laid.height / 2)
    for (const line of lines) {
      let [weight, sum] = [0, 0]
      for (let x = Math.round((line - 3) * pxPerMm); x < (line + 3) * pxPerMm; x++) {
        const dark = 200 - laid.data[(row * laid.width + x) * 4]!
        weight += dark
        sum += dark * (x + 0.5)
      }
      expect(Math.abs(sum / weight / pxPerMm - line)).toBeLessThan(0.1)
    }
  })

  it('what the picture does not show is clear', () => {
    const picture: Pixels = { data: new Uint8ClampedArray(400 * 400 * 4).fill(255), width: 400, height: 400 }
    const corners: Corners = [
      { x: 200, y: 0 },
      { x: 400, y: 0 },
      { x: 400, y: 400 },
      { x: 200, y: 400 },
    ]
    const wide = layPicture(picture, { piece: groove, lies: { corners, acrossMm: 10, quarter: null } }, 2)
    expect(wide.data[3]).toBe(0)
    expect(wide.data[(Math.floor(wide.height / 2) * wide.width + Math.floor(wide.width / 2)) * 4 + 3]).toBe(255)
  })
})

describe('a quarter of a pipe on its picture', () => {
  const pipe = usualPiece('pipe butt')
  const { outsideMm } = pipeOf('2 Sch 80')
  const radius = outsideMm / 2
  /** The pipe lies along y; the quarter's middle is nearest to the camera. */
  const quarterSeen = (quarter: Quarter, awayMm: number) => {
    const see = camera({ awayMm, tilt: 0, focal: awayMm * 10 })
    const { fromMm, toMm } = spanOf(pipe, quarter)
    const { widthMm } = stripOf(pipe)
    const at = (x: number, y: number) => {
      const angle = ((x - fromMm) / (toMm - fromMm) - 0.5) * (Math.PI / 2)
      return see({ x: radius * Math.sin(angle), y: y - widthMm / 2, z: radius * Math.cos(angle) })
    }
    const acrossMm = usualAcrossMm(pipe)
    const [upper, lower] = [widthMm / 2 - acrossMm / 2, widthMm / 2 + acrossMm / 2]
    const corners: Corners = [at(fromMm, upper), at(toMm, upper), at(toMm, lower), at(fromMm, lower)]
    return { of: { piece: pipe, lies: { corners, acrossMm, quarter } }, at, fromMm, toMm, widthMm }
  }

  it('is unrolled: from far off each place lies where it is, in every quarter', () => {
    // 2 3/8 in outside (ASME B36.10M).
    expect(radiusOf(pipe)).toBeCloseTo((2.375 * 25.4) / 2, 6)
    expect(radiusOf(pad)).toBeNull()
    for (const quarter of [0, 1, 2, 3] as const) {
      const { of, at, fromMm, toMm, widthMm } = quarterSeen(quarter, 100_000)
      for (const along of [0, 0.1, 0.5, 0.8, 1])
        for (const y of [0, widthMm]) {
          const x = fromMm + along * (toMm - fromMm)
          const back = placeAt(of)(at(x, y))
          expect(Math.hypot(back.x - x, back.y - y)).toBeLessThan(0.05)
        }
    }
  })

  it('from a hand’s width it is off by under 0.7 mm along the seam, as its crown is nearer', () => {
    const { of, at, fromMm, toMm, widthMm } = quarterSeen(1, 300)
    const off = Array.from({ length: 21 }, (_, n) => {
      const x = fromMm + (n / 20) * (toMm - fromMm)
      return Math.abs(placeAt(of)(at(x, widthMm / 2)).x - x)
    })
    expect(Math.max(...off)).toBeLessThan(0.7)
    expect(Math.max(...off)).toBeGreaterThan(0.1)
  })
})
