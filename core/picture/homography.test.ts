import PerspT from 'perspective-transform'
import { describe, expect, it } from 'vitest'
import { seededRandom } from '../statistics'
import { homographyOf, mapPoint } from './homography'
import { cornersTrouble, type Corners, type Point } from './plane'

const RECTANGLE: Corners = [
  { x: 0, y: 0 },
  { x: 152.4, y: 0 },
  { x: 152.4, y: 101.6 },
  { x: 0, y: 101.6 },
]

describe('a homography', () => {
  it('is what a general-purpose library finds for four points, in a hundred views', () => {
    const random = seededRandom(7)
    for (let n = 0; n < 100; n++) {
      const corners = RECTANGLE.map(({ x, y }) => ({
        x: 400 + 18 * x + 300 * random.normal(),
        y: 300 + 18 * y + 300 * random.normal(),
      })) as unknown as Corners
      if (cornersTrouble(corners, { widthPx: 9000, heightPx: 9000 })) continue
      const flat = (points: readonly Point[]) => points.flatMap(({ x, y }) => [x, y])
      const theirs = PerspT(flat(corners), flat(RECTANGLE))
      const ours = homographyOf(corners, RECTANGLE)
      for (const [x, y] of [
        [900, 700],
        [1500, 1100],
        [2500, 1800],
      ] as const) {
        // It rounds its coefficients to ten decimals.
        const [u, v] = theirs.transform(x, y)
        const { x: a, y: b } = mapPoint(ours, { x, y })
        expect(a).toBeCloseTo(u!, 4)
        expect(b).toBeCloseTo(v!, 4)
      }
    }
  })

  it('takes the unit square to a trapezium as worked by hand', () => {
    // x' = x / (1 + y), y' = 2 y / (1 + y): the corners of the far side draw together to a half.
    const square: Corners = [
      { x: 0, y: 0 },
      { x: 1, y: 0 },
      { x: 1, y: 1 },
      { x: 0, y: 1 },
    ]
    const h = homographyOf(square, [
      { x: 0, y: 0 },
      { x: 1, y: 0 },
      { x: 0.5, y: 1 },
      { x: 0, y: 1 },
    ])
    const middle = mapPoint(h, { x: 0.5, y: 0.5 })
    expect(middle.x).toBeCloseTo(1 / 3, 9)
    expect(middle.y).toBeCloseTo(2 / 3, 9)
  })

  it('of more than four points lies between them, nearer to the truth than four of them', () => {
    const random = seededRandom(3)
    const truth = homographyOf(RECTANGLE, [
      { x: 310, y: 220 },
      { x: 2890, y: 400 },
      { x: 2700, y: 2010 },
      { x: 260, y: 1900 },
    ])
    const grid = Array.from({ length: 20 }, (_, n) => ({ x: (n % 5) * 38.1, y: Math.floor(n / 5) * 33.87 }))
    const seen = grid.map(place => {
      const { x, y } = mapPoint(truth, place)
      return { x: x + 4 * random.normal(), y: y + 4 * random.normal() }
    })
    const corners = [0, 4, 19, 15]
    const off = (h: ReturnType<typeof homographyOf>) =>
      Math.max(
        ...grid.map(place => {
          const [a, b] = [mapPoint(h, place), mapPoint(truth, place)]
          return Math.hypot(a.x - b.x, a.y - b.y)
        }),
      )
    const four = homographyOf(
      corners.map(n => grid[n]!),
      corners.map(n => seen[n]!),
    )
    expect(off(homographyOf(grid, seen))).toBeLessThan(off(four))
  })

  it('is refused for three points, for lists of two lengths and for one place', () => {
    expect(() => homographyOf(RECTANGLE.slice(0, 3), RECTANGLE.slice(0, 3))).toThrow(RangeError)
    expect(() => homographyOf(RECTANGLE, RECTANGLE.slice(0, 3))).toThrow(RangeError)
    const one = [RECTANGLE[0], RECTANGLE[0], RECTANGLE[0], RECTANGLE[0]]
    expect(() => homographyOf(one, RECTANGLE)).toThrow('all in one place')
  })
})

describe('four corners', () => {
  const size = { widthPx: 1000, heightPx: 800 }
  const good: Corners = [
    { x: 100, y: 100 },
    { x: 900, y: 120 },
    { x: 880, y: 700 },
    { x: 90, y: 690 },
  ]
  const with2 = (corner: Point): Corners => [good[0], good[1], corner, good[3]]
  it('may go round either way: a root side is seen from behind', () => {
    expect(cornersTrouble(good, size)).toBeNull()
    expect(cornersTrouble([good[3], good[2], good[1], good[0]], size)).toBeNull()
  })
  it.each([
    ['outside the picture', with2({ x: 1200, y: 700 })],
    ['outside the picture', with2({ x: Number.NaN, y: 700 })],
    ['lie on each other', with2({ x: 91, y: 691 })],
    ['Two edges cross', [good[0], good[2], good[1], good[3]] as Corners],
    ['almost on a line', with2({ x: 560, y: 440 })],
  ])('are refused in words: %s', (says, corners) => {
    expect(cornersTrouble(corners, size)).toContain(says)
  })
})
