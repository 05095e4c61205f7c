import { describe, expect, it } from 'vitest'
import { isFlaw, type CouponDocument } from '../coupon'
import { exampleRead } from '../coupon/example'
import { DEFAULT_HOUSE_RULES } from '../house'
import { logistic, mean, seededRandom, type Random } from '../statistics'
import {
  apartRows,
  fitSchoolCurve,
  readerMarks,
  readTwice,
  skillFrom,
  skillRate,
  withHistory,
  type ReadTwice,
  type Trial,
} from '.'

const CELL = {
  element: 'toes',
  lie: '1G',
  work: 'plate',
  rodFamily: 'low hydrogen',
  otherHand: false,
  otherWay: false,
} as const
const TODAY = 20_000
const WHEN = { before: 20, beforeHere: 20, restDays: 2 }
/** Share of the faults there are that each section's instructor marks; the law of this test, not the model's. */
const MARKED = { full: 1, half: 0.5, most: 0.8 } as const
type Reader = keyof typeof MARKED
const READERS = Object.keys(MARKED) as Reader[]

interface Drawn {
  readonly reader: Reader
  readonly truth: number
  readonly rows: Trial[]
}

/** Students of a section, each with a true rate of sound tries that does not move, read by one person. */
function section(reader: Reader, students: number, random: Random, level = 0): Drawn[] {
  return Array.from({ length: students }, (_, n) => {
    const truth = logistic(level + 0.6 * random.normal())
    const coupons = Array.from({ length: 30 }, (_, m) => {
      const tried = 6
      const faults = Array.from({ length: tried }, () => !random.chance(truth) && random.chance(MARKED[reader]))
      const sound = faults.filter(fault => !fault).length
      return { ...CELL, couponId: `${reader} ${n} ${m}`, day: TODAY - 60 + 2 * m, tried, sound, mock: false, reader }
    })
    return { reader, truth, rows: withHistory(coupons) }
  })
}

/** The same coupons read by two: each sees what is there by a chance of its own. */
function readByBoth(readers: readonly [Reader, Reader], coupons: number, random: Random): ReadTwice[] {
  return Array.from({ length: coupons }, () => {
    const there = Array.from({ length: 6 }, () => !random.chance(0.5))
    const sound = readers.map(reader => there.filter(fault => !(fault && random.chance(MARKED[reader]))).length)
    return { element: 'toes', readers, tried: 6, sound: sound as [number, number] } as const
  })
}

const school = (seed: number) => {
  const random = seededRandom(seed)
  return READERS.flatMap(reader => section(reader, 12, random))
}
const trials = (drawn: readonly Drawn[]) => drawn.map(({ rows }) => rows)
const nameless = (drawn: readonly Drawn[]) => trials(drawn).map(rows => rows.map(({ reader: _, ...row }) => row))

/** How far what is said of each section's students lies from their truth, in the mean. */
function offBySection(drawn: readonly Drawn[], named: boolean): number[] {
  const rows = named ? trials(drawn) : nameless(drawn)
  const curve = fitSchoolCurve('toes', rows)
  return READERS.map(reader =>
    mean(
      drawn.flatMap((one, n) =>
        one.reader === reader ? [skillRate(skillFrom(curve, rows[n]!, TODAY, 60), CELL, WHEN).rate - one.truth] : [],
      ),
    ),
  )
}
const SEEDS = [1, 2, 3, 4, 5, 6]

describe('a coupon that two have read', () => {
  const rules = DEFAULT_HOUSE_RULES
  const first = exampleRead(rules)
  const toesOf = (second: CouponDocument) =>
    readTwice({ readers: ['a', 'b'], documents: [first, second] }, rules).find(({ element }) => element === 'toes')!

  it('read alike is alike in every element', () => {
    const rows = readTwice({ readers: ['a', 'b'], documents: [first, first] }, rules)
    expect(rows.length).toBeGreaterThan(4)
    for (const { sound } of rows) expect(sound[0]).toBe(sound[1])
    expect(apartRows(rows, ['a', 'b'])[0]!.sound).toBeCloseTo(apartRows(rows, ['a', 'b'])[0]!.tried / 2, 9)
  })

  it('where the second marks no undercut, its toes are sounder by just that', () => {
    const without = { ...first, marks: first.marks.filter(mark => !isFlaw(mark) || mark.flaw !== 'undercut') }
    const { tried, sound } = toesOf(without)
    expect(first.marks.length).toBeGreaterThan(without.marks.length)
    expect(sound[1]).toBeGreaterThan(sound[0])
    expect(sound[1]).toBeLessThanOrEqual(tried)
  })

  // By hand: 5 and 9 of 10, as 5.5 and 9.5 of 11: logits 0 and 1.846; half of the variance of separate work.
  it('differs by its logits, and weighs twice what separate work would', () => {
    const rows = Array.from({ length: 10 }, () => ({
      element: 'toes' as const,
      readers: ['b', 'a'] as const,
      tried: 1,
      sound: [0.5, 0.9] as const,
    }))
    const [row] = apartRows(rows, ['a', 'b'])
    expect(row!.x).toEqual([-1, 1])
    const chance = row!.sound / row!.tried
    expect(Math.log(chance / (1 - chance))).toBeCloseTo(-1.846, 3)
    expect(1 / (row!.tried * chance * (1 - chance))).toBeCloseTo((1 / 11 / 0.25 + 1 / 11 / (0.8636 * 0.1364)) / 2, 3)
  })
})

describe('readers who mark unlike shares', () => {
  it('the section of one who marks half is said less too well, and sections are nearer to each other', () => {
    const off = (named: boolean) => {
      const all = SEEDS.map(seed => offBySection(school(seed), named))
      return READERS.map((_, n) => mean(all.map(one => one[n]!)))
    }
    const [before, after] = [off(false), off(true)]
    expect(before[1]!).toBeGreaterThan(0.15)
    expect(after[1]!).toBeLessThan(before[1]! - 0.07)
    const apart = (found: readonly number[]) => Math.max(...found) - Math.min(...found)
    expect(apart(after)).toBeLessThan(0.65 * apart(before))
  })

  it('are in the order of what they mark, as the page of readers says it', () => {
    for (const seed of SEEDS) {
      const drawn = school(seed)
      const curve = fitSchoolCurve('toes', trials(drawn))
      const rows = trials(drawn).flat()
      const sum = (of: (row: Trial) => number) => rows.reduce((total, row) => total + of(row), 0)
      const wrong = [
        {
          element: 'toes',
          work: 'plate',
          tried: sum(row => row.tried),
          unsound: sum(row => row.tried - row.sound),
          rejected: {},
        },
      ] as const
      const found = readerMarks({ toes: curve }, wrong)
      expect(found[0]!.reader).toBe('half')
      const [half, full] = [found[0]!.all, found.find(({ reader }) => reader === 'full')!.all]
      expect(half.high, `${seed}`).toBeLessThan(full.share)
      expect(half.low < half.share && half.share < half.high).toBe(true)
      expect(found[0]!.elements).toEqual([{ element: 'toes', ...half }])
    }
  })

  it('coupons read by two tell a lax reader from a good section, where the marks alone cannot', () => {
    const random = seededRandom(9)
    const [strict, good] = [section('full', 12, random), section('full', 12, random, 0.7)]
    // The second section is better by as much as half the marks would make it look, and both instructors mark all.
    const drawn = [...strict, ...good.map(one => ({ ...one, rows: one.rows.map(row => ({ ...row, reader: 'half' })) }))]
    const apart = (twice: readonly ReadTwice[]) => {
      const { readers } = fitSchoolCurve('toes', trials(drawn), twice)
      return readers.half!.mean - readers.full!.mean
    }
    const alike = readByBoth(['full', 'full'], 40, seededRandom(3)).map(row => ({
      ...row,
      readers: ['full', 'half'] as const,
      sound: [row.sound[0], row.sound[0]] as const,
    }))
    expect(apart([])).toBeGreaterThan(0.35)
    expect(apart(alike)).toBeLessThan(0.6 * apart([]))
    // And the other way: alike by their marks, unlike by what both read.
    const even = [...section('full', 12, random), ...section('full', 12, random)].map((one, n) => ({
      ...one,
      rows: one.rows.map(row => ({ ...row, reader: n < 12 ? 'full' : 'half' })),
    }))
    const found = fitSchoolCurve('toes', trials(even), readByBoth(['full', 'half'], 60, random)).readers
    expect(found.half!.mean - found.full!.mean).toBeGreaterThan(0.3)
  })

  it('a second reading says the same, whichever of the two read first', () => {
    const rows = readByBoth(['full', 'half'], 20, seededRandom(4))
    const turned = rows.map(({ readers: [a, b], sound: [p, q], ...row }) => ({
      ...row,
      readers: [b, a] as const,
      sound: [q, p] as const,
    }))
    const drawn = trials(school(1))
    const [one, other] = [rows, turned].map(twice => fitSchoolCurve('toes', drawn, twice).readers.half!.mean)
    expect(one).toBeCloseTo(other!, 9)
  })

  it('one reader of all coupons changes nothing, nor does one who is not named', () => {
    const drawn = school(2)
    const bare = fitSchoolCurve('toes', nameless(drawn))
    const alone = fitSchoolCurve(
      'toes',
      nameless(drawn).map(rows => rows.map(row => ({ ...row, reader: 'only' }))),
    )
    expect(bare.readers).toEqual({})
    expect(alone.readers.only!.mean).toBe(0)
    alone.weights.forEach((weight, n) => expect(weight).toBeCloseTo(bare.weights[n]!, 1))
    expect(readerMarks({ toes: alone }, [])).toEqual([])
  })

  it('what the next coupon brings is said as its reader will find it', () => {
    const drawn = school(3)
    const curve = fitSchoolCurve('toes', trials(drawn))
    const skill = skillFrom(curve, drawn[0]!.rows, TODAY, 60)
    const by = (reader?: string) => skillRate(skill, { ...CELL, ...(reader ? { reader } : {}) }, WHEN).rate
    expect(by('half')).toBeGreaterThan(by('full') + 0.05)
    expect(by('full')).toBeCloseTo(by(), 1)
  })
})
