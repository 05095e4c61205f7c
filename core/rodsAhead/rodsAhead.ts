import {
  classDayAt,
  dayNumber,
  daysAfter,
  weeksOfClass,
  type ClassDay,
  type ClassWeek,
  type SchoolClock,
} from '../calendar'
import type { HouseRules } from '../house'
import { rungFinder, type Ladder } from '../ladder'
import {
  comingUse,
  kindOf,
  sharedOut,
  weeklyUse,
  type ComingUse,
  type CouponsRun,
  type RodLot,
  type RodMovement,
  type RunWithRods,
} from '../rodRoom'
import { quantile, type Random } from '../statistics'
import { perCoupon } from './perCoupon'
import { walk, wayAhead, type Climber } from './walk'

/** All that it is reckoned from, as plain data: a large school takes half a second, in a thread of its own. */
export interface RodsAheadCase {
  readonly ladder: Ladder
  /** The ladders there were before, newest first: tickets say rungs as they were once called. */
  readonly former: readonly Ladder[]
  readonly climbers: readonly Climber[]
  readonly rules: HouseRules
  readonly lots: readonly RodLot[]
  /** The book of the last weeks, and the coupons of the same time. */
  readonly movements: readonly RodMovement[]
  readonly runs: readonly CouponsRun[]
  /** Weeks that the book goes back, whole ones. */
  readonly weeksKept: number
  readonly now: Date
  readonly clock: SchoolClock
  /** May be a fraction. */
  readonly weeksAhead: number
}

/** Weeks with class that a student's pace is taken from. */
const LATELY_WEEKS = 3
const A_WEEK = 7
/**
 * How far things go otherwise than expected, as deviations of logarithms: how fast one student comes along, how full
 * the weeks are, and what a coupon takes. Set so that the range holds what came about eight times in ten in made-up
 * schools.
 */
const STRAYS = { tempo: 0.35, weeks: 0.12, rods: 0.15 } as const
const DRAWS = 200
/** Eight of ten lie between. */
const RANGE = [0.1, 0.5, 0.9] as const

/**
 * What the coming weeks will use, by kind: each student's next coupons along the ladder, at the own pace, with what a
 * coupon of each rung takes. Kinds that no coupon accounts for go by the book alone. A class that moves from pads to
 * grooves takes other rods than it did, and the book alone would not say.
 * Source: ladder, book and burn-off; simulation.
 * @param random for what cannot be known ahead
 */
export function rodsAhead(wanted: RodsAheadCase, random: Random): ReadonlyMap<string, ComingUse> {
  const { ladder, former, climbers, rules, movements, lots, runs, clock, weeksAhead } = wanted
  const dayOf = (moment: string) => classDayAt(new Date(moment), clock)
  const find = rungFinder(ladder, former)
  const taken = sharedOut(movements, lots, runs, dayOf)
  const rods = perCoupon(ladder, rules, taken, rung => find({ rung }))
  const today = dayOf(wanted.now.toISOString())
  const lately = weeksOfLate(runs, today)
  const noted = shareNoted(
    runs,
    taken.map(({ run }) => run),
    lately,
  )
  const own = new Map<string, CouponsRun[]>(climbers.map(({ studentId }) => [studentId, []]))
  for (const run of runs) own.get(run.studentId)?.push(run)
  const paced = climbers.map(climber => ({
    hand: climber.hand,
    way: wayAhead(ladder, climber),
    coupons: weeksLeft(climber, today, weeksAhead) * paceOf(own.get(climber.studentId) ?? [], climber.week, lately),
  }))
  const late = movements.filter(({ at }) => lately.has({ classDay: dayOf(at) }))
  const beside = drawnBeside(late, lots, taken, lately)
  const stray = (deviation: number) => Math.exp(deviation * random.normal())
  const draws = Array.from({ length: DRAWS }, () => {
    const full = stray(STRAYS.weeks)
    const taking = noted * stray(STRAYS.rods)
    const sum = new Map<string, number>()
    for (const { hand, way, coupons: expected } of paced)
      for (const [rungId, coupons] of walk(way, expected * full, way.tempo * stray(STRAYS.tempo)))
        for (const [kind, count] of rods(rungId, hand))
          sum.set(kind, (sum.get(kind) ?? 0) + beside(kind) * taking * count * coupons)
    return sum
  })
  const open = climbers.map(({ week }) => weeksOfClass(week, today, lastOf(today, weeksAhead)))
  const weeksOpen = open.length > 0 ? Math.max(...open) : weeksAhead
  const byBook = weeklyUse(movements, lots, { weeks: wanted.weeksKept, now: wanted.now })
  const accounted = new Set(taken.flatMap(({ shares }) => shares.map(({ kind }) => kind)))
  const kinds = new Set([...byBook.keys(), ...draws.flatMap(draw => [...draw.keys()])])
  return new Map(
    [...kinds].sort().flatMap(kind => {
      const drawn = draws.map(draw => draw.get(kind) ?? 0)
      const byLadder = accounted.has(kind) || Math.max(...drawn) > 0
      const use = byLadder ? rangeOf(drawn) : comingUse(withClass(byBook, kind), weeksOpen)
      return use ? [[kind, use] as const] : []
    }),
  )
}

function rangeOf(drawn: readonly number[]): ComingUse {
  const [low, likely, high] = RANGE.map(share => quantile(drawn, share)) as [number, number, number]
  // Few rods are counted one by one, and stray by that as well.
  const counting = Math.sqrt(likely)
  return {
    low: Math.max(0, Math.floor(Math.min(low, likely - counting))),
    likely: Math.round(likely),
    high: Math.ceil(Math.max(high, likely + counting)),
  }
}

/** The last weeks with class: what was run in them, and how many they are. */
interface Lately {
  readonly has: (run: Pick<CouponsRun, 'classDay'>) => boolean
  /** How many of them there were since a day, that of the day with them, less what of each was off for a section. */
  readonly since: (day: ClassDay | null, week: ClassWeek) => number
}

/**
 * The newest weeks in which anybody ran anything, counted back from the last such day: weeks without class are passed
 * over, so that a holiday is no pace of nought, neither while it lasts nor in the weeks after it.
 */
function weeksOfLate(runs: readonly CouponsRun[], today: ClassDay): Lately {
  const last = runs.reduce(
    (newest, { classDay }) => (classDay > newest ? classDay : newest),
    runs[0]?.classDay ?? today,
  )
  const weekOf = (day: ClassDay) => Math.floor((dayNumber(last) - dayNumber(day)) / A_WEEK)
  const weeks = [...new Set(runs.map(({ classDay }) => weekOf(classDay)))].sort((a, b) => a - b).slice(0, LATELY_WEEKS)
  const held = (week: number, of: ClassWeek) =>
    weeksOfClass(of, daysAfter(last, -A_WEEK * (week + 1)), daysAfter(last, -A_WEEK * week))
  return {
    has: ({ classDay }) => weeks.includes(weekOf(classDay)),
    since: (day, of) =>
      weeks.filter(week => day === null || week <= weekOf(day)).reduce((sum, week) => sum + held(week, of), 0),
  }
}

/** What was used of a kind in each week in which anything was used at all. */
function withClass(byBook: ReadonlyMap<string, readonly number[]>, kind: string): number[] {
  const used = [...byBook.values()]
  return (byBook.get(kind) ?? []).filter((_, week) => used.some(weeks => weeks[week] !== 0))
}

const couponsOf = (runs: readonly CouponsRun[]) => runs.reduce((sum, { coupons }) => sum + coupons, 0)

/** The last day of the weeks ahead. */
const lastOf = (today: ClassDay, weeksAhead: number) => daysAfter(today, Math.round(A_WEEK * weeksAhead))

/** Weeks of class that a climber has in the weeks ahead: to the end of the term, and without the days off. */
function weeksLeft({ until, week }: Climber, today: ClassDay, weeksAhead: number): number {
  const to = lastOf(today, weeksAhead)
  return weeksOfClass(week, today, to < until ? to : until)
}

/** Coupons a week with class, as of late; a student who has not come for weeks comes no more. */
function paceOf(own: readonly CouponsRun[], week: ClassWeek, lately: Lately): number {
  const first = own.map(({ classDay }) => classDay).sort()[0] ?? null
  const weeks = lately.since(first, week)
  return weeks === 0 ? 0 : couponsOf(own.filter(lately.has)) / weeks
}

/** The book's own word on a kind counts as much as that of the coupons after this number of rods. Common practice. */
const OWN_WORD = 30

/**
 * Rods drawn lately for each one that a coupon was read of, by kind: demonstrations, and coupons that were not read.
 */
function drawnBeside(
  late: readonly RodMovement[],
  lots: readonly RodLot[],
  taken: readonly RunWithRods[],
  lately: Lately,
): (kind: string) => number {
  const kinds = new Map(lots.map(lot => [lot.id, kindOf(lot)]))
  const drawn = new Map<string, number>()
  for (const { lotId, kind, rods } of late) {
    const name = kinds.get(lotId)
    if (name && (kind === 'issued' || kind === 'returned')) drawn.set(name, (drawn.get(name) ?? 0) - rods)
  }
  const read = new Map<string, number>()
  for (const { run, shares } of taken)
    if (lately.has(run)) for (const { kind, rods } of shares) read.set(kind, (read.get(kind) ?? 0) + rods)
  return kind => Math.max(1, ((drawn.get(kind) ?? 0) + OWN_WORD) / ((read.get(kind) ?? 0) + OWN_WORD))
}

/** Of how many coupons it is noted what was drawn, 0 to 1: only that leaves the store by its book; stubs do not. */
function shareNoted(runs: readonly CouponsRun[], noted: readonly CouponsRun[], lately: Lately): number {
  const late = (all: readonly CouponsRun[]) => couponsOf(all.filter(lately.has))
  return late(runs) > 0 ? late(noted) / late(runs) : 0
}
