import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { alikeSuccesses, seededRandom } from '../statistics'
import {
  climb,
  currentRung,
  outOfTurn,
  risingTo,
  FULL_LADDER,
  ladderFaults,
  lcCusumChance,
  lcCusumScores,
  lcCusumSteps,
  rungNamed,
  SHIPPED_LADDERS,
  signOffChance,
  signOffState,
  saySignOff,
  STRUCTURAL_LADDER,
  type ClimbCoupon,
  type CouponTries,
  type Ladder,
  type LadderRung,
  type RungCoupon,
  type SignOffRule,
} from '.'

const coupon = (
  good: boolean,
  rung = 'flat pad',
  restarts: [number, number] = [0, 0],
  classDay = '2026-10-05',
): ClimbCoupon => ({ good, rung, classDay, tries: { restart: { tried: restarts[0], sound: restarts[1] } } })

// Exact by state recursion from 0, signal absorbing; cells cross-checked. Source: LC-CUSUM reference values, computed.
describe('LC-CUSUM', () => {
  it.each([
    [0.1, 0.2, 0.117783, -0.693147],
    [0.1, 0.25, 0.182322, -0.916291],
    [0.1, 0.3, 0.251314, -1.098612],
    [0.05, 0.15, 0.111226, -1.098612],
    [0.2, 0.4, 0.287682, -0.693147],
  ])(
    'acceptable %d, unacceptable %d: a success adds %d, a failure %d',
    (acceptable, unacceptable, success, failure) => {
      const steps = lcCusumSteps({ acceptable, unacceptable, limit: 1 })
      expect(steps.success).toBeCloseTo(success, 6)
      expect(steps.failure).toBeCloseTo(failure, 6)
    },
  )
  it.each([
    [0.1, 0.2, 1.0, 9, 0.7956, 0.9933, 0.4316, 0.8338, 0.9786],
    [0.1, 0.25, 1.25, 7, 0.9347, 0.9996, 0.5307, 0.8922, 0.9907],
    [0.1, 0.3, 2.0, 8, 0.889, 0.9987, 0.2692, 0.6229, 0.8749],
    [0.05, 0.15, 1.5, 14, 0.634, 0.9803, 0.1953, 0.5803, 0.8582],
    [0.2, 0.4, 1.25, 5, 0.9525, 0.9998, 0.5339, 0.8835, 0.9885],
  ])(
    'acceptable %d, unacceptable %d, limit %d',
    (acceptable, unacceptable, limit, clean, good20, good50, bad20, bad50, bad100) => {
      const watch = { acceptable, unacceptable, limit }
      const scores = lcCusumScores(watch, new Array<CouponTries>(clean).fill({ tried: 1, sound: 1 }), 0)
      const chance = (rate: number, coupons: number) => lcCusumChance(watch, rate, { coupons, each: 1, alike: 0 })
      expect(scores.findIndex(score => score >= limit - 1e-9)).toBe(clean - 1)
      expect(chance(acceptable, 20)).toBeCloseTo(good20, 4)
      expect(chance(acceptable, 50)).toBeCloseTo(good50, 4)
      expect(chance(unacceptable, 20)).toBeCloseTo(bad20, 4)
      expect(chance(unacceptable, 50)).toBeCloseTo(bad50, 4)
      expect(chance(unacceptable, 100)).toBeCloseTo(bad100, 4)
    },
  )
  it('follows a worked trace', () => {
    const trace = [
      0.182322, 0.364643, 0.546965, 0, 0.182322, 0.364643, 0.546965, 0.729286, 0.911608, 1.093929, 1.276251,
    ]
    lcCusumScores(
      { acceptable: 0.1, unacceptable: 0.25, limit: 1.25 },
      [...'SSSFSSSSSSS'].map(letter => ({ tried: 1, sound: letter === 'S' ? 1 : 0 })),
      0,
    ).forEach((score, n) => expect(score).toBeCloseTo(trace[n]!, 6))
  })
  it('refuses rates that are the wrong way round', () =>
    expect(() => lcCusumSteps({ acceptable: 0.3, unacceptable: 0.1, limit: 1 })).toThrow(/fewer/))
})

describe('sign-off', () => {
  const inARow: SignOffRule = { by: 'in a row', good: null }
  it('in a row: the house’s number, and it stays met', () => {
    expect(
      signOffState(
        inARow,
        [true, true].map(good => coupon(good)),
        3,
      ),
    ).toEqual({ met: false, share: 2 / 3, says: '2 of 3 good in a row' })
    expect(
      signOffState(
        inARow,
        [true, true, true, false].map(good => coupon(good)),
        3,
      ).met,
    ).toBe(true)
    expect(
      signOffState(
        inARow,
        [true, true, false].map(good => coupon(good)),
        3,
      ),
    ).toMatchObject({ met: false, share: 0 })
    expect(signOffState({ by: 'in a row', good: 1 }, [coupon(true)], 3).met).toBe(true)
  })
  it('of the last few', () => {
    expect(
      signOffState(
        { by: 'of the last', good: 4, last: 5 },
        [true, false, true, true, true].map(good => coupon(good)),
        3,
      ).met,
    ).toBe(true)
    expect(
      signOffState(
        { by: 'of the last', good: 4, last: 5 },
        [true, true, false, true, false, true].map(good => coupon(good)),
        3,
      ),
    ).toMatchObject({ met: false, share: 3 / 4 })
  })
  // 29 of 29 are wanted for a rate of 0.90 at 95 %: ln 0.05 / ln 0.9 rounded up, without a prior; a flat prior is
  // worth one try more.
  it('enough evidence: a clean run as long as the closed form says', () => {
    const rule: SignOffRule = { by: 'enough evidence', element: 'restart', rate: 0.9, sure: 0.95 }
    expect(signOffState(rule, [coupon(true, 'flat pad', [28, 28])], 3, 0).met).toBe(true)
    expect(signOffState(rule, [coupon(true, 'flat pad', [27, 27])], 3, 0).met).toBe(false)
    expect(signOffState({ ...rule, rate: 0.8, sure: 0.38 }, [coupon(true, 'flat pad', [10, 8])], 3, 0).says).toMatch(
      /^38 % sure that restarts are at least 80 % sound/,
    )
  })
  it('alike tries of one coupon tell less than as many of several', () => {
    const rule: SignOffRule = { by: 'enough evidence', element: 'restart', rate: 0.9, sure: 0.95 }
    const one = [coupon(true, 'flat pad', [28, 28])]
    const seven = new Array<RungCoupon>(7).fill(coupon(true, 'flat pad', [4, 4]))
    const share = (coupons: readonly RungCoupon[], alike: number) => signOffState(rule, coupons, 3, alike).share
    expect(share(one, 0.1)).toBeLessThan(share(seven, 0.1))
    expect(share(one, 0)).toBe(share(seven, 0))
  })
  it('LC-CUSUM is looked at when a coupon is whole, whatever the order of its tries', () => {
    const rule: SignOffRule = { by: 'LC-CUSUM', element: 'restart', acceptable: 0.1, unacceptable: 0.25, limit: 1.25 }
    const own = (...tries: [number, number][]) =>
      signOffState(
        rule,
        tries.map(each => coupon(true, 'flat pad', each)),
        3,
        0,
      )
    expect(own([4, 3], [7, 7])).toMatchObject({ met: true, share: 1 })
    expect(own([4, 3], [6, 6]).says).toBe('Restarts: score 1.09 of 1.25 (LC-CUSUM)')
    // Nine sound ones on end would reach the limit, were there not the rest of the coupon.
    expect(own([30, 9])).toMatchObject({ met: false, share: 0 })
    expect(own([30, 21])).toMatchObject({ met: false, share: 0 })
  })
  it('LC-CUSUM: nine sound of thirty restarts is not met, by any shipped rule', () => {
    for (const { signOff } of FULL_LADDER.rungs)
      if (signOff.by === 'LC-CUSUM')
        for (const sound of [0, 9, 15, 21])
          expect(signOffState(signOff, new Array<RungCoupon>(4).fill(coupon(false, 'x', [30, sound])), 3).met).toBe(
            false,
          )
  })
  it('is said in words', () =>
    expect([saySignOff(inARow, 3), saySignOff({ by: 'of the last', good: 4, last: 5 }, 3)]).toEqual([
      '3 good in a row',
      '4 good of the last 5',
    ]))
})

describe('what a rule lets through', () => {
  it('in a row: closed forms', () => {
    const rule: SignOffRule = { by: 'in a row', good: 3 }
    expect(signOffChance(rule, 0.8, 3, 3)).toBeCloseTo(0.512, 12)
    // One of four: SSS then anything, or F SSS.
    expect(signOffChance(rule, 0.8, 4, 3)).toBeCloseTo(0.512 + 0.2 * 0.512, 12)
  })
  it('all of the last n is n in a row; more tries let more through; a better rate does too', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        fc.integer({ min: 4, max: 14 }),
        (k, rate, within) => {
          expect(signOffChance({ by: 'of the last', good: k, last: k }, rate, within, 3)).toBeCloseTo(
            signOffChance({ by: 'in a row', good: k }, rate, within, 3),
            10,
          )
          const rules: SignOffRule[] = [
            { by: 'of the last', good: k, last: 4 },
            { by: 'enough evidence', element: 'restart', rate: 0.5, sure: 0.8 },
          ]
          for (const rule of rules) {
            const chance = (of: number, coupons: number) => signOffChance(rule, of, coupons, 3, { coupons, alike: 0 })
            expect(chance(rate, within + 1)).toBeGreaterThanOrEqual(chance(rate, within) - 1e-12)
            expect(chance(Math.min(1, rate + 0.05), within)).toBeGreaterThanOrEqual(chance(rate, within) - 1e-12)
          }
        },
      ),
      { numRuns: 40 },
    )
  })
})

const row = (id: string, needs: string[], more: Partial<LadderRung> = {}): LadderRung => ({
  ...FULL_LADDER.rungs[1]!,
  id,
  name: id,
  needs,
  ...more,
})
const ladder = (...rungs: LadderRung[]): Ladder => ({ name: 'a ladder', rungs })

describe('ladders', () => {
  it.each(SHIPPED_LADDERS.map(shipped => [shipped.name, shipped] as const))(
    '%s has no fault, and every rung can be reached',
    (_, shipped) => {
      expect(ladderFaults(shipped)).toEqual([])
      const signed: string[] = []
      for (let step = 0; step < shipped.rungs.length; step++) {
        const next = climb(
          shipped,
          [],
          signed.map(rungId => ({ rungId })),
          3,
        ).find(state => state.status === 'open')!
        signed.push(next.rungId)
      }
      expect(new Set(signed).size).toBe(shipped.rungs.length)
    },
  )
  it('the full one goes from arc strikes to 6G; the structural one has no open root and no pipe', () => {
    expect([FULL_LADDER.rungs[0]!.name, FULL_LADDER.rungs.at(-1)!.name]).toEqual(['arc strikes', 'pipe 6G'])
    expect(
      FULL_LADDER.rungs.some(rung => rung.hand === 'other') && FULL_LADDER.rungs.some(rung => rung.rods === 'stubs'),
    ).toBe(true)
    expect(STRUCTURAL_LADDER.rungs.filter(rung => rung.open || rung.piece === 'pipe butt')).toEqual([])
    expect(STRUCTURAL_LADDER.rungs.length).toBeLessThan(FULL_LADDER.rungs.length)
  })
  it.each([
    [
      'a circle',
      ladder(row('a', ['c']), row('b', ['a']), row('c', ['b'])),
      'rungs[0].needs',
      /a needs c needs b needs a: a circle/,
    ],
    [
      'a need that is not there',
      ladder(row('a', ['nowhere'])),
      'rungs[0].needs',
      /a needs nowhere, which is not on this ladder/,
    ],
    [
      'a need that is retired',
      ladder(row('a', [], { retired: true }), row('b', ['a'])),
      'rungs[1].needs',
      /retired: nobody could reach it/,
    ],
    ['a rung before what it needs', ladder(row('a', ['b']), row('b', [])), 'rungs[0].needs', /a stands before b/],
    ['a name twice', ladder(row('a', []), row('b', [], { name: 'a' })), 'rungs[1].name', /Two rungs are called a/],
    ['an id twice', ladder(row('a', []), row('a', [], { name: 'other' })), 'rungs[1].id', /id a/],
    [
      'a rule over what is not tries',
      ladder(row('a', [], { signOff: { by: 'enough evidence', element: 'run', rate: 0.8, sure: 0.9 } })),
      'rungs[0].signOff',
      /not counted in tries/,
    ],
    ['nothing to climb', ladder(row('a', [], { retired: true })), 'rungs', /at least one rung/],
  ])('refuses %s', (_, faulty, path, message) => {
    const fault = ladderFaults(faulty).find(one => one.path === path)
    expect(fault?.message).toMatch(message)
  })
  it('a circle of one is a circle', () =>
    expect(ladderFaults(ladder(row('a', ['a'])))[0]!.message).toMatch(/a needs a: a circle/))
})

describe('where a student stands', () => {
  it('counts coupons for the rung of their ticket, and opens what it needs', () => {
    const coupons = [
      coupon(true, 'arc strikes'),
      coupon(false),
      coupon(true),
      coupon(true),
      coupon(true, 'flat pad', [0, 0], '2026-10-07'),
    ]
    const states = climb(FULL_LADDER, coupons, [{ rungId: 'arc-strikes' }], 3)
    const of = (name: string) => states.find(state => state.rungId === rungNamed(FULL_LADDER, name)!.id)!
    expect(of('arc strikes').status).toBe('signed off')
    expect(of('flat pad')).toMatchObject({
      status: 'ready',
      coupons: 4,
      good: 3,
      lastDay: '2026-10-07',
      met: true,
      stuck: 0,
    })
    expect(of('horizontal pad').status).toBe('not yet')
    expect(currentRung(states)).toBe(of('flat pad'))
    const on = climb(FULL_LADDER, coupons, [{ rungId: 'arc-strikes' }, { rungId: 'flat-pad' }], 3)
    expect(currentRung(on)!.rungId).toBe('flat-pad-stubs')
  })
  it('a stub day counts for the plain rung where the ladder has no stub rung', () => {
    const plain = { ...FULL_LADDER, rungs: FULL_LADDER.rungs.filter(rung => rung.rods === 'new') }
    expect(
      climb(plain, [coupon(true, 'flat pad, stubs')], [], 3).find(state => state.rungId === 'flat-pad')!.coupons,
    ).toBe(1)
    expect(
      climb(FULL_LADDER, [coupon(true, 'flat pad, stubs')], [], 3).find(state => state.rungId === 'flat-pad')!.coupons,
    ).toBe(0)
  })
  it('a sign-off before the rule is met is early, long after it late', () => {
    const of = (goods: boolean[]) =>
      climb(
        FULL_LADDER,
        goods.map(good => coupon(good)),
        [{ rungId: 'arc-strikes' }],
        3,
      ).find(state => state.rungId === 'flat-pad')!
    expect(outOfTurn(of([true, true]))).toBe('early')
    expect(outOfTurn(of([true, true, true]))).toBeNull()
    expect(of([true, true, true, false, true])).toMatchObject({ since: 2, status: 'ready' })
    expect(outOfTurn(of([true, true, true, false, true, false, true]))).toBe('late')
  })
  it('has no current rung when all are done', () => {
    expect(
      currentRung(
        climb(
          FULL_LADDER,
          [],
          FULL_LADDER.rungs.map(rung => ({ rungId: rung.id })),
          3,
        ),
      ),
    ).toBeUndefined()
  })
})

describe('so many of the last few', () => {
  /** Every run of coupons, one by one. */
  function byEnumeration(good: number, last: number, rate: number, within: number): number {
    let through = 0
    for (let run = 0; run < 1 << within; run++) {
      const coupons = Array.from({ length: within }, (_, n) => Boolean(run & (1 << n)))
      const met = coupons.some((_, n) => coupons.slice(Math.max(0, n - last + 1), n + 1).filter(Boolean).length >= good)
      if (met) through += coupons.reduce((chance, one) => chance * (one ? rate : 1 - rate), 1)
    }
    return through
  }
  it.each([
    [4, 5, 0.7, 10],
    [2, 6, 0.3, 9],
    [3, 3, 0.9, 12],
  ])('%d of the last %d at %d within %d, as by counting every run', (good, last, rate, within) => {
    expect(signOffChance({ by: 'of the last', good, last }, rate, within, 3)).toBeCloseTo(
      byEnumeration(good, last, rate, within),
      12,
    )
  })
  // What is claimed of a rule is what happens to hands that are drawn coupon by coupon, alike or not.
  it.each([
    ['LC-CUSUM', 6, 4, 0],
    ['LC-CUSUM', 12, 2, 0.1],
    ['LC-CUSUM', 30, 4, 0.1],
    ['enough evidence', 12, 4, 0.1],
    ['enough evidence', 30, 3, 0],
  ] as const)('%s, %d tries on each of %d coupons, alike by %d: as claimed', (by, each, coupons, alike) => {
    const rule = FULL_LADDER.rungs.map(one => one.signOff).find(one => one.by === by)!
    const random = seededRandom(11)
    for (const rate of [0.5, 0.7, 0.9]) {
      const hands = 4000
      let met = 0
      for (let n = 0; n < hands; n++) {
        const own: RungCoupon[] = []
        for (let c = 0; c < coupons; c++) {
          let [sound, u] = [0, random.uniform()]
          for (const chance of alikeSuccesses(each, rate, alike)) {
            if (u < chance) break
            u -= chance
            sound++
          }
          own.push({ good: false, tries: { [(rule as { element: string }).element]: { tried: each, sound } } })
          if (signOffState(rule, own, 3, alike).met) {
            met++
            break
          }
        }
      }
      const claimed = signOffChance(rule, rate, each * coupons, 3, { coupons, alike })
      expect(Math.abs(met / hands - claimed)).toBeLessThan(0.03)
    }
  })
  it('a hand that stops learning is let through less often than one that stood there from the first', () => {
    for (const rule of [
      { by: 'in a row', good: 3 },
      { by: 'of the last', good: 4, last: 5 },
    ] as const) {
      const learns = signOffChance(rule, risingTo(0.2, 0.6, 5), 20, 3)
      expect(learns).toBeLessThan(signOffChance(rule, 0.6, 20, 3))
      expect(learns).toBeGreaterThan(signOffChance(rule, 0.2, 20, 3))
    }
  })
  it('a long window is reckoned, and one too long is refused', () => {
    const chance = signOffChance({ by: 'of the last', good: 12, last: 15 }, 0.7, 40, 3)
    expect(chance).toBeGreaterThan(0.5)
    expect(chance).toBeLessThan(1)
    expect(() => signOffChance({ by: 'of the last', good: 12, last: 17 }, 0.7, 40, 3)).toThrow(/last 16/)
  })
})

describe('a rung that is called otherwise', () => {
  const plain = FULL_LADDER
  const renamed = {
    ...plain,
    rungs: plain.rungs.map(rung => (rung.id === 'flat-pad' ? { ...rung, name: 'first pad' } : rung)),
  }
  const run = (rung: string, rungId?: string) => ({
    rung,
    ...(rungId ? { rungId } : {}),
    classDay: '2026-10-05',
    good: true,
    tries: {},
  })
  const onFlatPad = (coupons: Parameters<typeof climb>[1], former = [plain]) =>
    climb(renamed, coupons, [], 3, former).find(state => state.rungId === 'flat-pad')!.coupons

  it('keeps its coupons: those whose ticket says its id, and those that name it as it was', () => {
    expect(onFlatPad([run('flat pad', 'flat-pad'), run('flat pad'), run('first pad')])).toBe(3)
  })
  it('does not take the coupons of a rung that has its old name now', () => {
    const reused = {
      ...renamed,
      rungs: [...renamed.rungs, { ...plain.rungs[0]!, id: 'new-flat-pad', name: 'flat pad' }],
    }
    const of = (id: string) =>
      climb(reused, [run('flat pad', 'flat-pad'), run('flat pad')], [], 3, [plain]).find(one => one.rungId === id)!
    expect(of('flat-pad').coupons).toBe(1)
    expect(of('new-flat-pad').coupons).toBe(1)
  })
  it('a rung of no ladder counts nowhere, and an id that is gone falls back on the name', () => {
    expect(climb(renamed, [run('moon pad')], [], 3).every(state => state.coupons === 0)).toBe(true)
    expect(onFlatPad([run('flat pad', 'long-gone')])).toBe(1)
  })
})
