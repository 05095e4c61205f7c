import type { CauseId } from '../diagnosis'
import type { Random } from '../statistics'

/**
 * How a coupon was run, as departures from right: 0 is right, 1 plainly off, up to about 1.6. Each is one thing
 * that can be wrong, in its own
 * units of "off"; what it does to the bead follows from laws of its own and not from the tables that causes are
 * read by.
 */
export type Technique = Readonly<Partial<Record<CauseId, number>>>

/** What goes wrong, with how often beside the rest. */
export type Often = readonly (readonly [CauseId, number])[]

/** Of a pad, roughly as in a class of beginners; the commonest first. Common practice. */
export const ON_A_PAD: Often = [
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

/** Of a fillet: what lies in a joint, no laps of a pad and no ends of its edges. Common practice. */
export const ON_A_FILLET: Often = [
  ['arc long', 14],
  ['work angle', 9],
  ['travel angle', 8],
  ['unsteady feed', 7],
  ['current low', 7],
  ['travel fast', 7],
  ['travel slow', 7],
  ['not cleaned', 7],
  ['too long in crater', 6],
  ['too short in crater', 6],
  ['current high', 5],
  ['crater left', 5],
  ['off the joint', 5],
  ['strike', 4],
  ['damp rod', 4],
  ['arc short', 3],
]

/** Of an open root with what is laid over it. Common practice. */
export const ON_A_ROOT: Often = [
  ['gap tight', 9],
  ['gap wide', 8],
  ['root far out', 6],
  ...ON_A_FILLET.filter(([id]) => id !== 'work angle'),
]

/** The cause that is at work most often. */
export const COMMONEST: CauseId = 'arc long'

/** Draws what is wrong: one thing, or two, or now and then three. */
export function drawTechnique(random: Random, often: Often = ON_A_PAD): Technique {
  const count = random.chance(0.6) ? 1 : random.chance(0.8) ? 2 : 3
  const sharedOut = often.reduce((sum, [, weight]) => sum + weight, 0)
  const drawn: Partial<Record<CauseId, number>> = {}
  while (Object.keys(drawn).length < count) {
    let left = random.uniform() * sharedOut
    const [id] = often.find(([, weight]) => (left -= weight) < 0) ?? often[0]!
    drawn[id] = 0.6 + random.uniform()
  }
  return drawn
}
