import { describe, expect, it } from 'vitest'
import { inches } from '../units'
import { seededRandom } from '../statistics'
import { homographyOf, mapPoint, type Homography } from './homography'
import type { Pixels } from './layPicture'
import type { Point } from './plane'
import { cornersByCard, findScaleCard, SCALE_CARD } from './scaleCard'

/** The plane that is seen: a plate 6 by 4 in, and a card beside it, mm from the plate's upper left corner. */
const PLATE = { long: inches(6), across: inches(4) }
const CARD_AT = { x: 30, y: 120 }
/** Size of a picture, px: smaller than what is kept, which is harder. */
const SIZE = { width: 1000, height: 750 }

interface View {
  /** Tilt of the camera about the two axes of the picture, degrees. */
  readonly tilt?: readonly [number, number]
  /** The plane turned under the camera, degrees. */
  readonly turned?: number
  /** How many times as many pixels each way. */
  readonly finer?: number
  readonly noise?: number
  readonly blur?: number
  readonly shadow?: number
  /** Printed larger than it should be, and turned over as in a mirror. */
  readonly printed?: number
  readonly mirrored?: boolean
  readonly covered?: boolean
}

const radians = (degrees: number) => (degrees * Math.PI) / 180

/** A pinhole camera half a metre above the middle of the plane: px for mm, by its rotation worked out in full. */
function camera({ tilt = [0, 0], turned = 0, finer = 1 }: View): (place: Point) => Point {
  const [a, b, c] = [radians(tilt[0]), radians(tilt[1]), radians(turned)]
  const [away, focal] = [500, 1810 * finer]
  return ({ x, y }) => {
    const [x0, y0] = [x - 76, y - 90]
    const [x1, y1] = [x0 * Math.cos(c) - y0 * Math.sin(c), x0 * Math.sin(c) + y0 * Math.cos(c)]
    // About the level axis, then about the upright one.
    const [y2, z2] = [y1 * Math.cos(a), y1 * Math.sin(a)]
    const [x3, z3] = [x1 * Math.cos(b) + z2 * Math.sin(b), -x1 * Math.sin(b) + z2 * Math.cos(b)]
    const z = away + z3
    return { x: (SIZE.width * finer) / 2 + (focal * x3) / z, y: (SIZE.height * finer) / 2 + (focal * y2) / z }
  }
}

/** What a camera sees: a grey plate with dark stripes for beads, the card white; each pixel is drawn at four points. */
function pictureOf(view: View): Pixels {
  const { noise = 3, blur = 0.5, shadow = 0, printed = 1, mirrored = false, covered = false } = view
  const [width, height] = [SIZE.width, SIZE.height].map(side => side * (view.finer ?? 1)) as [number, number]
  const see = camera(view)
  const square = [
    { x: 0, y: 0 },
    { x: 200, y: 0 },
    { x: 200, y: 200 },
    { x: 0, y: 200 },
  ]
  const back: Homography = homographyOf(square.map(see), square)
  const margin = { x: (SCALE_CARD.widthMm - inches(3)) / 2, y: (SCALE_CARD.heightMm - inches(2)) / 2 }
  const brightness = ({ x, y }: Point): number => {
    const card = { x: (x - CARD_AT.x) / printed, y: (y - CARD_AT.y) / printed }
    if (card.x > 0 && card.y > 0 && card.x < SCALE_CARD.widthMm && card.y < SCALE_CARD.heightMm) {
      const on = { x: (mirrored ? SCALE_CARD.widthMm - card.x : card.x) - margin.x, y: card.y - margin.y }
      if (covered && on.x > 60 && on.y > 35) return 120
      for (const target of SCALE_CARD.targets) {
        const r = 2 * Math.hypot(on.x - target.x, on.y - target.y)
        if (r < SCALE_CARD.dotMm || (r > SCALE_CARD.ringInsideMm && r < SCALE_CARD.ringMm)) return 30
      }
      return 225
    }
    if (x > 0 && y > 0 && x < PLATE.long && y < PLATE.across) return y % 14 < 3 ? 90 : 150
    return 70
  }
  const random = seededRandom(5)
  const bright = new Float64Array(width * height)
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      let sum = 0
      for (const dx of [-0.7, 0.7])
        for (const dy of [-0.7, 0.7])
          sum += brightness(
            mapPoint(back, { x: column + 0.5 + dx * 0.5 * (blur + 0.5), y: row + 0.5 + dy * 0.5 * (blur + 0.5) }),
          )
      bright[row * width + column] = (sum / 4) * (1 - (shadow * column) / width)
    }
  const data = new Uint8ClampedArray(width * height * 4).fill(255)
  bright.forEach((value, n) => data.fill(value + noise * random.normal(), 4 * n, 4 * n + 3))
  return { data, width, height }
}

/** How far corners C and D lie from the truth when A and B are set on it, mm of the plate. */
function errorMm(view: View): number {
  const card = findScaleCard(pictureOf(view))
  if (!card) return Infinity
  const see = camera(view)
  const truth = [
    { x: 0, y: 0 },
    { x: PLATE.long, y: 0 },
    { x: PLATE.long, y: PLATE.across },
    { x: 0, y: PLATE.across },
  ]
  const [a, b, c, d] = truth.map(see)
  const { corners } = cornersByCard(card, [a!, b!], PLATE.across, true)
  const mmOfPx = PLATE.across / Math.hypot(a!.x - d!.x, a!.y - d!.y)
  return Math.max(
    ...(
      [
        [corners[2], c!],
        [corners[3], d!],
      ] as const
    ).map(([one, other]) => Math.hypot(one.x - other.x, one.y - other.y) * mmOfPx),
  )
}

describe('a scale card', () => {
  it.each([
    ['from square above', {}],
    ['turned by 35 degrees', { turned: 35 }],
    ['upside down', { turned: 180 }],
    ['at 30 degrees of tilt', { tilt: [30, 0] }],
    ['at 30 degrees about the other axis', { tilt: [0, -30] }],
    [
      'tilted both ways, with noise, blur and a shadow across it',
      { tilt: [18, 15], noise: 8, blur: 1.5, shadow: 0.5, finer: 1.6 },
    ],
  ] as const)('%s puts the corners of a plate of 6 in within half a millimetre', (_, view) =>
    expect(errorMm(view)).toBeLessThan(0.5),
  )

  it('says how long the edge from A to B is', () => {
    const card = findScaleCard(pictureOf({ tilt: [20, 10] }))!
    const see = camera({ tilt: [20, 10] })
    const ends = [see({ x: 0, y: 0 }), see({ x: PLATE.long, y: 0 })] as const
    expect(cornersByCard(card, ends, PLATE.across, true).longMm).toBeCloseTo(152.4, 0)
    expect(card.strayMm).toBeLessThan(0.2)
  })
  it('that was printed too large makes the plate too short by as much', () => {
    const card = findScaleCard(pictureOf({ printed: 1.06 }))!
    const see = camera({})
    const ends = [see({ x: 0, y: 0 }), see({ x: PLATE.long, y: 0 })] as const
    expect(cornersByCard(card, ends, PLATE.across, true).longMm).toBeCloseTo(152.4 / 1.06, 0)
  })
  it('lays a plate that stands to the other side of its edge', () => {
    const card = findScaleCard(pictureOf({}))!
    const see = camera({})
    const ends = [see({ x: PLATE.long, y: 0 }), see({ x: 0, y: 0 })] as const
    const far = see({ x: 0, y: PLATE.across })
    const { corners } = cornersByCard(card, ends, PLATE.across, false)
    expect(Math.hypot(corners[2].x - far.x, corners[2].y - far.y)).toBeLessThan(4)
    expect(() => cornersByCard(card, [ends[0], ends[0]], 100, true)).toThrow(RangeError)
  })
  it('that is seen in part, in a mirror, or not at all is not found', () => {
    expect(findScaleCard(pictureOf({ covered: true }))).toBeNull()
    expect(findScaleCard(pictureOf({ mirrored: true }))).toBeNull()
    const plain = { data: new Uint8ClampedArray(4 * 400 * 300).fill(180), width: 400, height: 300 }
    expect(findScaleCard(plain)).toBeNull()
  })
})
