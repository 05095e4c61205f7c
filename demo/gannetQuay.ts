import type { CouponDocument, Hand, PlatePiece, Ticket } from '../core/coupon'
import { newCoupon } from '../core/coupon'
import { gradeCoupon } from '../core/grading'
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../core/house'
import { startCurrent } from '../core/setup'
import { drawLearner, seededRandom, weldCoupon, type Habit, type Learner, type Random } from '../core/simulate'
import { inches } from '../core/units'
import { positionOf, type PadPosition } from '../core/trade'
import type { SectionFields, Weekday } from '../contract/people'
import { STUDENT_NAMES } from './names'

export const SCHOOL_NAME = 'Gannet Quay Trades Hall'

/** The made-up school's own rules: a bead of one width for all small rods, all else by default. */
export const SCHOOL_RULES: HouseRules = {
  ...DEFAULT_HOUSE_RULES,
  beadWidth: { by: 'length', lowMm: inches(1 / 4), highMm: inches(5 / 16) },
}

export interface DemoStudent {
  readonly name: string
  readonly hand: Hand
  readonly booth: number
  readonly startDate: string
  readonly coupons: readonly DemoCoupon[]
}

export interface DemoCoupon {
  /** Everything but the student's id, which the database gives. */
  readonly document: CouponDocument
  readonly savedAt: Date
}

export interface DemoSection {
  readonly fields: SectionFields
  readonly students: readonly DemoStudent[]
}

const WEEKS = 10
const PER_WEEK = 7
const ARC_STRIKE_PLATES = 2
const PLATE = { kind: 'pad', lengthMm: inches(6), widthMm: inches(4), thicknessMm: inches(3 / 8) } as const

/** The short ladder the made-up school climbs: each rung is left after three good coupons in a row, or after long enough. */
const RUNGS: readonly { rung: string, position: PadPosition }[] = [
  { rung: 'flat pad', position: '1G' }, { rung: 'horizontal pad', position: '2G' }, { rung: 'vertical pad', position: '3G' }, { rung: 'overhead pad', position: '4G' },
]
const LONG_ENOUGH = 24
/** Whoever has a habit to unlearn is kept on a rung for longer: in every class somebody pads flat while others are overhead. */
const LONG_WITH_HABIT = 46

const SECTIONS: readonly { name: string, days: readonly Weekday[], from: string, to: string }[] = [
  { name: 'Evening A', days: ['Mon', 'Wed'], from: '18:00', to: '21:30' },
  { name: 'Evening B', days: ['Tue', 'Thu'], from: '18:00', to: '21:30' },
  { name: 'Day C', days: ['Mon', 'Tue', 'Thu'], from: '08:30', to: '12:00' },
]

/** Habits by place on the roster: one long-arcs, one avoids restarts, and so on; the rest have none. */
const HABITS: Readonly<Record<number, Habit>> = { 0: 'avoids restarts', 1: 'long arc', 3: 'runs hot', 14: 'leans the rod', 20: 'long arc', 29: 'hurries the ends' }
const LEFT_HANDED = new Set([2, 13, 30])

const WEEKDAYS: readonly Weekday[] = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']

/** Minutes between two coupons of one student on one day. */
const BETWEEN_COUPONS = 42

const isoDay = (date: Date) => date.toISOString().slice(0, 10)
const addDays = (date: Date, days: number) => new Date(date.getTime() + days * 86_400_000)

/**
 * Grows the school from one seed: three sections of twelve, ten weeks that end on a day, about 2,500 coupons.
 * @param lastDay local date of the newest class, ISO 8601
 */
export function growSchool(seed: number, lastDay: string): DemoSection[] {
  const random = seededRandom(seed)
  const end = new Date(`${lastDay}T00:00:00Z`)
  const start = addDays(end, -7 * WEEKS + 1)
  return SECTIONS.map(({ name, days, from, to }, index) => ({
    fields: { name, meetings: days.map(weekday => ({ weekday, from, to })), termFrom: isoDay(start), termTo: isoDay(addDays(end, 42)) },
    students: STUDENT_NAMES.slice(index * 12, index * 12 + 12).map((student, place) =>
      growStudent({ name: student, place: index * 12 + place, booth: place + 1, openings: openingsOf(start, end, days, from) }, random)),
  }))
}

/** The moments at which a section's classes open, first to last. */
function openingsOf(start: Date, end: Date, days: readonly Weekday[], from: string): Date[] {
  const all = Array.from({ length: 7 * WEEKS }, (_, n) => addDays(start, n)).filter(day => day <= end && days.includes(WEEKDAYS[day.getUTCDay()]!))
  return all.map(day => new Date(`${isoDay(day)}T${from}:00Z`))
}

function growStudent({ name, place, booth, openings }: { name: string, place: number, booth: number, openings: readonly Date[] }, random: Random): DemoStudent {
  const learner = drawLearner(random, HABITS[place] ?? null)
  const hand: Hand = LEFT_HANDED.has(place) ? 'left' : 'right'
  const coupons: DemoCoupon[] = []
  const done = new Map<PadPosition, number>()
  let rung = 0
  let goodInARow = 0
  const total = WEEKS * PER_WEEK
  for (let n = 0; n < total; n++) {
    const { position } = RUNGS[rung]!
    const ticket = ticketFor(rungFor(n, RUNGS[rung]!), { hand, booth, learner, stubs: n % 6 === 5, cellulosic: position === '2G' && n % 4 === 3 }, random)
    const meeting = Math.floor((n * openings.length) / total)
    const nth = n - Math.ceil((meeting * total) / openings.length)
    const savedAt = new Date(openings[meeting]!.getTime() + (20 + nth * BETWEEN_COUPONS + Math.floor(random.uniform() * 35)) * 60_000)
    const expected = newCoupon({ studentId: '', classDay: isoDay(savedAt), rulesVersion: 2, ...plateFor(n), ticket }, SCHOOL_RULES)
    const tries = done.get(position) ?? 0
    const document = weldCoupon(expected, learner, tries, random, SCHOOL_RULES)
    coupons.push({ document, savedAt })
    done.set(position, tries + 1)
    goodInARow = gradeCoupon(document, SCHOOL_RULES).verdict === 'move on' ? goodInARow + 1 : 0
    if (rung < RUNGS.length - 1 && (goodInARow >= 3 || tries + 1 >= (learner.habit ? LONG_WITH_HABIT : LONG_ENOUGH))) {
      rung += 1
      goodInARow = 0
    }
  }
  return { name, hand, booth, startDate: isoDay(openings[0]!), coupons }
}

/** A drill goes by its own name. */
const rungFor = (n: number, rung: (typeof RUNGS)[number]) => (n < ARC_STRIKE_PLATES ? { ...rung, rung: 'arc strikes' } : n % 12 === 11 ? { ...rung, rung: 'restart strip' } : rung)

/** The first plates are arc strikes; on stub days there is a restart strip now and then; all else are pads that grow by a bead. */
function plateFor(n: number): { piece: PlatePiece, beadCount: number } {
  if (n < ARC_STRIKE_PLATES) return { piece: { ...PLATE, kind: 'arc-strike plate', everyMm: inches(1) }, beadCount: 12 }
  if (n % 12 === 11) return { piece: { ...PLATE, kind: 'restart strip', everyMm: inches(1) }, beadCount: 3 }
  return { piece: PLATE, beadCount: 6 + Math.min(4, Math.floor(n / 16)) }
}

interface Slip {
  readonly hand: Hand
  readonly booth: number
  readonly learner: Learner
  readonly stubs: boolean
  readonly cellulosic: boolean
}

function ticketFor({ rung, position }: { rung: string, position: PadPosition }, slip: Slip, random: Random): Ticket {
  const classification = slip.cellulosic ? 'E6010' : 'E7018'
  const { startA } = startCurrent({ classification, diameterMm: inches(1 / 8), position, joint: 'pad', pass: 'bead' }, SCHOOL_RULES)
  const hot = slip.learner.habit === 'runs hot' ? 14 : 0
  const ways = positionOf(position).travel
  return {
    rung: slip.stubs && rung !== 'restart strip' ? `${rung}, stubs` : rung, position, classification, diameterMm: inches(1 / 8), rods: slip.stubs ? 'stubs' : 'new',
    currentA: Math.round((startA + hot + 5 * random.normal()) / 5) * 5, polarity: 'DCEP', hand: slip.hand,
    travel: position === '3G' ? 'up' : slip.hand === 'left' ? ways[1]! : ways[0]!, booth: slip.booth,
  }
}
