import { CAUSES } from './causes'
import { infer, type Network, type Posterior, type SignFinding } from './inference'
import type { SeenSigns, Sign } from './signs'
import { signOf, SIGNS, type SignId } from './signTable'

/** What each sign is shown by, in the order of `CAUSES`. */
const SHOWN = SIGNS.map(({ id, leak }) => ({ leak, shows: CAUSES.map(cause => cause.shows[id] ?? 0) }))
const INDEX = new Map(SIGNS.map((sign, index) => [sign.id, index]))

/** The causes and signs as a network, with the chances of a coupon. */
export const networkOf = (priors: readonly number[]): Network => ({ priors, signs: SHOWN })

/**
 * A sign on one bead of many may be a slip: so much of its weight is lost; on a third of them or more, none. Fitted
 * to the forward model.
 */
const slipOf = (share: number) => Math.max(0, 0.3 * (1 - share / 0.35))

/** Nobody marks these by mistake: a crack, and what a root shows from behind. */
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

/**
 * Share of the times that a sign is there and nobody marks it, as only what matters is marked; and that a student's
 * no is wrong. Common practice.
 */
const OVERLOOKED = { marked: 0.2, asked: 0.15 } as const

/** A student who says that something was so is wrong so often. Common practice. */
const TOLD_WRONG = 0.05

/**
 * What was seen and not seen, as findings of the network. Where more was seen than the exact sum takes, what shows
 * least is left out.
 */
export function findingsOf({ signs, absent }: SeenSigns): SignFinding[] {
  const seen = signs
  return [
    ...seen.map(({ id, share, told }: Sign): SignFinding => ({
      sign: INDEX.get(id)!,
      seen: true,
      slip: told ? TOLD_WRONG : NEVER_A_SLIP.has(id) ? 0 : slipOf(share),
      leakTimes: told ? 1 : slipTimes(share),
    })),
    ...absent.map((id): SignFinding => ({
      sign: INDEX.get(id)!,
      seen: false,
      slip: OVERLOOKED[signOf(id).ask === null ? 'marked' : 'asked'],
    })),
  ]
}

/** The posterior of all causes, given priors and what was found. */
export const posterior = (priors: readonly number[], seen: SeenSigns): Posterior =>
  infer(networkOf(priors), findingsOf(seen))

/** Chance that a cause shows a sign, and chance of the sign without any. */
export const shows = (id: SignId) => SHOWN[INDEX.get(id)!]!
