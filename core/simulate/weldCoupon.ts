import type { Bead, CouponDocument, FlawMark, Mark, Place, GaugeMark, TryMark } from '../coupon'
import { clampToBead, isPlate, isTry, newFlaw, newReading, gaugeKinds, setDegree } from '../coupon'
import { runAs, type DiscontinuityId, type PositionId } from '../trade'
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../house'
import { sizeLimit } from '../grading'
import { currentWindow } from '../setup'
import { errorAfter, type Learner, type Knack } from './learner'
import type { Random } from '../statistics'

/** How much harder a position is than flat. Rough, for the made-up school only. */
export const DIFFICULTY: Readonly<Record<PositionId, number>> = {
  '1G': 1,
  '2G': 1.12,
  '3G': 1.3,
  '4G': 1.25,
  '5G': 1.4,
  '6G': 1.5,
  '6GR': 1.55,
  '1F': 1,
  '2F': 1.05,
  '3F': 1.2,
  '4F': 1.2,
  '1FR': 1,
  '2FR': 1.1,
  '5F': 1.35,
  '6F': 1.45,
}

/** The state of the hand while one coupon is welded. */
interface Handling {
  readonly error: Readonly<Record<Knack, number>>
  /** Arc length over the core diameter; 1 is right. */
  readonly arc: number
  /** Current over the middle of the window, in half windows. */
  readonly heat: number
  /** Travel over the wanted speed. */
  readonly travel: number
}

/**
 * Welds a coupon as a learner would and reads it as an instructor would: the expected document, with what went
 * wrong marked.
 * @param expected a new coupon, all sound
 * @param coupons coupons the learner has welded in this position so far
 * @example weldCoupon(expected, learner, 0, seededRandom(1)).marks.some(mark => mark.kind === 'flaw') // true for a
 *   beginner
 */
export function weldCoupon(
  expected: CouponDocument,
  learner: Learner,
  coupons: number,
  random: Random,
  rules: HouseRules = DEFAULT_HOUSE_RULES,
): CouponDocument {
  const technique = techniqueOf(expected, learner, coupons, random, rules)
  const marks: Mark[] = expected.marks.map(mark => (isTry(mark) ? tried(mark, learner, technique, random) : mark))
  let serial = 0
  const nextId = () => `m${++serial}`
  for (const bead of expected.beads) {
    for (const [flaw, probability] of bead.face === 'root' ? rootOdds(technique) : flawOdds(technique)) {
      if (!random.chance(probability)) continue
      const place: Place = { beadId: bead.id, atMm: bead.fromMm + random.uniform() * (bead.toMm - bead.fromMm) }
      marks.push(spread(expected, newFlaw(expected, nextId(), flaw, place), random))
    }
    marks.push(...gauged(expected, bead, { technique, rules, random }, nextId))
  }
  const cleanUp = random.chance(0.25 * technique.error.cleaning) ? 'workable' : 'sound'
  return { ...expected, marks, cleanUp }
}

/**
 * What the instructor's gauge reads, now and then: a bead's width on a plate, each size of the weld on a joint.
 */
function gauged(
  document: CouponDocument,
  bead: Bead,
  { technique, rules, random }: Welding,
  nextId: () => string,
): Mark[] {
  if (!random.chance(0.3)) return []
  const place: Place = { beadId: bead.id, atMm: (bead.fromMm + bead.toMm) / 2 }
  const strays = 1 + 0.05 * technique.error.travel * random.normal()
  if (isPlate(document.piece))
    return [newReading(nextId(), 'width', place, tenth(bead.widthMm * (0.92 / technique.travel ** 0.5) * strays))]
  const { across, over } = gaugeKinds(document.piece, bead)
  return [...across, ...over].flatMap((of): Mark[] => {
    const wanted = wantedOf(document, newReading('', of, place, 0), rules)
    return wanted === null
      ? []
      : [
          newReading(
            nextId(),
            of,
            place,
            tenth(wanted * (1.12 / technique.travel ** 0.5) * (1 + 0.1 * technique.error.travel * random.normal())),
          ),
        ]
  })
}

interface Welding {
  readonly technique: Handling
  readonly rules: HouseRules
  readonly random: Random
}

/**
 * What a good weld reads: the middle of what it may be, the least, or well under the most; null where nothing is
 * laid down.
 */
function wantedOf(document: CouponDocument, reading: GaugeMark, rules: HouseRules): number | null {
  const limit = sizeLimit(document, reading, rules)
  if (!limit) return null
  if (limit.highMm === null) return limit.lowMm
  return ((limit.lowMm ?? 0) + limit.highMm) / 2
}

/** Read to a tenth of a millimetre, and never nothing. */
const tenth = (mm: number) => Math.max(0.2, Math.round(mm * 10) / 10)

function techniqueOf(
  document: CouponDocument,
  learner: Learner,
  coupons: number,
  random: Random,
  rules: HouseRules,
): Handling {
  const { ticket } = document
  const difficulty = DIFFICULTY[ticket.position]
  const at = (skill: Knack) =>
    Math.max(0.02, errorAfter(learner, skill, coupons, difficulty) * (1 + 0.2 * random.normal()))
  const window = currentWindow({ ...ticket, position: runAs(ticket.position) }, rules)
  const half = (window.highA - window.lowA) / 2
  const error: Record<Knack, number> = {
    'strike': at('strike'),
    'restart': at('restart'),
    'crater': at('crater'),
    'arc length': at('arc length'),
    'travel': at('travel'),
    'angle': at('angle'),
    'line': at('line'),
    'cleaning': at('cleaning'),
  }
  return {
    error,
    arc: 1 + error['arc length'] * (0.6 + 0.4 * random.normal()),
    heat: (ticket.currentA - (window.lowA + half)) / half,
    travel: Math.max(0.4, 1 + 0.3 * error.travel * random.normal()),
  }
}

function tried(mark: TryMark, learner: Learner, technique: Handling, random: Random): TryMark {
  const { error } = technique
  const skill = mark.kind === 'start' ? error.strike : mark.kind === 'end' ? error.crater * 0.6 : error.restart
  const poor = Math.min(0.9, 0.62 * skill * (mark.rod === 'stub' ? 1.15 : 1))
  if (!random.chance(poor)) return mark
  const graded = setDegree(mark, random.chance(0.55) ? 3 : 2) as TryMark
  return { ...graded, fault: faultOf(mark, learner, technique, random) }
}

function faultOf(mark: TryMark, learner: Learner, technique: Handling, random: Random): string {
  if (mark.kind === 'start') return technique.arc > 1.4 ? 'pinholes' : random.pick(['stuck', 'lump', 'not burnt over'])
  if (mark.kind === 'end') return random.chance(0.7) ? 'crater' : random.pick(['low', 'short of the edge'])
  if (technique.error.line > 0.7 && random.chance(0.3)) return 'off line'
  // A learner leans one way: most restarts of one hand fail alike.
  const high = learner.rate > 0.45 ? 0.75 : 0.25
  return random.chance(0.15) ? 'slag' : random.chance(high) ? 'high' : random.pick(['low', 'gap'])
}

function flawOdds({ error, arc, heat, travel }: Handling): [DiscontinuityId, number][] {
  const over = Math.max(0, arc - 1.2)
  const hot = Math.max(0, heat - 0.8)
  const cold = Math.max(0, -heat - 0.8)
  const fast = Math.max(0, travel - 1.15)
  const slow = Math.max(0, 0.85 - travel)
  return [
    ['undercut', 0.02 + 0.22 * over + 0.2 * hot + 0.5 * fast + 0.14 * error.angle],
    ['overlap', 0.01 + 0.6 * slow + 0.15 * cold + 0.08 * error.angle],
    ['porosity', 0.01 + 0.22 * over],
    ['slag', 0.01 + 0.12 * error.cleaning + 0.15 * cold],
    ['crooked', 0.01 + 0.18 * error.line],
    ['lap', 0.01 + 0.12 * error.line],
    ['irregular width', 0.01 + 0.12 * over + 0.06 * error.travel],
    ['arc strike', 0.02 + 0.1 * error.strike],
    ['spatter', 0.01 + 0.12 * over],
    ['excess weld metal', 0.01 + 0.25 * cold + 0.4 * slow],
    ['crack', 0.002 * error.crater],
  ]
}

/** What a root shows from its own side. */
function rootOdds({ error, heat, travel }: Handling): [DiscontinuityId, number][] {
  return [
    ['incomplete penetration', 0.02 + 0.2 * error.travel + 0.2 * Math.max(0, -heat - 0.3)],
    ['excess penetration', 0.02 + 0.25 * Math.max(0, heat - 0.3) + 0.3 * Math.max(0, 0.9 - travel)],
    ['root concavity', 0.02 + 0.12 * error['arc length']],
    ['melt-through', 0.004 * error.travel],
  ]
}

function spread(document: CouponDocument, flaw: FlawMark, random: Random): FlawMark {
  const severity = random.chance(0.5) ? 1 : random.chance(0.75) ? 2 : 3
  const sized = setDegree(flaw, severity) as FlawMark
  if (flaw.atMm === flaw.toMm) return sized
  const bead = document.beads.find(candidate => candidate.id === flaw.beadId)!
  if (flaw.toMm - flaw.atMm >= bead.toMm - bead.fromMm) return sized
  return { ...sized, toMm: clampToBead(bead, flaw.toMm + 25 * random.uniform()) }
}
