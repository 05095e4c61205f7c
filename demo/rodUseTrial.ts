import { daysAfter, type ClassDay, type ClassWeek } from '../core/calendar'
import { meetingDays } from '../core/floor'
import { climb, rungFinder, type ClimbCoupon } from '../core/ladder'
import { comingUse, kindOf, weeklyUse, type CouponsRun, type RodLot, type RodMovement } from '../core/rodRoom'
import { rodsAhead, type Climber } from '../core/rodsAhead'
import { mean, seededRandom, type Random } from '../core/statistics'
import { growSchool, SCHOOL_RULES, type DemoStudent } from './gannetQuay'
import { SCHOOL_LADDER } from './ladder'
import { DEMO_LOTS } from './rods'

/** The term of the first section; the others began this number of days before it. */
const [TERM_WEEKS, LAST_DAY, BEGAN_EARLIER] = [10, '2026-11-22', 14]
const LOTS: readonly RodLot[] = DEMO_LOTS.map(({ came: _, ...lot }, n) => ({ ...lot, id: `lot ${n}` }))
const HOLIDAY_DAYS = 14
/** Rods a coupon takes, by the rung and by itself: no figure of the burn-off. */
const [BY_RUNG, BY_ITSELF] = [
  [0.8, 2.8],
  [0.7, 1.3],
] as const

export interface RodUseTrial {
  readonly seeds: readonly number[]
  /** Whether coupons of stub days are run on stubs, for which no rods are drawn; else every coupon is drawn for. */
  readonly stubDays: boolean
  /** A holiday of two weeks after this number of weeks of the first section's term; absent where there is none. */
  readonly holidayAfter?: number
  /** Whether the holiday stands in the school's calendar; a school that has not said it learns of it as it comes. */
  readonly inCalendar?: boolean
  /** Whether it is asked on the last day before the holiday, which then lies in the weeks ahead. */
  readonly askedBefore?: boolean
  /** After how many weeks of the first section's term it is asked, and for how many to come. */
  readonly asked: readonly (readonly [after: number, ahead: number])[]
}

/** Whether what was used lay in the range that was said, and how far the likely figure was off. */
export interface RodUseScore {
  readonly said: number
  readonly held: number
  /** Mean distance of the likely figure from what came, over the mean of what came. */
  readonly off: number
}

interface Use {
  readonly low: number
  readonly likely: number
  readonly high: number
}

/** Asks in the middle of terms what the next weeks will use, and looks: by the ladder, and by the book alone. */
export function tryRodUse({
  seeds,
  stubDays,
  holidayAfter,
  inCalendar = false,
  askedBefore = false,
  asked,
}: RodUseTrial): Record<'byLadder' | 'byBook', RodUseScore> {
  const found = seeds.flatMap(seed => {
    const school = grow(seed, stubDays, { after: holidayAfter, inCalendar })
    return asked.flatMap(([after, ahead]) => {
      const today = daysAfter(LAST_DAY, -7 * (TERM_WEEKS - after) - (askedBefore ? HOLIDAY_DAYS : 0))
      const until = daysAfter(today, 7 * ahead)
      const [movements, now] = [school.book.filter(({ at }) => dayOf(at) <= today), new Date(`${today}T23:59:59Z`)]
      const byLadder = rodsAhead(
        {
          ladder: SCHOOL_LADDER,
          former: [],
          climbers: school.students.map(one => climberAt(one, today)),
          rules: SCHOOL_RULES,
          lots: LOTS,
          movements,
          runs: school.runs.filter(({ classDay }) => classDay <= today),
          weeksKept: after,
          now,
          clock: { zone: 'UTC', turnsAt: 0 },
          weeksAhead: ahead,
        },
        seededRandom(seed),
      )
      const weeks = weeklyUse(movements, LOTS, { weeks: after, now })
      return LOTS.map(kindOf).flatMap(kind => {
        const lot = LOTS.find(one => kindOf(one) === kind)!
        const lines = school.book.filter(({ lotId, at }) => lotId === lot.id && dayOf(at) > today && dayOf(at) <= until)
        const came = -lines.reduce((sum, { rods }) => sum + rods, 0)
        const byBook = comingUse(weeks.get(kind) ?? [], ahead)
        return byBook && byLadder.has(kind) ? [{ came, byLadder: byLadder.get(kind)!, byBook }] : []
      })
    })
  })
  const score = (of: (row: (typeof found)[number]) => Use): RodUseScore => ({
    said: found.length,
    held: mean(found.map(row => (row.came >= of(row).low && row.came <= of(row).high ? 1 : 0))),
    off: mean(found.map(row => Math.abs(of(row).likely - row.came))) / mean(found.map(({ came }) => came)),
  })
  return { byLadder: score(row => row.byLadder), byBook: score(row => row.byBook) }
}

const dayOf = (moment: string): ClassDay => moment.slice(0, 10)
const findRung = rungFinder(SCHOOL_LADDER)
const rungOf = (rung: string) => findRung({ rung })

interface OnRoster {
  readonly id: string
  readonly student: DemoStudent
  readonly until: ClassDay
  readonly week: ClassWeek
  readonly run: readonly ClimbCoupon[]
}

/** A school whose sections began one after the other, its coupons, and what was drawn for each. */
function grow(
  seed: number,
  stubDays: boolean,
  holiday: { readonly after: number | undefined; readonly inCalendar: boolean },
): { students: readonly OnRoster[]; runs: CouponsRun[]; book: RodMovement[] } {
  const random = seededRandom(seed)
  const takes = new Map(SCHOOL_LADDER.rungs.map(rung => [rung.id, between(BY_RUNG, random)]))
  const kinds = LOTS.map(kindOf)
  const book: RodMovement[] = []
  const runs: CouponsRun[] = []
  const breakDay = holiday.after === undefined ? null : daysAfter(LAST_DAY, -7 * (TERM_WEEKS - holiday.after))
  const daysOff =
    breakDay !== null && holiday.inCalendar
      ? [{ from: daysAfter(breakDay, 1 - HOLIDAY_DAYS), to: breakDay, name: 'holiday' }]
      : []
  const students = growSchool(seed, LAST_DAY).flatMap((section, began) =>
    section.students.map((student, n): OnRoster => {
      const id = `${began} ${n}`
      // What came before a holiday lies as many days earlier.
      const shifted = (day: ClassDay) => {
        const own = daysAfter(day, -BEGAN_EARLIER * began)
        return breakDay !== null && own <= breakDay ? daysAfter(own, -HOLIDAY_DAYS) : own
      }
      const run = student.coupons.map(({ document: { ticket, classDay, mock = false } }) => {
        const day = shifted(classDay)
        const rods = takes.get(rungOf(ticket.rung) ?? '') ?? 1
        const lot = kinds.indexOf(kindOf(ticket))
        const drawn = stubDays && ticket.rods === 'stubs' ? [] : [kindOf(ticket)]
        runs.push({ studentId: id, classDay: day, rung: ticket.rung, mock, kinds: drawn, coupons: 1 })
        if (drawn.length > 0)
          book.push({
            id: String(book.length),
            lotId: LOTS[lot]!.id,
            kind: 'issued',
            rods: -Math.max(1, Math.round(rods * between(BY_ITSELF, random))),
            studentId: id,
            why: '',
            at: `${day}T18:00:00.000Z`,
            by: '',
          })
        return { rung: ticket.rung, classDay: day, good: true, tries: {} }
      })
      return { id, student, until: shifted(LAST_DAY), week: { weekdays: meetingDays(section.fields), daysOff }, run }
    }),
  )
  return { students, runs, book: book.sort((a, b) => a.at.localeCompare(b.at)) }
}

const between = ([low, high]: readonly [number, number], random: Random) => low + (high - low) * random.uniform()

/** Where a student is on a day: all that was left behind is signed off. */
function climberAt({ id, student, until, week, run }: OnRoster, today: ClassDay): Climber {
  const sofar = run.filter(({ classDay }) => classDay <= today)
  const ids = new Set(sofar.map(({ rung }) => rungOf(rung)))
  const reached = SCHOOL_LADDER.rungs.filter(rung => ids.has(rung.id) && rung.rods === 'new')
  const signed = reached.slice(0, -1).map(rung => ({ rungId: rung.id }))
  return {
    studentId: id,
    hand: student.hand,
    climb: climb(SCHOOL_LADDER, sofar, signed, SCHOOL_RULES.goodInARow),
    until,
    week,
  }
}
