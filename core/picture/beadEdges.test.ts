import { describe, expect, it } from 'vitest'
import { seededRandom } from '../statistics'
import { beadEdges, type BeadSought } from './beadEdges'
import type { Pixels } from './layPicture'

const PX = 8
const LENGTH = 152
const HEIGHT = 40
const SOUGHT: BeadSought = { fromMm: 4, toMm: 148, middleMm: 20, widthMm: 8 }

interface Light {
  /** Standard deviation of each pixel, of 255. */
  readonly noise?: number
  /** How much darker one end is than the other, of 255. */
  readonly shadow?: number
  /** Drops on the plate and the bead. */
  readonly spatter?: number
  /** Half a width of blur, mm. */
  readonly blurMm?: number
  /** How much brighter the middle of the bead is than the plate, of 255. */
  readonly contrast?: number
  readonly seed?: number
}

/** A bead lit from above: round across, rippled along, dark at its toes, on a flat plate. The toes are as told. */
function lit(halfMm: (x: number) => number, middleMm: (x: number) => number, light: Light = {}): Pixels {
  const { noise = 0, shadow = 0, spatter = 0, blurMm = 0, contrast = 30, seed = 3 } = light
  const random = seededRandom(seed)
  const [width, height] = [LENGTH * PX, HEIGHT * PX]
  const drops = Array.from({ length: spatter }, () => ({
    x: random.uniform() * LENGTH,
    y: random.uniform() * HEIGHT,
    r: 0.3 + 0.6 * random.uniform(),
  }))
  const bright = new Float64Array(width * height)
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const [x, y] = [(column + 0.5) / PX, (row + 0.5) / PX]
      const across = (y - middleMm(x)) / halfMm(x)
      let value = 130
      if (Math.abs(across) < 1) {
        const bow = x - 1.6 * (1 - across * across)
        value +=
          contrast * (2 * Math.sqrt(1 - across * across) - 1) + 0.5 * contrast * Math.sin((2 * Math.PI * bow) / 1.7)
      }
      bright[row * width + column] = value - shadow * (x / LENGTH)
    }
  for (const { x, y, r } of drops)
    for (let row = Math.floor((y - r) * PX); row < (y + r) * PX; row++)
      for (let column = Math.floor((x - r) * PX); column < (x + r) * PX; column++)
        if (
          row >= 0 &&
          row < height &&
          column >= 0 &&
          column < width &&
          Math.hypot((column + 0.5) / PX - x, (row + 0.5) / PX - y) < r
        )
          bright[row * width + column]! -= 55
  const reach = Math.round(blurMm * PX)
  const data = new Uint8ClampedArray(width * height * 4).fill(255)
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      let [sum, n] = [0, 0]
      for (let step = -reach; step <= reach; step++) {
        const at = row + step
        if (at < 0 || at >= height) continue
        sum += bright[at * width + column]!
        n++
      }
      data.fill(sum / n + noise * random.normal(), (row * width + column) * 4, (row * width + column) * 4 + 3)
    }
  return { data, width, height }
}
const plain = () => 4
const straight = () => 20

describe('the toes of a bead on its picture', () => {
  it.each<[string, Light, number]>([
    ['in a clear picture', {}, 0.2],
    ['with noise of 8 in 255', { noise: 8 }, 0.2],
    ['with noise of 12', { noise: 12 }, 0.25],
    ['half in shadow', { shadow: 70, noise: 8 }, 0.2],
    ['under spatter', { spatter: 150, noise: 8 }, 0.2],
    ['blurred by half a millimetre', { blurMm: 0.5, noise: 4 }, 0.4],
    ['on a plate as bright as its middle is dull', { contrast: 14, noise: 4 }, 0.25],
  ])('%s: its width within the tolerance, in three draws', (_, light, within) => {
    for (const seed of [1, 2, 3]) {
      const seen = beadEdges(lit(plain, straight, { ...light, seed }), PX, SOUGHT)!
      expect(Math.abs(seen.widthMm - 8)).toBeLessThan(within)
      expect(seen.sure).toBeGreaterThan(0.6)
    }
  })

  it('follow a bead that wanders and is uneven: how far, and how much, not only its mean', () => {
    const [half, middle] = [(x: number) => 4 + 0.7 * Math.sin(x / 9), (x: number) => 20 + 1.2 * Math.sin(x / 21)]
    const seen = beadEdges(lit(half, middle, { noise: 8 }), PX, SOUGHT)!
    for (const { atMm, upperMm, lowerMm } of seen.toes.slice(4, -4)) {
      expect(Math.abs(upperMm - (middle(atMm) - half(atMm)))).toBeLessThan(0.35)
      expect(Math.abs(lowerMm - (middle(atMm) + half(atMm)))).toBeLessThan(0.35)
    }
    expect(seen.unevenMm).toBeGreaterThan(0.8)
    expect(seen.unevenMm).toBeLessThan(1.15)
    expect(seen.straysMm).toBeGreaterThan(0.9)
    const even = beadEdges(lit(plain, straight, { noise: 8 }), PX, SOUGHT)!
    expect(even.unevenMm).toBeLessThan(0.15)
    expect(even.straysMm).toBeLessThan(0.2)
  })

  it('are found where the bead is a third wider, or narrower, than it was drawn, and a little off its line', () => {
    for (const half of [3, 5.2])
      for (const off of [-1, 1]) {
        const seen = beadEdges(
          lit(
            () => half,
            () => 20 + off,
            { noise: 8 },
          ),
          PX,
          SOUGHT,
        )!
        expect(Math.abs(seen.widthMm - 2 * half)).toBeLessThan(0.2)
      }
  })

  it('are not made up: bare plate, a bead as bright as the plate, noise alone and a short bead give none', () => {
    expect(
      beadEdges(
        lit(() => 0.001, straight, { noise: 8 }),
        PX,
        SOUGHT,
      ),
    ).toBeNull()
    expect(beadEdges(lit(plain, straight, { contrast: 0, noise: 8 }), PX, SOUGHT)).toBeNull()
    expect(beadEdges(lit(plain, straight, { contrast: 0, noise: 40, spatter: 200 }), PX, SOUGHT)).toBeNull()
    expect(beadEdges(lit(plain, straight), PX, { ...SOUGHT, toMm: 7 })).toBeNull()
    const nothing: Pixels = {
      data: new Uint8ClampedArray(LENGTH * PX * HEIGHT * PX * 4),
      width: LENGTH * PX,
      height: HEIGHT * PX,
    }
    expect(beadEdges(nothing, PX, SOUGHT)).toBeNull()
  })
})

describe('what a picture cannot show of a bead', () => {
  it('is said by giving nothing: blur of a millimetre, and noise of 40, hide the toes', () => {
    expect(beadEdges(lit(plain, straight, { noise: 40 }), PX, SOUGHT)).toBeNull()
    expect(beadEdges(lit(plain, straight, { blurMm: 1, noise: 12 }), PX, SOUGHT)).toBeNull()
  })
})
