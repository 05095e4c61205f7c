import type { HonestyBand } from '../welderTest'

/**
 * Odds as people read them rightly: out of ten, never a promise.
 * @example sayOdds(0.68) // 'about 7 of 10'
 */
export function sayOdds(odds: number): string {
  if (odds < 0.05) return 'fewer than 1 of 20'
  if (odds > 0.95) return 'more than 19 of 20'
  return `about ${Math.max(1, Math.min(9, Math.round(odds * 10)))} of 10`
}

/** An interval wider than this tells no two students apart. */
const TOO_WIDE = 0.6
/** Fewer coupons than this are the school's students, not this one. */
const FEWEST_COUPONS = 6

/**
 * How sure the odds are, in words; where there is too little to say, that.
 * @param coupons of this student
 * @example saySure({ low: 0.1, high: 0.9 }, 40) // 'Too little to say …'
 */
export function saySure({ low, high }: { readonly low: number; readonly high: number }, coupons: number): string {
  if (coupons < FEWEST_COUPONS) {
    const say = coupons === 1 ? 'One coupon says' : `${coupons} coupons say`
    return `${say} too little of one student: this is what the school’s students show.`
  }
  if (high - low > TOO_WIDE) return 'Too little to say: the odds may be nearly anything.'
  return `Between ${sayOdds(low)} and ${sayOdds(high)}, as far as the coupons and the school’s tests can tell.`
}

/** What came of tests whose odds were alike. */
export type SaidBefore = Pick<HonestyBand, 'low' | 'high' | 'count' | 'passed'>

/**
 * What came of it when such odds were said to others.
 * @example sayBefore([{ low: 0.6, high: 0.8, count: 11, passed: 7 }], 0.68) // 'Of 11 tests that were said as much,
 *   7 passed.'
 */
export function sayBefore(before: readonly SaidBefore[], odds: number): string {
  const alike = before.find(({ low, high }) => odds >= low && (odds < high || high === 1))
  if (!alike || alike.count === 0) return 'No test with such odds has a result here yet.'
  const passed = alike.passed === 0 ? 'none' : alike.passed === alike.count ? 'all' : String(alike.passed)
  return alike.count === 1
    ? `The one test that was said as much ${alike.passed === 1 ? 'passed' : 'did not pass'}.`
    : `Of ${alike.count} tests that were said as much, ${passed} passed.`
}

/** How far along a student is, as the student is told it: what is there already, and what to do next. */
export interface ToldToStudent {
  readonly says: string
  readonly then: string
}

/** What is told from so good odds on. Common practice: a count of tests is read as a verdict, a way is not. */
const ALONG: readonly (readonly [from: number, says: string])[] = [
  [0.8, 'Your work is where this test asks for it, nearly all of the time.'],
  [0.5, 'Most of your work is where this test asks for it.'],
  [0.2, 'A good part of your work is where this test asks for it already.'],
  [0, 'This test asks for more than your coupons show yet, and what it takes is known.'],
]

/**
 * Odds in words that help the student they are of: no figure of passing or failing, what is there, and the one thing
 * that would help most.
 * @param coupons of this student
 * @param most what would help most, by its name; null where nothing stands out
 * @example sayToStudent(0.6, 40, 'Restart').says // 'Most of your work is where this test asks for it.'
 */
export function sayToStudent(odds: number, coupons: number, most: string | null): ToldToStudent {
  if (coupons < FEWEST_COUPONS)
    return {
      says: 'A few more coupons, and this says how far along you are.',
      then: 'Run what stands under Next coupon.',
    }
  const [from, says] = ALONG.find(([least]) => odds >= least)!
  if (from === ALONG[0]![0])
    return { says, then: 'A mock test under test terms shows whether it holds: ask your instructor for one.' }
  return { says, then: most ? `${most}: nothing would help more. Begin there.` : 'Run what stands under Next coupon.' }
}
