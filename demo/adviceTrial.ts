import { dayNumber } from '../core/calendar'
import { climb, FULL_LADDER, rungsInUse, type LadderRung, type RungState } from '../core/ladder'
import { lieOf, skillOf, skillRate, whenNext } from '../core/progress'
import { shippedBook, testPieceOf } from '../core/qualification'
import { outlookCase, proposals, testPlan, whatHelps, type ReadinessKnown, type TestPlan } from '../core/readiness'
import { mean, seededRandom } from '../core/statistics'
import { runAs } from '../core/trade'
import { growSchool, SCHOOL_RULES, type DemoStudent } from './gannetQuay'
import { TEST_DAY, LAST_DAY, take, whatIsKnown } from './readinessTrial'
import type { World } from './worlds'

/** How the next rung is chosen: as the page proposes, or by three simple rules. */
export type Choice = 'proposed' | 'at random' | 'next on the ladder' | 'where the rate is worst'

export interface AdviceTrial {
  readonly world: World
  readonly seed: number
  readonly students: number
  /** Coupons of the rung that are run. */
  readonly coupons: number
  /** Tests taken before and after. */
  readonly tests: number
}

/** The piece that a student is on the way to. */
function pieceAhead({ coupons }: DemoStudent): readonly [piece: string, book: string] {
  const rungs = new Set(coupons.map(({ document }) => document.ticket.rung))
  if (rungs.has('pipe 2G')) return ['pipe-2-2g', 'pressure']
  return rungs.has('V with backing 3G') ? ['plate-4g', 'structural'] : ['plate-3g', 'structural']
}

const isOpen = ({ status }: RungState) => status === 'open' || status === 'ready'

/**
 * What a rung is worth that is chosen one way or another: a number of coupons of it is run, and the test is taken
 * again. Answers the mean rise of the share that passes. In these worlds a coupon teaches the position it is run in.
 */
export function tryAdvice({ world, seed, students, coupons, tests }: AdviceTrial): Record<Choice, number> {
  const school = growSchool(seed, LAST_DAY, world.practice)
    .flatMap(section => section.students)
    .slice(0, students)
  const known = whatIsKnown(school)
  const random = seededRandom(seed)
  const gains: Record<Choice, number[]> = {
    'proposed': [],
    'at random': [],
    'next on the ladder': [],
    'where the rate is worst': [],
  }
  school.forEach((student, n) => {
    const [piece, bookId] = pieceAhead(student)
    const plan = testPlan(testPieceOf(piece), SCHOOL_RULES, shippedBook(bookId))
    const climbed = climbOf(student)
    const open = rungsInUse(FULL_LADDER).filter(rung => climbed.some(one => one.rungId === rung.id && isOpen(one)))
    const asked = { student, piece, bookId, seed }
    const before = take(world, asked, tests).passed
    const after = (rung: LadderRung) =>
      runAs(rung.position) === runAs(plan.piece.position) ? take(world, asked, tests, coupons).passed - before : 0
    const chosen: Record<Choice, LadderRung> = {
      'proposed': proposed(known[n]!, plan, climbed),
      'at random': random.pick(open),
      'next on the ladder': open[0]!,
      'where the rate is worst': [...open].sort((a, b) => rateOf(known[n]!, a) - rateOf(known[n]!, b))[0]!,
    }
    for (const choice of Object.keys(gains) as Choice[]) gains[choice].push(after(chosen[choice]))
  })
  return Object.fromEntries(Object.entries(gains).map(([choice, all]) => [choice, mean(all)])) as Record<Choice, number>
}

/** Everything up to the last rung that was reached is signed off. */
function climbOf({ coupons }: DemoStudent): RungState[] {
  const run = new Set(coupons.map(({ document }) => document.ticket.rung.replace(', stubs', '')))
  const reached = FULL_LADDER.rungs.filter(rung => run.has(rung.name))
  return climb(
    FULL_LADDER,
    [],
    reached.slice(0, -1).map(rung => ({ rungId: rung.id })),
    SCHOOL_RULES.goodInARow,
  )
}

function proposed(known: ReadinessKnown, plan: TestPlan, climbed: readonly RungState[]): LadderRung {
  const helps = whatHelps(outlookCase(known, plan, dayNumber(TEST_DAY), 1), 1000)
  const wanted = { ladder: FULL_LADDER, climb: climbed, helps, test: plan.piece, lately: [], sameDrillDays: 2 }
  return proposals(wanted)[0]!.rung
}

function rateOf({ standing, curves }: ReadinessKnown, rung: LadderRung): number {
  const lie = lieOf(rung.position)
  const when = whenNext(standing, lie, dayNumber(TEST_DAY))
  const cell = { lie, work: 'plate', rodFamily: 'low hydrogen', otherHand: false, otherWay: false } as const
  return mean(
    rung.trains.map(element => skillRate(skillOf(standing, curves, element), { ...cell, element }, when).rate),
  )
}
