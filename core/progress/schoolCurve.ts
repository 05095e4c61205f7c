import type { ElementId } from '../grading'
import { fitLogistic, mean } from '../statistics'
import type { Work } from '../trade'
import { alike } from './alikeTries'
import { apartRows, type ReadTwice } from './readTwice'
import { LIES, type Trial, type SkillCell } from './trials'

/** What had been practised when something is tried. */
export interface When {
  readonly before: number
  readonly beforeHere: number
  readonly restDays: number
}

/** How a reader differs, logit: the likeliest figure, and how far it may stray from the readers' middle. */
export interface ReaderOffset {
  readonly mean: number
  readonly deviation: number
}

/**
 * How sound work comes with practice in a school, for one element: coefficients on the logit scale, and how far
 * students differ.
 */
export interface SchoolCurve {
  readonly element: ElementId
  readonly weights: readonly number[]
  /** Standard deviation between students, logit. */
  readonly spread: number
  /**
   * How many more tries each reader finds sound than the school's readings are reckoned at, logit, by the account;
   * nought for a reader who is not named.
   */
  readonly readers: Readonly<Record<string, ReaderOffset>>
  /** Coupons it was fitted to; 0 for the curve a school starts with. */
  readonly coupons: number
}

/** Rest of up to a week is class rhythm; beyond it, skill goes with the logarithm of weeks. */
const REST_DAYS = 7

/** What is welded together, each a little apart from the rest. */
const WELDED: readonly Work[] = ['joint', 'fillet', 'groove', 'pipe']

/**
 * What the chance of a sound try depends on: where the pool lies, the work, the rod, the hand and way, practice in
 * all and here, and rest.
 * Practice and rest go in as logarithms: the next coupon teaches less than the last. Source: common practice of
 * learning curves.
 */
export function features(cell: SkillCell, { before, beforeHere, restDays }: When): number[] {
  return [
    1,
    ...LIES.slice(1).map(lie => (cell.lie === lie ? 1 : 0)),
    cell.work === 'plate' ? 0 : 1,
    ...WELDED.map(work => (cell.work === work ? 1 : 0)),
    cell.rodFamily === 'cellulosic' ? 1 : 0,
    cell.otherHand ? 1 : 0,
    cell.otherWay ? 1 : 0,
    Math.log1p(before),
    Math.log1p(beforeHere),
    Math.log1p(Math.max(0, restDays - REST_DAYS) / REST_DAYS),
  ]
}

/**
 * What is believed before a school has coupons: about half sound at first, harder out of position, better with
 * practice. Common practice.
 */
const BEFORE: readonly { readonly mean: number; readonly deviation: number }[] = [
  { mean: 0, deviation: 1 },
  ...[-0.2, -0.4, -0.4, -0.6].map(mean => ({ mean, deviation: 0.5 })),
  { mean: 0, deviation: 0.5 },
  ...WELDED.map(() => ({ mean: 0, deviation: 0.5 })),
  { mean: 0, deviation: 0.3 },
  { mean: -0.5, deviation: 0.4 },
  { mean: -0.2, deviation: 0.4 },
  { mean: 0.2, deviation: 0.3 },
  { mean: 0.3, deviation: 0.3 },
  { mean: -0.3, deviation: 0.3 },
]
const SPREAD = 0.6

/** The curve of an element that a school starts with. */
export const startingCurve = (element: ElementId): SchoolCurve => ({
  element,
  weights: BEFORE.map(row => row.mean),
  spread: SPREAD,
  readers: {},
  coupons: 0,
})

/** How far a school's readers usually differ in what they find sound, logit, and how many readers that is worth. */
const READERS_STRAY = 0.4
const READERS_COUNT = 3

/**
 * Fits the school's curve of one element: what all students have in common, each of them apart by a normal offset, and
 * each of their readers by another (a crossed random-effects regression: what sets a section apart is shared between
 * its students and its reader by how far either usually strays).
 * @param students rows of that element, a list a student
 * @param twice what two people read, the second blind: it sets readers apart even where their students differ
 * @example fitSchoolCurve('restart', []).weights // the curve a school starts with
 */
export function fitSchoolCurve(
  element: ElementId,
  students: readonly (readonly Trial[])[],
  twice: readonly ReadTwice[] = [],
): SchoolCurve {
  const own = students.map(rows => rows.filter(row => row.element === element)).filter(rows => rows.length > 0)
  if (own.length === 0) return startingCurve(element)
  const both = twice.filter(row => row.element === element)
  const readers = [
    ...new Set([...own.flat().flatMap(row => row.reader ?? []), ...both.flatMap(row => row.readers)]),
  ].sort()
  const shared = BEFORE.length
  const ofReaders = shared + own.length
  const rows = own.flatMap((list, student) =>
    list.map(row => {
      const share = alike(row.tried)
      return {
        x: [
          ...features(row, row),
          ...own.map((_, other) => (other === student ? 1 : 0)),
          ...readers.map(reader => (reader === row.reader ? 1 : 0)),
        ],
        tried: row.tried * share,
        sound: row.sound * share,
      }
    }),
  )
  const before = Array<number>(ofReaders).fill(0)
  const apart = apartRows(both, readers).map(row => ({ ...row, x: [...before, ...row.x] }))
  const fit = (spread: number, stray: number) =>
    fitLogistic(
      [...rows, ...apart],
      [
        ...BEFORE,
        ...own.map(() => ({ mean: 0, deviation: spread })),
        ...readers.map(() => ({ mean: 0, deviation: stray })),
      ],
    )
  // One step of expectation and maximisation is enough to find how far students differ, and readers.
  const first = fit(SPREAD, READERS_STRAY)
  const squares = (from: number, of: readonly unknown[]) =>
    of.reduce<number>((sum, _, n) => sum + first.mean[from + n]! ** 2 + first.covariance[from + n]![from + n]!, 0)
  const spread = Math.min(1.2, Math.max(0.25, Math.sqrt(squares(shared, own) / own.length)))
  const stray = Math.sqrt(
    (squares(ofReaders, readers) + READERS_COUNT * READERS_STRAY ** 2) / (readers.length + READERS_COUNT),
  )
  const { mean: fitted, covariance } = fit(spread, stray)
  const offsets = readers.map((_, n) => fitted[ofReaders + n]!)
  const level = readingLevel(offsets)
  /** Variance of a reader's offset from the readers' middle: where all of them stand is in the curve's own level. */
  const apartFromMiddle = (n: number) => {
    const share = readers.map((_, other) => (other === n ? 1 : 0) - 1 / readers.length)
    const row = (i: number) => share.reduce((sum, by, j) => sum + by * covariance[ofReaders + i]![ofReaders + j]!, 0)
    return Math.max(
      0,
      share.reduce((sum, by, i) => sum + by * row(i), 0),
    )
  }
  return {
    element,
    weights: fitted.slice(0, shared).map((weight, n) => (n === 0 ? weight + level : weight)),
    spread,
    readers: Object.fromEntries(
      readers.map((reader, n): [string, ReaderOffset] => [
        reader,
        { mean: offsets[n]! - level, deviation: Math.sqrt(apartFromMiddle(n)) },
      ]),
    ),
    coupons: new Set(own.flat().map(row => row.couponId)).size,
  }
}

/**
 * The level at which a school's readings are reckoned: a standard deviation on the strict side of its readers' middle.
 * Of what one reader marks and another passes over, most is there: it is missed more often than imagined.
 */
function readingLevel(offsets: readonly number[]): number {
  if (offsets.length === 0) return 0
  const middle = mean(offsets)
  return middle - Math.sqrt(mean(offsets.map(offset => (offset - middle) ** 2)))
}
