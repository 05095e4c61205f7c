import type { CouponDocument, Hand, Piece, Ticket } from '../core/coupon'
import { hasGroove, newCoupon, seamLength, thicknessOf, usualPiece } from '../core/coupon'
import { gradeCoupon } from '../core/grading'
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../core/house'
import type { CauseId } from '../core/diagnosis'
import { startCurrent } from '../core/setup'
import { drawLearner, weldCoupon, type Habit, type Learner } from '../core/simulate'
import { seededRandom, type Random } from '../core/statistics'
import { inches } from '../core/units'
import { positionOf, runAs, type PadPosition, type PositionId } from '../core/trade'
import type { SectionFields, Weekday } from '../contract/people'
import { STUDENT_NAMES } from './names'

export const SCHOOL_NAME = 'Gannet Quay Trades Hall'

/** The made-up school's own rules: a bead of one width for all small rods, all else by default. */
export const SCHOOL_RULES: HouseRules = {
  ...DEFAULT_HOUSE_RULES,
  beadWidth: { by: 'length', lowMm: inches(1 / 4), highMm: inches(5 / 16) },
}

/** A coupon as it is welded by a learner and read by an instructor. */
export type Weld = typeof weldCoupon

export interface DemoStudent {
  readonly name: string
  /** Which of the school's sections the student is in, from 0. */
  readonly section: number
  readonly hand: Hand
  readonly booth: number
  readonly startDate: string
  /** When its classes open, on the wall. */
  readonly opensAt: string
  readonly coupons: readonly DemoCoupon[]
  /** The hand behind them, and how many coupons it has welded as each pool lies: for tests. */
  readonly learner: Learner
  readonly practised: ReadonlyMap<PadPosition, number>
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

interface Rung {
  readonly rung: string
  readonly position: PositionId
  readonly piece: Piece
  readonly diameterMm: number
}

const joint = (rung: string, position: PositionId, piece: Piece, diameterMm = inches(1 / 8)): Rung => ({
  rung,
  position,
  piece,
  diameterMm,
})

/** The ladder the made-up school climbs: each rung is left after three good coupons in a row, or after long enough. */
const RUNGS: readonly Rung[] = [
  joint('flat pad', '1G', PLATE),
  joint('square butt', '1G', usualPiece('square butt')),
  joint('horizontal pad', '2G', PLATE),
  joint('T fillet 2F', '2F', usualPiece('T')),
  joint('vertical pad', '3G', PLATE),
  joint('T fillet 3F', '3F', usualPiece('T')),
  joint('overhead pad', '4G', PLATE),
  joint('T fillet 4F', '4F', usualPiece('T')),
  joint('V with backing 3G', '3G', usualPiece('plate groove'), inches(3 / 32)),
  joint('open root 3G', '3G', usualPiece('plate groove', true), inches(3 / 32)),
  joint('pipe 2G', '2G', usualPiece('pipe butt'), inches(3 / 32)),
  joint('pipe 5G', '5G', usualPiece('pipe butt'), inches(3 / 32)),
  joint('pipe 6G', '6G', usualPiece('pipe butt'), inches(3 / 32)),
]
/** How long depends on the student. */
const longEnough = (place: number) => 5 + (place % 4)
/**
 * A student with a habit to unlearn is kept on a rung for longer: in every class some pad flat while others are
 * overhead.
 */
const LONG_WITH_HABIT = 16

const SECTIONS: readonly { name: string; days: readonly Weekday[]; from: string; to: string }[] = [
  { name: 'Evening A', days: ['Mon', 'Wed'], from: '18:00', to: '21:30' },
  { name: 'Evening B', days: ['Tue', 'Thu'], from: '18:00', to: '21:30' },
  { name: 'Day C', days: ['Mon', 'Tue', 'Thu'], from: '08:30', to: '12:00' },
]

/** Habits by place on the roster: one long-arcs, one avoids restarts, and so on; the rest have none. */
const HABITS: Readonly<Record<number, Habit>> = {
  0: 'avoids restarts',
  1: 'long arc',
  3: 'runs hot',
  14: 'leans the rod',
  20: 'long arc',
  29: 'hurries the ends',
}
const LEFT_HANDED = new Set([2, 13, 30])

const WEEKDAYS: readonly Weekday[] = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']

/** Minutes between two coupons of one student on one day. */
const BETWEEN_COUPONS = 42

const isoDay = (date: Date) => date.toISOString().slice(0, 10)
const addDays = (date: Date, days: number) => new Date(date.getTime() + days * 86_400_000)

/**
 * Grows the school from one seed: three sections of twelve, ten weeks that end on a day, about 2,500 coupons.
 * @param lastDay local date of the newest class, ISO 8601
 * @param weld how its students weld and its instructors read; other worlds weld otherwise
 */
export function growSchool(seed: number, lastDay: string, weld: Weld = weldCoupon): DemoSection[] {
  const random = seededRandom(seed)
  const end = new Date(`${lastDay}T00:00:00Z`)
  const start = addDays(end, -7 * WEEKS + 1)
  return SECTIONS.map(({ name, days, from, to }, index) => ({
    fields: {
      name,
      meetings: days.map(weekday => ({ weekday, from, to })),
      termFrom: isoDay(start),
      termTo: isoDay(addDays(end, 42)),
    },
    students: STUDENT_NAMES.slice(index * 12, index * 12 + 12).map((student, place) =>
      growStudent(
        {
          name: student,
          section: index,
          place: index * 12 + place,
          booth: place + 1,
          opensAt: from,
          openings: openingsOf(start, end, days, from),
        },
        random,
        weld,
      ),
    ),
  }))
}

/** The moments at which a section's classes open, first to last. */
function openingsOf(start: Date, end: Date, days: readonly Weekday[], from: string): Date[] {
  const all = Array.from({ length: 7 * WEEKS }, (_, n) => addDays(start, n)).filter(
    day => day <= end && days.includes(WEEKDAYS[day.getUTCDay()]!),
  )
  return all.map(day => new Date(`${isoDay(day)}T${from}:00Z`))
}

/** Whose coupons are grown, and where and when. */
interface Enrolment extends Pick<DemoStudent, 'name' | 'section' | 'booth' | 'opensAt'> {
  readonly place: number
  readonly openings: readonly Date[]
}

function growStudent({ place, openings, ...enrolled }: Enrolment, random: Random, weld: Weld): DemoStudent {
  const { booth } = enrolled
  const learner = drawLearner(random, HABITS[place] ?? null)
  const hand: Hand = LEFT_HANDED.has(place) ? 'left' : 'right'
  const coupons: DemoCoupon[] = []
  const done = new Map<PadPosition, number>()
  let rung = 0
  let goodInARow = 0
  let onRung = 0
  const total = WEEKS * PER_WEEK
  for (let n = 0; n < total; n++) {
    const { position } = RUNGS[rung]!
    const lies = runAs(position)
    const ticket = ticketFor(
      rungFor(n, RUNGS[rung]!),
      { hand, booth, learner, stubs: n % 6 === 5, cellulosic: RUNGS[rung]!.rung === 'horizontal pad' && n % 4 === 3 },
      random,
    )
    const meeting = Math.floor((n * openings.length) / total)
    const nth = n - Math.ceil((meeting * total) / openings.length)
    const savedAt = new Date(
      openings[meeting]!.getTime() + (20 + nth * BETWEEN_COUPONS + Math.floor(random.uniform() * 35)) * 60_000,
    )
    const expected = newCoupon(
      { studentId: '', classDay: isoDay(savedAt), rulesVersion: 2, ...pieceFor(n, RUNGS[rung]!), ticket },
      SCHOOL_RULES,
    )
    const tries = done.get(lies) ?? 0
    const document = said(
      fittedUp(weld(expected, learner, tries, random, SCHOOL_RULES), seededRandom(1000 * place + n)),
      learner.habit,
      n,
    )
    coupons.push({ document, savedAt })
    done.set(lies, tries + 1)
    onRung += 1
    goodInARow = gradeCoupon(document, SCHOOL_RULES).verdict === 'move on' ? goodInARow + 1 : 0
    if (
      rung < RUNGS.length - 1 &&
      (goodInARow >= 3 || onRung >= (learner.habit ? LONG_WITH_HABIT : longEnough(place)))
    ) {
      rung += 1
      goodInARow = 0
      onRung = 0
    }
  }
  return { ...enrolled, hand, startDate: isoDay(openings[0]!), coupons, learner, practised: done }
}

/** What the instructor saw a habit to be, on every seventh coupon of a student who has one. */
const SEEN_AS: Readonly<Record<Exclude<Habit, null>, CauseId>> = {
  'long arc': 'arc long',
  'avoids restarts': 'too short in crater',
  'runs hot': 'current high',
  'leans the rod': 'travel angle',
  'hurries the ends': 'crater left',
}
const said = (document: CouponDocument, habit: Habit, n: number): CouponDocument =>
  habit && n % 7 === 3 ? { ...document, trueCause: SEEN_AS[habit] } : document

/**
 * Grooves come with their fit-up, by a chance of its own, so that no student welds otherwise for it: gauged at both
 * ends, a 32nd off now and then, one tack in six not feathered.
 */
function fittedUp(document: CouponDocument, random: Random): CouponDocument {
  if (!hasGroove(document.piece)) return document
  const { gapMm, landMm, includedDegrees } = document.piece.groove
  const near = (mm: number) => Math.max(0, mm + inches(random.pick([-1, 0, 0, 0, 0, 1]) / 32))
  const tacks = [inches(1 / 4), seamLength(document.piece) / 2].map(atMm => ({
    atMm,
    lengthMm: inches(1 / 2),
    feathered: !random.chance(1 / 6),
  }))
  const bare = { leftMm: gapMm, rightMm: gapMm }
  return {
    ...document,
    fitUp: {
      bare,
      afterFirstTack: { leftMm: gapMm, rightMm: near(gapMm) },
      afterSecondTack: { leftMm: gapMm, rightMm: near(gapMm) },
      misalignmentMm: random.chance(0.1) ? inches(3 / 32) : 0,
      presetDegrees: 3,
      leftDegrees: random.pick([-1, 0, 1, 2]),
      bevelDegrees: { left: includedDegrees / 2, right: includedDegrees / 2 },
      landMm,
      tacks,
      surface: 'bright metal',
      clamp: 'on bare metal, near',
    },
  }
}

const isDrill = (n: number) => n < ARC_STRIKE_PLATES || n % 12 === 11

/** A drill goes by its own name, and is run on a plate as the rung lies. */
const rungFor = (n: number, rung: Rung): Rung =>
  isDrill(n)
    ? {
        rung: n < ARC_STRIKE_PLATES ? 'arc strikes' : 'restart strip',
        position: runAs(rung.position),
        piece: PLATE,
        diameterMm: inches(1 / 8),
      }
    : rung

/**
 * The first plates are arc strikes; on stub days there is a restart strip now and then; all else is the rung's own
 * piece, pads growing by a bead.
 */
function pieceFor(n: number, rung: Rung): { piece: Piece; beadCount: number } {
  if (n < ARC_STRIKE_PLATES) return { piece: { ...PLATE, kind: 'arc-strike plate', everyMm: inches(1) }, beadCount: 12 }
  if (isDrill(n)) return { piece: { ...PLATE, kind: 'restart strip', everyMm: inches(1) }, beadCount: 3 }
  return { piece: rung.piece, beadCount: rung.piece.kind === 'pad' ? 6 + Math.min(4, Math.floor(n / 16)) : 1 }
}

interface Slip {
  readonly hand: Hand
  readonly booth: number
  readonly learner: Learner
  readonly stubs: boolean
  readonly cellulosic: boolean
}

function ticketFor({ rung, position, piece, diameterMm }: Rung, slip: Slip, random: Random): Ticket {
  const classification = slip.cellulosic ? 'E6010' : 'E7018'
  const { startA } = startCurrent(
    {
      classification,
      diameterMm,
      position: runAs(position),
      joint: 'pad',
      pass: 'bead',
      thicknessMm: thicknessOf(piece),
    },
    SCHOOL_RULES,
  )
  const hot = slip.learner.habit === 'runs hot' ? 14 : 0
  const ways = positionOf(position).travel
  return {
    rung: slip.stubs && rung !== 'restart strip' ? `${rung}, stubs` : rung,
    position,
    classification,
    diameterMm,
    rods: slip.stubs ? 'stubs' : 'new',
    currentA: Math.round((startA + hot + 5 * random.normal()) / 5) * 5,
    polarity: 'DCEP',
    hand: slip.hand,
    travel: ways[0] === 'up' ? 'up' : slip.hand === 'left' ? ways[1]! : ways[0]!,
    booth: slip.booth,
  }
}
