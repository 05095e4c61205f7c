import highsLoader from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { seededRandom } from '../statistics'
import type { Solve } from '../integerProgram'
import { solverOf } from '../integerProgram/highs'
import { bestCut, cutFaults, planByHand, type CutOrder, type CutPlan } from '.'

let solve: Solve
beforeAll(async () => {
  solve = solverOf(await highsLoader())
})

const order = (
  lengths: readonly (readonly [lengthMm: number, count: number])[],
  stock: readonly (readonly [lengthMm: number, count: number | null])[],
  more: Partial<CutOrder> = {},
): CutOrder => ({
  pieces: lengths.map(([lengthMm, count]) => ({ name: `${lengthMm}`, lengthMm, count })),
  stock: stock.map(([lengthMm, count]) => ({ name: `${lengthMm} stock`, lengthMm, count })),
  kerfMm: 0,
  leastOffcutMm: 100,
  ...more,
})

/** Whether a plan cuts just what was asked, each bar within its length, no stock more often than there is. */
function holds(wanted: CutOrder, { bars }: CutPlan): void {
  for (const { name, count } of wanted.pieces)
    expect(bars.flatMap(bar => bar.pieces).filter(piece => piece.name === name)).toHaveLength(count)
  for (const bar of bars) {
    let at = 0
    for (const piece of bar.pieces) {
      expect(piece.fromMm).toBeCloseTo(at, 6)
      at = piece.fromMm + piece.lengthMm + wanted.kerfMm
    }
    expect(at - wanted.kerfMm).toBeLessThanOrEqual(bar.lengthMm + 1e-6)
    expect(bar.leftMm).toBeGreaterThanOrEqual(0)
  }
  for (const [n, { count }] of wanted.stock.entries())
    if (count !== null) expect(bars.filter(bar => bar.stock === n).length).toBeLessThanOrEqual(count)
}

describe('the fewest bars', () => {
  // From memory, check your copy: the cutting stock example of paper rolls of 5600 with 73 rolls as its least, and
  // bin packings whose least number is plain from their sum.
  it.each([
    [
      'paper rolls of 5600: 73',
      order(
        [
          [1380, 22],
          [1520, 25],
          [1560, 12],
          [1710, 14],
          [1820, 18],
          [1880, 18],
          [1930, 20],
          [2000, 10],
          [2050, 12],
          [2100, 14],
          [2140, 16],
          [2150, 18],
          [2200, 20],
        ],
        [[5600, null]],
      ),
      73,
    ],
    [
      'three that fill it just so',
      order(
        [
          [3, 4],
          [4, 4],
          [5, 4],
        ],
        [[12, null]],
      ),
      4,
    ],
    ['a kerf that spoils a whole division', order([[1000, 6]], [[6000, null]], { kerfMm: 3 }), 2],
    ['no cut after the last that ends with the bar', order([[999, 6]], [[6009, null]], { kerfMm: 3 }), 1],
    ['one piece of a bar', order([[300, 1]], [[6000, null]]), 1],
    // 281 in all, of bars of 100: under three it cannot be.
    [
      'many kinds, three bars',
      order(
        [
          [44, 2],
          [24, 2],
          [22, 3],
          [21, 2],
          [17, 1],
          [8, 1],
          [6, 2],
        ],
        [[100, null]],
      ),
      3,
    ],
  ])('%s', (_, wanted, least) => {
    const found = bestCut(wanted, solve)!
    holds(wanted, found.plan)
    expect(found.plan.begun).toBe(least)
    expect(found.fewest).toBeLessThanOrEqual(least)
  })

  it('is never more than by hand, and never under what cannot be gone under', () => {
    const random = seededRandom(3)
    for (let n = 0; n < 40; n++) {
      const kinds = 2 + Math.floor(random.uniform() * 4)
      const lengths = Array.from(
        { length: kinds },
        () => [Math.round(80 + random.uniform() * 900), 1 + Math.floor(random.uniform() * 12)] as const,
      )
      const wanted = order(lengths, [[3000, null]], { kerfMm: random.pick([0, 2, 3.2]) })
      const { plan, fewest, byHand } = bestCut(wanted, solve)!
      holds(wanted, plan)
      expect(plan.begun).toBeLessThanOrEqual(byHand!)
      expect(plan.begun).toBeGreaterThanOrEqual(fewest!)
      // Gilmore and Gomory's relaxation rounds up to the least or one over it.
      expect(plan.begun - fewest!).toBeLessThanOrEqual(1)
    }
  })

  it('offcuts are used up before a new bar is begun; what does not fit them goes on a new one', () => {
    const wanted = order(
      [
        [600, 1],
        [5900, 1],
      ],
      [
        [6000, null],
        [650, 1],
      ],
    )
    const { plan } = bestCut(wanted, solve)!
    holds(wanted, plan)
    expect(plan.bars.map(bar => bar.lengthMm).sort((a, b) => a - b)).toEqual([650, 6000])
    const small = bestCut(
      order(
        [[200, 3]],
        [
          [6000, null],
          [650, 1],
        ],
      ),
      solve,
    )!
    expect(small.plan.bars.map(bar => bar.lengthMm)).toEqual([650])
  })

  it('of more kinds than can all be looked at comes out no worse than by hand, and claims no proof', () => {
    const many = Array.from({ length: 20 }, (_, n) => [150 + 7 * n, 3] as const)
    const wanted = order(many, [[6000, null]], { kerfMm: 3 })
    const { plan, fewest, byHand } = bestCut(wanted, solve)!
    holds(wanted, plan)
    expect(plan.begun).toBeLessThanOrEqual(byHand!)
    expect(fewest).toBeNull()
  })

  it('falls back to the plan by hand where the solver had no time, and proves nothing', () => {
    const wanted = order([[200, 3]], [[6000, null]])
    const outOfTime: Solve = () => ({ proved: false, value: 0, of: () => 0 })
    const found = bestCut(wanted, outOfTime)!
    holds(wanted, found.plan)
    expect(found).toMatchObject({ fewest: null, byHand: 1 })
  })

  it('says where there is not enough', () => {
    expect(bestCut(order([[500, 3]], [[650, 2]]), solve)).toBeNull()
  })

  it('says what is kept and what is wasted', () => {
    const { plan } = bestCut(order([[1000, 5]], [[6000, null]], { kerfMm: 4, leastOffcutMm: 500 }), solve)!
    // Five pieces, five cuts: 6000 − 5000 − 20 is left.
    expect(plan.bars[0]!.leftMm).toBeCloseTo(980, 6)
    expect(plan).toMatchObject({ begun: 1, keptMm: 980 })
    expect(plan.wasteMm).toBeCloseTo(20, 6)
    const short = bestCut(order([[1000, 5]], [[5300, null]], { kerfMm: 4, leastOffcutMm: 500 }), solve)!
    expect(short.plan.wasteMm).toBeCloseTo(300, 6)
  })
})

describe('an order', () => {
  it.each([
    [order([], [[6000, null]]), 'Say what is wanted'],
    [order([[100, 1]], []), 'Say what there is to cut from'],
    [order([[7000, 1]], [[6000, null]]), '7000 is longer than anything there is'],
    [order([[100, 0]], [[6000, null]]), '100: how many, a whole number from 1 to 500'],
    [order([[-5, 1]], [[6000, null]]), '-5: a length over nought'],
    [order([[100, 1]], [[6000, 0]]), '6000 stock: how many, a whole number from 1'],
    [order([[100, 1]], [[6000, null]], { kerfMm: -1 }), 'The saw takes from nought to an inch'],
  ])('is refused with what is wrong: %#', (wrong, says) => expect(cutFaults(wrong)).toContain(says))

  it('that can be cut has nothing wrong; by hand it comes out too', () => {
    const wanted = order([[100, 3]], [[6000, null]])
    expect(cutFaults(wanted)).toEqual([])
    holds(wanted, planByHand(wanted)!)
  })
})
