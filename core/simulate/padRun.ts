import {
  beadNumber,
  isTry,
  newCoupon,
  newFlaw,
  newReading,
  type Bead,
  type CouponDocument,
  type Mark,
  type Ticket,
} from '../coupon'
import { EXAMPLE_PLATE, EXAMPLE_STUDENT, aTicket } from '../coupon/example'
import type { HouseRules } from '../house'
import { currentWindow } from '../setup'
import type { Random } from '../statistics'
import { runAs } from '../trade'
import { MARKED, onBead, runOf, tried, type Run } from './flawLaws'
import type { Technique } from './technique'

/** How hot a technique runs: 1 is so hot, or cold, that it plainly shows. */
export const heatOf = (technique: Technique): number =>
  (technique['current high'] ?? 0) - (technique['current low'] ?? 0)

/** A window of amperes. */
export interface CurrentRange {
  readonly lowA: number
  readonly highA: number
}

/** What plainly runs hot is set over the middle of its window by this share of it. Rough, of this law alone. */
const PLAINLY_HOT = 0.165
/** Machines' scales are off by this share, one standard deviation. Rough, of this law alone. */
const SCALE_OFF = 0.0375

/**
 * Amperes that a hand which runs so hot means to set, and how far machines' scales are off, one standard deviation:
 * shares of what is right, as heat is. How wide a window a house allows is nothing to the metal.
 */
export function currentMeant(
  { lowA, highA }: CurrentRange,
  heat: number,
): { readonly meanA: number; readonly sdA: number } {
  const rightA = (lowA + highA) / 2
  return { meanA: rightA * (1 + PLAINLY_HOT * heat), sdA: rightA * SCALE_OFF }
}

/** Amperes of a run: the hand turns the dial, and a machine's scale is off by a little. */
export function setCurrent(window: CurrentRange, heat: number, random: Random): number {
  const { meanA, sdA } = currentMeant(window, heat)
  return Math.round(meanA + sdA * random.normal())
}

/**
 * A six-bead pad run with a technique and read by an instructor: current on its ticket, widths gauged on some
 * beads, flaws and faults marked.
 * @example weldWith({ 'too long in crater': 1 }, rules, random)
 */
export function weldWith(
  technique: Technique,
  rules: HouseRules,
  random: Random,
  ticket: Partial<Ticket> = {},
): CouponDocument {
  const expected = freshPad(technique, rules, random, ticket)
  const heat = heatOf(technique)
  let serial = 0
  const marks: Mark[] = expected.marks.map(mark => (isTry(mark) ? tried(mark, runOf(technique, heat), random) : mark))
  for (const bead of expected.beads) {
    const late = (technique['plate hot'] ?? 0) * Math.max(0, (beadNumber(expected, bead.id) - 3) / 2)
    const run = runOf(technique, heat, late)
    for (const [flaw, chance, side] of onBead(run)) {
      if (!random.chance(chance * MARKED)) continue
      const fresh = newFlaw(expected, `m${++serial}`, flaw, { beadId: bead.id, atMm: 20 + random.uniform() * 100 })
      marks.push({ ...fresh, side: side ?? fresh.side, severity: random.chance(0.6) ? 2 : 3 })
    }
    if (random.chance(0.5))
      marks.push(newReading(`m${++serial}`, 'width', { beadId: bead.id, atMm: 70 }, widthOf(bead, run, random)))
  }
  return { ...expected, marks }
}

/** The pad as it is laid out, all sound, with the current that a technique sets. */
export function freshPad(
  technique: Technique,
  rules: HouseRules,
  random: Random,
  ticket: Partial<Ticket> = {},
): CouponDocument {
  const set = aTicket({ rods: 'stubs', ...ticket })
  const window = currentWindow({ ...set, position: runAs(set.position) }, rules)
  return newCoupon(
    {
      studentId: EXAMPLE_STUDENT,
      classDay: '2026-10-05',
      rulesVersion: 1,
      piece: EXAMPLE_PLATE,
      ticket: { ...set, currentA: setCurrent(window, heatOf(technique), random) },
      beadCount: 6,
    },
    rules,
  )
}

/**
 * A bead spreads with heat and arc length and narrows with speed: about the square root of the metal left in a
 * length.
 */
export function meanWidthMm({ widthMm }: Pick<Bead, 'widthMm'>, { off, heat }: Run): number {
  const speed = 1 + 0.55 * off('travel fast') - 0.35 * off('travel slow')
  const spread = (1 + 0.28 * heat + 0.25 * off('arc long') - 0.1 * off('arc short')) / Math.sqrt(Math.max(0.3, speed))
  return widthMm * 0.85 * spread
}
/** Beads of one hand differ in width by this much, as a share, one standard deviation. */
export const WIDTH_SPREAD = 0.05

const widthOf = (bead: Bead, run: Run, random: Random): number =>
  Math.max(2, Math.round(meanWidthMm(bead, run) * (1 + WIDTH_SPREAD * random.normal()) * 10) / 10)
