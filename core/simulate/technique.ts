import { logistic } from '../statistics'
import {
  beadNumber,
  isTry,
  newCoupon,
  newFlaw,
  newReading,
  setDegree,
  type Bead,
  type CouponDocument,
  type Mark,
  type Ticket,
  type TryKind,
  type TryMark,
} from '../coupon'
import { EXAMPLE_PLATE, EXAMPLE_STUDENT, aTicket } from '../coupon/example'
import type { HouseRules } from '../house'
import type { CauseId } from '../diagnosis'
import { currentWindow } from '../setup'
import { runAs, type DiscontinuityId } from '../trade'
import type { Random } from '../statistics'

/**
 * How a coupon was run, as departures from right: 0 is right, 1 plainly off, up to about 1.6. Each is one thing
 * that can be wrong, in its own
 * units of "off"; what it does to the bead follows from laws of its own and not from the tables that causes are
 * read by.
 */
export type Technique = Readonly<Partial<Record<CauseId, number>>>

/** What goes wrong how often, roughly as in a class of beginners; the commonest first. Common practice. */
const OFTEN: readonly (readonly [CauseId, number])[] = [
  ['arc long', 14],
  ['unsteady feed', 9],
  ['travel angle', 8],
  ['too long in crater', 8],
  ['too short in crater', 7],
  ['bracing', 7],
  ['current low', 7],
  ['travel fast', 7],
  ['current high', 6],
  ['travel slow', 6],
  ['not cleaned', 6],
  ['strike', 6],
  ['crater left', 6],
  ['work angle', 5],
  ['aim', 5],
  ['ends', 4],
  ['damp rod', 4],
  ['arc short', 3],
  ['plate hot', 3],
]
const SHARED_OUT = OFTEN.reduce((sum, [, weight]) => sum + weight, 0)

/** The cause that is at work most often. */
export const COMMONEST: CauseId = OFTEN[0]![0]

/** Draws what is wrong: one thing, or two, or now and then three. */
export function drawTechnique(random: Random): Technique {
  const count = random.chance(0.6) ? 1 : random.chance(0.8) ? 2 : 3
  const drawn: Partial<Record<CauseId, number>> = {}
  while (Object.keys(drawn).length < count) {
    let left = random.uniform() * SHARED_OUT
    const [id] = OFTEN.find(([, weight]) => (left -= weight) < 0) ?? OFTEN[0]!
    drawn[id] = 0.6 + random.uniform()
  }
  return drawn
}

/** Of what shows on a bead the instructor marks most, not all. */
const MARKED = 0.75

/**
 * A six-bead pad run with a technique and read by an instructor: current on its ticket, widths gauged on some
 * beads, flaws and faults marked.
 * @example weldWith({ 'restart high': 1 }, rules, random)
 */
export function weldWith(
  technique: Technique,
  rules: HouseRules,
  random: Random,
  ticket: Partial<Ticket> = {},
): CouponDocument {
  const off = (id: CauseId) => technique[id] ?? 0
  const set = aTicket({ rods: 'stubs', ...ticket })
  const { lowA, highA } = currentWindow(set.classification, set.diameterMm, runAs(set.position), rules)
  // The hand turns the dial, and a machine's scale is off by a little.
  const heat = off('current high') - off('current low')
  const currentA = Math.round((lowA + highA) / 2 + ((highA - lowA) / 2) * (heat * 1.1 + 0.25 * random.normal()))
  const expected = newCoupon(
    {
      studentId: EXAMPLE_STUDENT,
      classDay: '2026-10-05',
      rulesVersion: 1,
      piece: EXAMPLE_PLATE,
      ticket: { ...set, currentA },
      beadCount: 6,
    },
    rules,
  )
  const made = { off, heat, random, expected }
  let serial = 0
  const marks: Mark[] = expected.marks.map(mark => (isTry(mark) ? tried(mark, made) : mark))
  for (const bead of expected.beads) {
    for (const [flaw, chance, side] of onBead(bead, made)) {
      if (!random.chance(chance * MARKED)) continue
      const fresh = newFlaw(expected, `m${++serial}`, flaw, { beadId: bead.id, atMm: 20 + random.uniform() * 100 })
      marks.push({ ...fresh, side: side ?? fresh.side, severity: random.chance(0.6) ? 2 : 3 })
    }
    if (random.chance(0.5))
      marks.push(newReading(`m${++serial}`, 'width', { beadId: bead.id, atMm: 70 }, widthOf(bead, made)))
  }
  return { ...expected, marks }
}

interface Made {
  readonly off: (id: CauseId) => number
  readonly heat: number
  readonly random: Random
  readonly expected: CouponDocument
}

/**
 * A bead spreads with heat and arc length and narrows with speed: about the square root of the metal left in a
 * length.
 */
function widthOf(bead: Bead, { off, heat, random }: Made): number {
  const speed = 1 + 0.55 * off('travel fast') - 0.35 * off('travel slow')
  const spread = (1 + 0.28 * heat + 0.25 * off('arc long') - 0.1 * off('arc short')) / Math.sqrt(Math.max(0.3, speed))
  return Math.max(2, Math.round(bead.widthMm * 0.85 * spread * (1 + 0.05 * random.normal()) * 10) / 10)
}

/** Chance of each flaw on a bead, from a threshold that each departure eats into. */
function onBead(
  bead: Bead,
  { off, heat, expected }: Made,
): [DiscontinuityId, number, 'upper' | 'lower' | 'both' | null][] {
  const speed = off('travel fast') - off('travel slow')
  const late = off('plate hot') * Math.max(0, (beadNumber(expected, bead.id) - 3) / 2)
  const hot = Math.max(0, heat) + late
  const cold = Math.max(0, -heat)
  const long = off('arc long')
  const lean = off('travel angle')
  return [
    ['undercut', logistic(-3.6 + 2.3 * hot + 1.9 * long + 2 * Math.max(0, speed) + 1.3 * lean), 'both'],
    ['undercut', logistic(-3.8 + 3.4 * off('work angle') + 0.6 * hot), 'upper'],
    ['overlap', logistic(-4 + 2.6 * Math.max(0, -speed) + 1.8 * lean + 0.9 * cold), 'both'],
    ['sagging', logistic(-4.2 + 1.6 * off('work angle') + 1.6 * lean + 0.9 * hot), 'lower'],
    ['porosity', logistic(-4 + 2 * long + 2.8 * off('damp rod') + 1.1 * lean), null],
    ['spatter', logistic(-3.6 + 2.9 * long + 1.9 * hot), null],
    ['slag', logistic(-3.8 + 3.6 * off('not cleaned') + 1.4 * cold + 1.2 * lean + 0.9 * off('arc short')), null],
    [
      'excess weld metal',
      logistic(-3.8 + 2.6 * cold + 1.8 * Math.max(0, -speed) + 1.9 * off('arc short') + 1.6 * lean),
      null,
    ],
    ['underfill', logistic(-4 + 2.6 * Math.max(0, speed) + 1.2 * hot), null],
    [
      'irregular width',
      logistic(-3.8 + 3.5 * off('unsteady feed') + 1.8 * long + 1.1 * off('arc short') + 0.8 * off('bracing')),
      null,
    ],
    ['irregular surface', logistic(-4 + 2.1 * hot + 1.5 * Math.max(0, speed) + 1 * long), null],
    ['crooked', logistic(-3.6 + 3.6 * off('bracing')), null],
    ['lap', logistic(-3.6 + 3.6 * off('aim') + 0.8 * off('bracing')), null],
    ['arc strike', logistic(-3.6 + 2.6 * off('strike')), null],
    ['crack', logistic(-7 + 2 * off('crater left')), null],
    ['incomplete fusion', logistic(-5.4 + 2 * cold + 0.8 * Math.max(0, speed)), null],
  ]
}

function tried(mark: TryMark, { off, heat, random }: Made): TryMark {
  const chances = FAULT_LAWS[mark.kind].map(([fault, law]) => [fault, logistic(law(off, heat))] as const)
  for (const [fault, chance] of chances)
    if (random.chance(chance * MARKED)) return { ...(setDegree(mark, 3) as TryMark), fault }
  return mark
}

type Law = (off: Made['off'], heat: number) => number
const FAULT_LAWS: Readonly<Record<TryKind, readonly (readonly [string, Law])[]>> = {
  'start': [
    ['stuck', (off, heat) => -3.8 + 1.8 * Math.max(0, -heat) + 1.3 * off('strike') + 1.2 * off('arc short')],
    ['pinholes', off => -3.8 + 2.6 * off('damp rod') + 1.2 * off('strike') + 0.7 * off('arc long')],
    ['lump', off => -3.4 + 2.4 * off('strike')],
  ],
  'restart': [
    ['high', off => -3.2 + 3.4 * off('too long in crater')],
    ['low', off => -3.2 + 3.4 * off('too short in crater')],
    ['off line', off => -3.6 + 1.8 * off('bracing')],
    ['slag', off => -3.8 + 2.6 * off('not cleaned')],
  ],
  'tie-in': [
    ['high', off => -3.2 + 3.4 * off('too long in crater')],
    ['low', off => -3.2 + 3.4 * off('too short in crater')],
  ],
  'end': [
    ['crater', off => -3.4 + 3.4 * off('crater left')],
    ['low', off => -3.6 + 3.4 * off('ends') + 0.6 * off('crater left')],
  ],
}
