import { describe, expect, it } from 'vitest'
import { isTry, setDegree, type CouponDocument, type Mark, type TryMark } from '../coupon'
import { aCoupon, aFlaw, exampleRead } from '../coupon/example'
import { DEFAULT_HOUSE_RULES } from '../house'
import { inches } from '../units'
import { addTallies, blindCopy, compareReadings, ownCopy, tallyOf } from '.'
import { addTables, kappa, sayKappa, seededRandom, type AgreementTable } from '../statistics'

const COHEN: AgreementTable = [
  [88, 14, 18],
  [10, 40, 10],
  [2, 6, 12],
]

describe('kappa (worked examples as they are taught; attribution from memory)', () => {
  it.each<[string, AgreementTable, number]>([
    [
      '2 × 2, n = 50',
      [
        [20, 5],
        [10, 15],
      ],
      0.4,
    ],
    ['Cohen 1960, 3 × 3, n = 200', COHEN, 0.491525],
    [
      'n = 100, 60 % agreed',
      [
        [45, 15],
        [25, 15],
      ],
      0.130435,
    ],
    [
      'the same share agreed, another kappa',
      [
        [25, 35],
        [5, 35],
      ],
      0.259259,
    ],
    [
      'a rare category',
      [
        [118, 5],
        [2, 0],
      ],
      -0.023392,
    ],
    [
      'n = 100, 85 % agreed',
      [
        [80, 10],
        [5, 5],
      ],
      0.318182,
    ],
  ])('%s', (_, table, value) => {
    expect(kappa([table]).kappa).toBeCloseTo(value, 6)
  })
  it('is weighted where degrees are ordered (Cohen 1968 on the same table)', () => {
    expect(kappa([COHEN], 'linear').kappa).toBeCloseTo(0.4737, 4)
    expect(kappa([COHEN], 'quadratic').kappa).toBeCloseTo(0.4545, 4)
    const twoByTwo = [
      [20, 5],
      [10, 15],
    ]
    expect(kappa([twoByTwo], 'quadratic').kappa).toBeCloseTo(0.4, 9)
  })
  const square = (a: number, b: number, c: number, d: number): AgreementTable => [
    [a, b],
    [c, d],
  ]
  it('is nothing when one reader always says the same, and undefined when both do', () => {
    expect(kappa([square(10, 0, 5, 0)]).kappa).toBeCloseTo(0, 12)
    expect(kappa([square(15, 0, 0, 0)]).kappa).toBeNull()
    expect(kappa([square(7, 0, 0, 8)]).kappa).toBe(1)
  })
  it('of several coupons is that of all their counts', () =>
    expect(kappa([square(12, 3, 4, 5), square(8, 2, 6, 10)]).kappa).toBeCloseTo(0.4, 9))
  it('is not known to a point: one coupon says nothing of how sure, and three that agree leave room', () => {
    expect(kappa([square(20, 5, 10, 15)])).toMatchObject({ low: -1, high: 1 })
    const agreed = kappa([square(30, 0, 0, 6), square(31, 0, 0, 5), square(28, 0, 0, 8)])
    expect(agreed).toMatchObject({ kappa: 1, high: 1 })
    expect(agreed.low).toBeLessThan(0.95)
    expect(agreed.low).toBeGreaterThan(0.5)
  })
  it('has an interval that holds the truth where coupons differ in how much is seen on them', () => {
    // What one reader sees of a coupon's faults differs from coupon to coupon; the truth is that of very many coupons.
    const random = seededRandom(5)
    const coupon = (): AgreementTable => {
      const sight = random.chance(0.5) ? 0.9 : 0.5
      const counts = [
        [0, 0],
        [0, 0],
      ]
      for (let inch = 0; inch < 36; inch++) {
        const there = random.chance(0.25) ? 1 : 0
        counts[there]![random.chance(there ? sight : 0.03) ? 1 : 0]! += 1
      }
      return counts
    }
    const truth = kappa([addTables(Array.from({ length: 5_000 }, coupon))]).kappa!
    for (const [coupons, least] of [
      [3, 0.9],
      [10, 0.9],
    ] as const) {
      const draws = Array.from({ length: 400 }, () => kappa(Array.from({ length: coupons }, coupon)))
      const held = draws.filter(({ low, high }) => low <= truth && truth <= high).length / draws.length
      expect(held).toBeGreaterThan(least)
      expect(held).toBeLessThan(0.995)
    }
  })
  it('refuses what is no table', () => {
    expect(() => kappa([[[1, 2]]])).toThrow('square')
    expect(() => kappa([])).toThrow('square')
    expect(() => kappa([square(1, 0, 0, 1), COHEN])).toThrow('of one size')
    expect(() => kappa([square(0, 0, 0, 0)])).toThrow('at least one')
  })
  it('is named as the convention has it', () =>
    expect([-0.1, 0, 0.3, 0.4, 0.41, 0.7, 0.9, 1, null].map(sayKappa)).toEqual([
      'worse than chance',
      'slight',
      'fair',
      'moderate',
      'moderate',
      'substantial',
      'almost perfect',
      'almost perfect',
      'too alike to say',
    ]))
})

const base = aCoupon({ ticket: { rods: 'stubs' } })
const restarts = base.marks.filter((mark): mark is TryMark => mark.kind === 'restart')
const read = (marks: readonly Mark[]): CouponDocument => ({
  ...base,
  marks: [
    ...base.marks.map(mark => marks.find(other => other.id === mark.id) ?? mark),
    ...marks.filter(mark => !base.marks.some(other => other.id === mark.id)),
  ],
})
const poor = (mark: TryMark, fault: string | null): TryMark => ({ ...(setDegree(mark, 3) as TryMark), fault })
const outcomes = (instructors: readonly Mark[], students: readonly Mark[]) =>
  compareReadings(read(instructors), read(students)).map(row => row.outcome)

describe('two readings laid over each other', () => {
  const undercut = aFlaw()
  it.each<[string, Mark[], Mark[], string[]]>([
    [
      'the same flaw, half an inch off, is found',
      [undercut],
      [aFlaw({ id: 'x', atMm: undercut.toMm + inches(0.5), toMm: undercut.toMm + inches(1) })],
      ['found'],
    ],
    [
      'a hair further it is missed, and imagined where nothing is',
      [undercut],
      [aFlaw({ id: 'x', atMm: undercut.toMm + inches(0.51), toMm: undercut.toMm + inches(1) })],
      ['missed', 'imagined'],
    ],
    ['on another bead it is another flaw', [undercut], [aFlaw({ id: 'x', beadId: 'b2' })], ['missed', 'imagined']],
    ['another name for it is misjudged', [undercut], [aFlaw({ id: 'x', flaw: 'overlap' })], ['misjudged']],
    [
      'what is said of a whole bead is no name for a flaw on it',
      [aFlaw({ flaw: 'crooked', atMm: 0, toMm: 152.4 })],
      [aFlaw({ id: 'x' })],
      ['missed', 'imagined'],
    ],
    [
      'light for bad is misjudged, light for plain is found',
      [aFlaw({ severity: 3 })],
      [aFlaw({ id: 'x', severity: 1 })],
      ['misjudged'],
    ],
    [
      'one mark answers one flaw',
      [undercut, aFlaw({ id: 'f2', atMm: undercut.toMm, toMm: undercut.toMm + 5 })],
      [aFlaw({ id: 'x' })],
      ['found', 'missed'],
    ],
    ['a restart faulted by both', [poor(restarts[0]!, 'high')], [poor(restarts[0]!, 'high')], ['found']],
    ['faulted for something else', [poor(restarts[0]!, 'high')], [poor(restarts[0]!, 'gap')], ['misjudged']],
    ['without a fault named, it is found', [poor(restarts[0]!, 'high')], [poor(restarts[0]!, null)], ['found']],
    [
      'one misses a restart, the other imagines one',
      [poor(restarts[0]!, 'high')],
      [poor(restarts[1]!, 'high')],
      ['missed', 'imagined'],
    ],
    ['nothing on either', [], [], []],
  ])('%s', (_, instructors, students, expected) => expect(outcomes(instructors, students)).toEqual(expected))
})

describe('the tally', () => {
  const inchesThere = 36
  it('counts every try and every inch of six 6 in beads', () => {
    const { all, tries } = tallyOf(base, base)
    expect(all).toEqual([
      [base.marks.filter(isTry).length + inchesThere, 0],
      [0, 0],
    ])
    expect(tries.restart![0]![0]).toBe(restarts.length)
  })
  it('puts a try in its degrees and a flaw in its inches', () => {
    const tally = tallyOf(
      read([poor(restarts[0]!, 'high'), aFlaw()]),
      read([{ ...restarts[0]!, degree: 'workable' }, aFlaw({ id: 'x', atMm: inches(1), toMm: inches(3) })]),
    )
    expect(tally.tries.restart![2]![1]).toBe(1)
    expect(tally.flaws.undercut).toEqual([
      [inchesThere - 2, 1],
      [0, 1],
    ])
    expect(tally.all.flat().reduce((sum, n) => sum + n)).toBe(base.marks.length + inchesThere)
  })
  it('keeps coupons apart, and counts the inches of those on which nobody saw a kind', () => {
    const one = tallyOf(read([aFlaw()]), read([]))
    const other = tallyOf(base, base)
    const { undercut } = one.flaws
    const clear = [
      [inchesThere, 0],
      [0, 0],
    ]
    expect(addTallies([one, other]).flaws.undercut).toEqual([undercut, clear])
    expect(addTallies([other, one]).flaws.undercut).toEqual([clear, undercut])
    expect(addTallies([one, other]).tries.restart).toHaveLength(2)
    expect(addTallies([])).toEqual({ all: [], tries: {}, flaws: {} })
  })
})

it('a blind copy keeps the coupon and nothing that was said of it', () => {
  const document = {
    ...exampleRead(DEFAULT_HOUSE_RULES),
    notes: 'hot',
    nextRun: 'slow down',
    advised: 'slow down',
    trueCause: 'arc long',
    answers: { wide: 'yes' as const },
  }
  const copy = blindCopy(document)
  expect(copy.beads).toEqual(document.beads)
  expect(copy.marks.map(mark => mark.id)).toEqual(document.marks.filter(isTry).map(mark => mark.id))
  expect(copy.marks.every(mark => isTry(mark) && mark.degree === 'sound' && mark.fault === null)).toBe(true)
  expect(JSON.stringify(copy)).not.toMatch(/slow down|hot"|arc long|wide/)
  // What its own student saw and heard is no judgement: it goes on to whoever reads next, and nothing else does.
  const answers = { 'rod glows': 'yes' } as const
  expect(ownCopy({ ...document, answers })).toEqual({ ...copy, answers })
  expect(ownCopy(copy)).toEqual(copy)
})
