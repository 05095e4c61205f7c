import { subDays } from 'date-fns'
import { kindOf, STUB_CLASSES, type RodLot, type SaidOfRods, type StubClass, type Stubs } from '../core/rodRoom'
import type { Random } from '../core/statistics'
import { inches } from '../core/units'
import type { DemoCoupon } from './gannetQuay'

type Lot = Omit<RodLot, 'id'> & { readonly came: number }

/** Lots of the made-up school: what it burns most, from its oven and its shelf. */
export const DEMO_LOTS: readonly Lot[] = [
  {
    classification: 'E7018',
    diameterMm: inches(1 / 8),
    makersLot: 'GQ 70-2291',
    resistant: false,
    receivedOn: '2026-08-24',
    openedOn: null,
    rodsInBox: 150,
    boxPriceCents: 4250,
    place: 'oven 1',
    came: 1200,
  },
  {
    classification: 'E7018',
    diameterMm: inches(3 / 32),
    makersLot: 'GQ 70-1877',
    resistant: true,
    receivedOn: '2026-08-24',
    openedOn: null,
    rodsInBox: 200,
    boxPriceCents: 4400,
    place: 'oven 1',
    came: 600,
  },
  {
    classification: 'E6010',
    diameterMm: inches(1 / 8),
    makersLot: 'GQ 60-0413',
    resistant: false,
    receivedOn: '2026-08-24',
    openedOn: null,
    rodsInBox: 150,
    boxPriceCents: 3900,
    place: 'dry shelf',
    came: 450,
  },
]

/** A line of the demo's book: what was said, when, and which line before it is about (by its place in the list). */
export interface DemoLine {
  readonly lot: number
  readonly said: Omit<SaidOfRods, 'lotId' | 'handfulId' | 'studentId'>
  readonly student: number | null
  readonly of: number | null
  readonly at: Date
}

/** What a student ran of one lot's kind on one class day, and when it was begun. */
export interface DemoDay {
  readonly at: Date
  readonly lot: number
  readonly coupons: number
}

const WEEKS = 9
const nothing = { booth: null, stubs: null, why: '' }

/** Stubs of a number of rods: most burnt to the printing, those of beginners longer. */
function stubsOf(rods: number, tidy: number, random: Random): Stubs {
  const stubs: Partial<Record<StubClass, number>> = {}
  for (let n = 0; n < rods; n++) {
    const at = random.uniform() < tidy ? 0 : 1 + Math.floor(random.uniform() * 3)
    const { id } = STUB_CLASSES[at]!
    stubs[id] = (stubs[id] ?? 0) + 1
  }
  return stubs
}

/** What was run of each kind of rod on each class day, of those that the rod room holds. */
export function demoDays(coupons: readonly DemoCoupon[]): DemoDay[] {
  const kinds = DEMO_LOTS.map(kindOf)
  const days = new Map<string, DemoDay>()
  for (const { document, savedAt } of coupons) {
    if (document.ticket.rods === 'stubs') continue
    for (const kind of new Set((document.passes ?? [document.ticket]).map(kindOf))) {
      const lot = kinds.indexOf(kind)
      if (lot < 0) continue
      const key = `${document.classDay} ${lot}`
      const before = days.get(key) ?? { at: new Date(savedAt), lot, coupons: 0 }
      days.set(key, { ...before, coupons: before.coupons + 1 })
    }
  }
  return [...days.values()]
}

/** Rods that a coupon of the demo takes, from the least to the most. */
const A_COUPON = [1.2, 2.2] as const

/**
 * The book of the last weeks: what came, and on each class day what each student drew and brought back; at last what is
 * out at this moment: one with time left, one nearly over, one past it.
 * @param students what each student of the first section ran
 */
export function demoBook(students: readonly (readonly DemoDay[])[], now: Date, random: Random): DemoLine[] {
  const lines: DemoLine[] = []
  const add = (line: DemoLine) => lines.push(line) - 1
  const began = subDays(now, 7 * WEEKS + 1)
  for (const [lot, { came }] of DEMO_LOTS.entries())
    add({ lot, said: { kind: 'received', count: came, ...nothing }, student: null, of: null, at: began })
  const days = students
    .flatMap((own, student) => own.map(day => ({ ...day, student })))
    .filter(({ at }) => at > began && at < now)
    .sort((a, b) => a.at.getTime() - b.at.getTime())
  for (const { student, at, lot, coupons } of days) {
    const count = Math.ceil(coupons * (A_COUPON[0] + (A_COUPON[1] - A_COUPON[0]) * random.uniform()))
    const drawn = add({ lot, said: { ...nothing, kind: 'issued', count }, student, of: null, at })
    const whole = random.chance(0.3) ? 1 : 0
    const stubs = stubsOf(count - whole, 0.45 + 0.05 * (student % 10), random)
    const back = new Date(at.getTime() + 2 * 3_600_000)
    add({ lot, said: { ...nothing, kind: 'returned', count: whole, stubs }, student, of: drawn, at: back })
  }
  for (const [student, minutes] of OUT_MINUTES)
    add({
      lot: 0,
      said: { ...nothing, kind: 'issued', count: 8 },
      student,
      of: null,
      at: new Date(now.getTime() - minutes * 60_000),
    })
  return lines
}

/** Who has rods in the hand when the demo opens, by place on the roster, and for how long, min. */
const OUT_MINUTES = [
  [0, 65],
  [4, 218],
  [7, 262],
] as const

/** How its oven was read last. */
export const DEMO_OVENS = [{ oven: 'oven 1', celsius: 126, doorOpen: false, minutes: 35 }] as const
