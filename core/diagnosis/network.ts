import { logGamma } from '../statistics'
import { CAUSES } from './causes'
import { infer, type Network, type Posterior, type SignFinding } from './inference'
import type { SeenSigns, Sign } from './sign'
import { FEWEST_TRIES } from './trySigns'
import { signOf, SIGNS, type LookedFor, type SignId } from './signTable'

/** What each sign is shown by, in the order of `CAUSES`. */
const SHOWN = SIGNS.map(({ id, leak }) => ({ leak, shows: CAUSES.map(cause => cause.shows[id] ?? 0) }))
const INDEX = new Map(SIGNS.map((sign, index) => [sign.id, index]))

/** What may show anywhere along a bead, so that the less bead there is the less of it shows. */
const ALONG_BEADS: ReadonlySet<LookedFor> = new Set(['always', 'laps', 'joints'])

/**
 * The causes and signs as a network, with the chances of a coupon.
 * @param pads how much bead was looked at, in pads, above 0 and at most 1: each part of a pad shows a sign by itself
 */
export function networkOf(priors: readonly number[], pads = 1): Network {
  const inPart = (chance: number) => 1 - (1 - chance) ** pads
  return {
    priors,
    signs: SHOWN.map((row, index) =>
      ALONG_BEADS.has(SIGNS[index]!.lookedFor) ? { leak: inPart(row.leak), shows: row.shows.map(inPart) } : row,
    ),
  }
}

/**
 * A sign on one bead of many may be a slip: this share of its weight is lost; on a third of them or more, none. Fitted
 * to the forward model.
 */
const slipOf = (share: number) => Math.max(0, 0.3 * (1 - share / 0.35))

/** These are not marked by mistake: a crack, and what a root shows from behind. */
const NEVER_A_SLIP: ReadonlySet<SignId> = new Set([
  'crack in crater',
  'crack along',
  'burn-through',
  'root not through',
  'root heavy',
  'root concave',
])

/**
 * How much rarer a slip is the more of a coupon shows it. Fitted to the forward model, so that odds said come true
 * about as often.
 */
const slipTimes = (share: number) => Math.max(0.02, (1 - share) ** 9)

/** How starts, restarts and ends go, as a beta of the share that is bad: with a cause at work, and by slips alone. */
interface Going {
  readonly bad: number
  readonly sound: number
}
/** Of no more tries than this, how many were bad says little that one bad one does not. */
const A_HANDFUL = 6
const AT_WORK: Going = { bad: 1.5, sound: 1.2 }
const BY_SLIPS: Going = { bad: 0.5, sound: 20 }
/** Never taken for rarer than this beside a cause, however many were bad. */
const RAREST = 0.002

/**
 * How much likelier a number of bad tries is by slips than by a cause at work, given that one was bad: one lump among
 * eleven restarts is a slip, six are none. Source: beta-binomial counts; their figures common practice.
 */
function slipsAmong({ bad, of }: NonNullable<Sign['tries']>): number {
  const beta = (a: number, b: number) => Math.exp(logGamma(a) + logGamma(b) - logGamma(a + b))
  const chance = (going: Going) =>
    beta(bad + going.bad, of - bad + going.sound) / (beta(going.bad, going.sound) - beta(going.bad, of + going.sound))
  return Math.max(RAREST, chance(BY_SLIPS) / chance(AT_WORK))
}

/** The leak is that of a few tries: among many a slip is the more to be expected. */
const leakAmong = (leak: number, tries: number) => 1 - (1 - leak) ** (tries / FEWEST_TRIES)

/** What lies on the coupon for anybody to see who is asked; all else that is asked was felt or heard at the arc. */
const SEEN_WHEN_ASKED: ReadonlySet<SignId> = new Set([
  'wide',
  'narrow',
  'ripples off step',
  'edge melted',
  'runs off level',
])

/**
 * Share of the times that a sign is there and is not said: not marked, as only what matters is; a no to what can be
 * seen; a no to what was felt or heard by a student who watched the puddle. Common practice.
 */
const OVERLOOKED = { marked: 0.2, seen: 0.25, felt: 0.5 } as const
const overlooked = (id: SignId, byWord: boolean) =>
  OVERLOOKED[!byWord ? 'marked' : SEEN_WHEN_ASKED.has(id) ? 'seen' : 'felt']

/** A student who says that something was so is wrong so often. Common practice. */
const TOLD_WRONG = 0.05

/** How far what was seen may be a slip, or the word of a student who is wrong. */
function slipIn({ id, share, tries, told, byLuck }: Sign): Pick<SignFinding, 'slip' | 'leakTimes'> {
  if (told) return { slip: TOLD_WRONG, leakTimes: 1 }
  if (byLuck !== undefined) return { slip: 0, leakTimes: byLuck / signOf(id).leak }
  if (!tries || tries.of <= A_HANDFUL)
    return { slip: NEVER_A_SLIP.has(id) ? 0 : slipOf(share), leakTimes: slipTimes(share) }
  const { leak } = signOf(id)
  return { slip: 0, leakTimes: (slipsAmong(tries) * leakAmong(leak, tries.of)) / leak }
}

/**
 * What was seen and not seen, as findings of the network. Where more was seen than the exact sum takes, what shows
 * least is left out.
 */
export function findingsOf({ signs, absent, denied = [] }: SeenSigns): SignFinding[] {
  return [
    ...signs.map((sign): SignFinding => ({ sign: INDEX.get(sign.id)!, seen: true, ...slipIn(sign) })),
    ...absent.map((id): SignFinding => ({
      sign: INDEX.get(id)!,
      seen: false,
      slip: overlooked(id, denied.includes(id)),
    })),
  ]
}

/** The posterior of all causes, given priors and what was found. */
export const posterior = (priors: readonly number[], seen: SeenSigns): Posterior =>
  infer(networkOf(priors, seen.pads), findingsOf(seen))

/** Chance that a cause shows a sign, and chance of the sign without any. */
export const shows = (id: SignId) => SHOWN[INDEX.get(id)!]!
