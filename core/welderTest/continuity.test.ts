import { describe, expect, it } from 'vitest'
import { ISO_9606, PRESSURE, STRUCTURAL, type CodeBook } from '../qualification'
import {
  continuityOf,
  daysUntil,
  firstTimeBy,
  honestyOf,
  keptUntil,
  lapsing,
  type PassedTest,
  type ProcessUse,
  type ResultKept,
} from '.'

describe('the last day without another use', () => {
  it.each([
    // AWS D1.1: more than six months; ASME IX QW-322.1(a): six months or more, a day sooner. Months end on their
    // last day.
    [STRUCTURAL, '2026-03-15', '2026-09-15'],
    [PRESSURE, '2026-03-15', '2026-09-14'],
    [STRUCTURAL, '2026-08-31', '2027-02-28'],
    [STRUCTURAL, '2027-08-31', '2028-02-29'],
    [PRESSURE, '2026-08-31', '2027-02-27'],
    [ISO_9606, '2026-02-28', '2026-08-28'],
    // Over both changes of the clock.
    [STRUCTURAL, '2026-01-25', '2026-07-25'],
    [STRUCTURAL, '2026-09-30', '2027-03-30'],
  ] as const)('$0.name, last used %s: %s', (book, used, last) => expect(keptUntil(book.continuity, used)).toBe(last))
  it('days are counted over the change of the clock', () =>
    expect([
      daysUntil('2026-10-24', '2026-10-26'),
      daysUntil('2026-03-28', '2026-03-30'),
      daysUntil('2026-05-02', '2026-05-01'),
    ]).toEqual([2, 2, -1]))
})

describe('how a student stands', () => {
  const test = (book: CodeBook, testDay: string, ...processes: PassedTest['processes']): PassedTest => ({
    book,
    testDay,
    processes: processes.length > 0 ? processes : ['SMAW'],
  })
  const use = (
    usedOn: string,
    kind: ProcessUse['kind'] = 'used',
    process: ProcessUse['process'] = 'SMAW',
  ): ProcessUse => ({ process, kind, usedOn })
  const row = (tests: readonly PassedTest[], uses: readonly ProcessUse[], today: string) =>
    continuityOf(tests, uses, today)[0]!
  it.each([
    ['on the last day', STRUCTURAL, [], '2026-09-15', null, '2026-09-15'],
    ['the day after', STRUCTURAL, [], '2026-09-16', '2026-09-16', '2026-09-15'],
    ['a day sooner by the pressure code', PRESSURE, [], '2026-09-15', '2026-09-15', '2026-09-14'],
    ['used in time', STRUCTURAL, [use('2026-09-15')], '2026-12-01', null, '2027-03-15'],
    ['used a day too late: it stays lapsed', STRUCTURAL, [use('2026-09-16')], '2026-12-01', '2026-09-16', '2026-09-15'],
    ['used again and again', STRUCTURAL, [use('2026-06-01'), use('2026-11-30')], '2027-05-30', null, '2027-05-30'],
    ['another process', STRUCTURAL, [use('2026-09-01', 'used', 'GTAW')], '2026-10-01', '2026-09-16', '2026-09-15'],
    ['a use alone is no confirmation', ISO_9606, [use('2026-09-01')], '2026-10-01', '2026-09-16', '2026-09-15'],
    ['a confirmation is', ISO_9606, [use('2026-09-01', 'confirmed')], '2026-10-01', null, '2027-03-01'],
  ] as const)('%s', (_, book, uses, today, lapsedOn, lastDay) =>
    expect(row([test(book, '2026-03-15')], uses, today)).toMatchObject({ lapsedOn, lastDay }),
  )
  it('a passed test begins it anew after a lapse, a use does not', () => {
    const tests = [test(STRUCTURAL, '2026-01-10'), test(STRUCTURAL, '2026-10-01')]
    expect(row(tests, [use('2026-09-01')], '2026-12-01')).toMatchObject({
      testedOn: '2026-10-01',
      lapsedOn: null,
      lastDay: '2027-04-01',
    })
  })
  it('an ISO test is taken again after three years, however often it was confirmed (9.3)', () => {
    const confirmed = Array.from({ length: 8 }, (_, n) =>
      use(`${2024 + Math.floor(n / 2)}-${n % 2 ? '08' : '02'}-01`, 'confirmed'),
    )
    expect(row([test(ISO_9606, '2024-02-01')], confirmed, '2027-01-31')).toMatchObject({
      againBy: '2027-02-01',
      lastDay: '2027-02-01',
      lapsedOn: null,
    })
    expect(row([test(ISO_9606, '2024-02-01')], confirmed, '2027-02-02')).toMatchObject({ lapsedOn: '2027-02-02' })
  })
  it('keeps families and processes apart, and lists what lapses in 60 days, soonest first', () => {
    const rows = continuityOf(
      [test(STRUCTURAL, '2026-06-20', 'SMAW', 'GTAW'), test(PRESSURE, '2026-06-10'), test(STRUCTURAL, '2026-01-01')],
      [use('2026-11-10', 'used', 'GTAW')],
      '2026-11-25',
    )
    expect(rows.map(one => `${one.book.family} ${one.process} ${one.lastDay}`)).toEqual([
      'structural SMAW 2026-12-20',
      'structural GTAW 2027-05-10',
      'pressure SMAW 2026-12-09',
    ])
    expect(lapsing(rows, '2026-11-25', 60).map(one => one.book.family)).toEqual(['pressure', 'structural'])
    expect(lapsing(rows, '2026-11-25', 14).map(one => one.lastDay)).toEqual(['2026-12-09'])
  })
  it('nothing stands on a test that is still to come', () =>
    expect(continuityOf([test(STRUCTURAL, '2026-12-01')], [], '2026-11-25')).toEqual([]))
})

describe('the section’s tests', () => {
  const result = (passed: boolean, odds: number | null = null, more: Partial<ResultKept> = {}): ResultKept => ({
    studentId: 's',
    position: '3G',
    classification: 'E7018',
    testDay: '2026-10-01',
    retest: null,
    passed,
    odds,
    ...more,
  })
  it('counts first tries apart from retests, with the exact interval', () => {
    const rows = firstTimeBy(
      [
        ...Array.from({ length: 8 }, () => result(true)),
        result(false),
        result(false),
        result(true, null, { retest: { of: 'x', pieces: 1 } }),
        result(true, null, { position: '2G', retest: { of: 'x', pieces: 1 } }),
      ],
      one => one.position,
    )
    // 8 of 10: Clopper and Pearson, 95 %.
    expect(rows).toMatchObject([
      { name: '2G', taken: 1, first: 0, interval: null },
      { name: '3G', taken: 11, first: 10, passed: 8 },
    ])
    expect(rows[1]!.interval!.low).toBeCloseTo(0.443905, 6)
    expect(rows[1]!.interval!.high).toBeCloseTo(0.974789, 6)
  })
  it('holds forecasts against outcomes: Brier by hand, in fifths, and says when there are too few', () => {
    const told = [
      result(true, 0.9),
      result(false, 0.9),
      result(true, 0.7),
      result(false, 0.1),
      result(true, 1),
      result(true),
    ]
    const honest = honestyOf(told)!
    expect(honest.forecasts).toBe(5)
    expect(honest.brier).toBeCloseTo((0.01 + 0.81 + 0.09 + 0.01 + 0) / 5, 12)
    expect(honest.brierOfShare).toBeCloseTo((3 * 0.16 + 2 * 0.36) / 5, 12)
    expect(honest.bands.map(band => [band.low, band.count, band.passed])).toEqual([
      [0, 1, 0],
      [0.6, 1, 1],
      [0.8, 3, 2],
    ])
    expect(honest.against).toBe('no telling')
    const many = (odds: (passed: boolean) => number, count = 40) =>
      honestyOf(Array.from({ length: count }, (_, n) => result(n % 2 === 0, odds(n % 2 === 0))))!.against
    expect([
      many(passed => (passed ? 0.9 : 0.1)),
      many(passed => (passed ? 0.1 : 0.9)),
      many(() => 0.5),
      many(passed => (passed ? 0.9 : 0.1), 29),
    ]).toEqual(['better', 'worse', 'no telling', 'no telling'])
    expect(honestyOf(Array.from({ length: 40 }, (_, n) => result(n % 4 < 2, n % 8 === 0 ? 0.6 : 0.45)))!.against).toBe(
      'no telling',
    )
    expect(honestyOf([result(true)])).toBeNull()
  })
})
