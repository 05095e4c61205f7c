import {
  isTry,
  newFlaw,
  newReading,
  setDegree,
  type Bead,
  type CouponDocument,
  type Mark,
  type TryMark,
} from '../coupon'
import type { HouseRules } from '../house'
import type { Random } from '../statistics'
import type { DiscontinuityId } from '../trade'
import { beadFigures, RIGHT_BOW, type BeadFigures } from './beadFigures'
import { MARKED } from './flawLaws'
import { freshPad } from './padRun'
import type { Often, Technique } from './technique'
import { ON_A_PAD } from './technique'

/** What the shown bead has a law for: no laps, no plate edges. */
export const ON_A_SHOWN_PAD: Often = ON_A_PAD.filter(([id]) => id !== 'aim' && id !== 'ends')

/** What an eye sees: a size is marked where it is more than this. Rough, of this law alone. */
const SEEN = {
  undercutMm: 0.3,
  overlapMm: 0.4,
  sag: 0.3,
  spatter: 16,
  high: 1.3,
  low: 0.74,
  swing: 0.13,
  bow: 1.4,
  strayMm: 1.1,
  restartMm: 0.7,
  startMm: 0.6,
  craterMm: 1,
} as const

/**
 * A six-bead pad by another law: each bead is sized as the shown bead is (`beadFigures`), its hand a little different
 * each time, and what stands out to the eye is marked. Chance decides by how much, not whether.
 * @example weldAsShown({ 'travel slow': 1 }, rules, random)
 */
export function weldAsShown(technique: Technique, rules: HouseRules, random: Random): CouponDocument {
  const expected = freshPad(technique, rules, random)
  const sized = new Map(
    expected.beads.map((bead, n) => [bead.id, beadFigures(ofThisBead(technique, random), n / 5, true)]),
  )
  const marks: Mark[] = expected.marks.map(mark =>
    isTry(mark) ? triedAs(mark, sized.get(mark.beadId)!, random) : mark,
  )
  let serial = 0
  for (const bead of expected.beads) {
    const figures = sized.get(bead.id)!
    for (const [flaw, side] of shownOn(figures, random)) {
      if (!random.chance(MARKED)) continue
      const fresh = newFlaw(expected, `m${++serial}`, flaw, { beadId: bead.id, atMm: 20 + random.uniform() * 100 })
      marks.push({ ...fresh, side: side ?? fresh.side, severity: random.chance(0.5) ? 2 : 3 })
    }
    if (random.chance(0.5))
      marks.push(newReading(`m${++serial}`, 'width', { beadId: bead.id, atMm: 70 }, widthOf(bead, figures, random)))
  }
  return { ...expected, marks }
}

/** No two beads of a hand are alike. */
const ofThisBead = (technique: Technique, random: Random): Technique =>
  Object.fromEntries(Object.entries(technique).map(([id, off]) => [id, off * Math.exp(0.3 * random.normal())]))

const widthOf = (bead: Bead, { width }: BeadFigures, random: Random) =>
  Math.max(2, Math.round(bead.widthMm * 0.85 * width * (1 + 0.05 * random.normal()) * 10) / 10)

/** What of a bead stands out; now and then something that is not there. */
function shownOn(
  figures: BeadFigures,
  random: Random,
): (readonly [DiscontinuityId, 'upper' | 'lower' | 'both' | null])[] {
  const about = (size: number) => size * Math.exp(0.25 * random.normal())
  const slip = () => random.chance(0.015)
  const toes = ({ upper, lower }: BeadFigures['undercutMm'], seenMm: number) => {
    const [up, down] = [about(upper) > seenMm, about(lower) > seenMm]
    return up && down ? 'both' : up ? 'upper' : down ? 'lower' : null
  }
  const undercut = toes(figures.undercutMm, SEEN.undercutMm)
  const overlap = toes(figures.overlapMm, SEEN.overlapMm)
  const some = (mean: number) => random.chance(1 - Math.exp(-mean))
  const found: readonly (readonly [boolean, DiscontinuityId, 'upper' | 'lower' | 'both' | null])[] = [
    [undercut !== null || slip(), 'undercut', undercut],
    [overlap !== null || slip(), 'overlap', overlap],
    [about(figures.sag) > SEEN.sag || slip(), 'sagging', 'lower'],
    [some(0.3 * figures.pores) || slip(), 'porosity', null],
    [about(figures.spatter) > SEEN.spatter || slip(), 'spatter', null],
    [some(1.6 * figures.slag) || slip(), 'slag', null],
    [about(figures.height) > SEEN.high || slip(), 'excess weld metal', null],
    [about(figures.height) < SEEN.low || slip(), 'underfill', null],
    [about(figures.widthSwing) > SEEN.swing || slip(), 'irregular width', null],
    [about(figures.bow) > SEEN.bow * RIGHT_BOW || slip(), 'irregular surface', null],
    [about(figures.strayMm) > SEEN.strayMm || slip(), 'crooked', null],
    [some(0.3 * figures.strikes) || slip(), 'arc strike', null],
  ]
  return found.flatMap(([seen, flaw, side]) => (seen ? [[flaw, side] as const] : []))
}

function triedAs(mark: TryMark, figures: BeadFigures, random: Random): TryMark {
  const sized = (mm: number) => mm * Math.exp(0.35 * random.normal()) + 0.2 * random.normal()
  const fault = faultOf(mark, figures, sized, random)
  return fault !== null && random.chance(MARKED) ? { ...(setDegree(mark, 3) as TryMark), fault } : mark
}

function faultOf(
  { kind }: TryMark,
  { restartMm, startLumpMm, startPores, craterMm }: BeadFigures,
  sized: (mm: number) => number,
  random: Random,
): string | null {
  if (kind === 'start') {
    if (sized(startLumpMm) > SEEN.startMm) return 'lump'
    return random.chance(1 - Math.exp(-0.25 * startPores)) ? 'pinholes' : null
  }
  if (kind === 'end') return sized(craterMm) > SEEN.craterMm ? 'crater' : null
  const stands = sized(restartMm)
  if (stands > SEEN.restartMm) return 'high'
  return stands < -SEEN.restartMm ? 'low' : null
}
