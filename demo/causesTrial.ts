import type { CouponDocument } from '../core/coupon'
import {
  CAUSES,
  diagnose,
  expectedOn,
  posterior,
  priorsFor,
  questionFor,
  readerScore,
  SIGNS,
  signsOf,
  toldSigns,
  type CauseCount,
  type CauseId,
  type Known,
  type ReadCase,
  type ReaderScore,
} from '../core/diagnosis'
import { DEFAULT_HOUSE_RULES as rules } from '../core/house'
import {
  answered,
  COMMONEST,
  drawTechnique,
  JOINTS_TO_RUN,
  metBy,
  ON_A_FILLET,
  ON_A_PAD,
  ON_A_ROOT,
  ON_A_SHOWN_PAD,
  saidUnasked,
  weldAsShown,
  weldJointWith,
  weldWith,
  type Often,
  type Technique,
} from '../core/simulate'
import { seededRandom, type Random } from '../core/statistics'
import { knowingReader } from './knowingReader'

/** A kind of work whose coupons come of a known technique, by a law that shares no figure with the diagnosis. */
export interface CauseWorld {
  readonly name: string
  readonly often: Often
  readonly weld: (technique: Technique, random: Random) => CouponDocument
  /** Its law gives each mark its chance, so that a reader can be told it (`knowingReader`). */
  readonly canBeKnown: boolean
}

export const CAUSE_WORLDS: readonly CauseWorld[] = [
  {
    name: 'pads',
    often: ON_A_PAD,
    weld: (technique, random) => weldWith(technique, rules, random),
    canBeKnown: true,
  },
  {
    name: 'pads, another law',
    often: ON_A_SHOWN_PAD,
    weld: (technique, random) => weldAsShown(technique, rules, random),
    canBeKnown: false,
  },
  {
    name: 'T fillets',
    often: ON_A_FILLET,
    weld: (technique, random) => weldJointWith(technique, JOINTS_TO_RUN.T, rules, random),
    canBeKnown: true,
  },
  {
    name: 'open roots, plate',
    often: ON_A_ROOT,
    weld: (technique, random) => weldJointWith(technique, JOINTS_TO_RUN.openRoot, rules, random),
    canBeKnown: true,
  },
  {
    name: 'open roots, fixed pipe',
    often: ON_A_ROOT,
    weld: (technique, random) => weldJointWith(technique, JOINTS_TO_RUN.pipe, rules, random),
    canBeKnown: true,
  },
]

/** Something to try is always said; under this it is said to be a guess, as on the Bench. */
const MORE_THAN_A_GUESS = 0.15

/** What came of reading coupons whose technique is known. */
export interface CausesTrial {
  /** By the marks alone, as they are drawn. */
  readonly marks: ReaderScore
  /** With what the student said unasked, and the one question answered. */
  readonly told: ReaderScore
  /** One cause at a time, the same figures and the same findings. */
  readonly naive: ReaderScore
  /**
   * Share of coupons on which a change was advised by more than a guess; of these, share whose cause was at work, and
   * the commonest's.
   */
  readonly advised: number
  readonly helped: number
  readonly commonest: number
}

/**
 * Reads coupons of a world on which anything is marked, as the Bench does. A change helps the next run just where its
 * cause was at work: run by the same law without it, less goes wrong; without a cause that was not there, nothing is
 * different.
 */
export function causesTrial(world: CauseWorld, seed: number, coupons: number): CausesTrial {
  const cases = drawCases(world, seed, coupons).map(({ technique, bare, random }) => ({
    truth: Object.keys(technique) as CauseId[],
    bare,
    told: toldAlso(bare, technique, random),
  }))
  const score = (reader: (document: CouponDocument) => readonly number[], which: 'bare' | 'told') =>
    readerScore(cases.map((one): ReadCase => ({ odds: reader(one[which]), truth: one.truth })))
  const advised = cases.flatMap(({ truth, told }) => {
    const { change, causes } = diagnose(told, rules)
    return change && causes[0]!.odds >= MORE_THAN_A_GUESS
      ? [{ helps: truth.includes(change.cause.id), commonest: truth.includes(COMMONEST) }]
      : []
  })
  const shareOf = (key: 'helps' | 'commonest') => advised.filter(row => row[key]).length / advised.length
  return {
    marks: score(network, 'bare'),
    told: score(network, 'told'),
    naive: score(naiveBayes, 'told'),
    advised: advised.length / cases.length,
    helped: shareOf('helps'),
    commonest: shareOf('commonest'),
  }
}

/** Coupons of a world on which anything is marked. Each has dice of its own: what is asked of one changes no other. */
const drawCases = ({ often, weld }: CauseWorld, seed: number, coupons: number) =>
  Array.from({ length: coupons }, (_, n) => {
    const random = seededRandom(seed * 100_003 + n)
    const technique = drawTechnique(random, often)
    return { technique, bare: weld(technique, random), random }
  }).filter(({ bare }) => signsOf(bare, rules).signs.length > 0)

/**
 * The same coupons, read by their marks alone by a reader that knows the law: how much there is to be read.
 * @param techniques how many it weighs
 */
export function knownTrial(world: CauseWorld, seed: number, coupons: number, techniques: number): ReaderScore {
  const random = seededRandom(seed + 1)
  const drawn = Array.from({ length: techniques }, () => drawTechnique(random, world.often))
  const read = knowingReader(drawn, world.weld({}, random))
  return readerScore(
    drawCases(world, seed, coupons).map(({ technique, bare }): ReadCase => ({
      odds: read(bare),
      truth: Object.keys(technique) as CauseId[],
    })),
  )
}

/** How far the troubles of an odd shop are from ours: the spread of the logarithm of how often each is at work. */
const ODD = 1

/**
 * Teaches the model what goes wrong in a shop whose troubles are not ours: an instructor says of each coupon one cause
 * that was at work, and other coupons of the shop are read before and after.
 * @param sayings coupons on which a cause is said
 */
export function taughtTrial(world: CauseWorld, seed: number, sayings: number, coupons: number) {
  const shop = seededRandom(seed)
  const odd = {
    ...world,
    often: world.often.map(([id, weight]) => [id, weight * Math.exp(ODD * shop.normal())] as const),
  }
  const counts = new Map<CauseId, CauseCount>()
  const count = (cause: CauseId, said: number, expected: number) => {
    const before = counts.get(cause) ?? { said: 0, expected: 0 }
    counts.set(cause, { said: before.said + said, expected: before.expected + expected })
  }
  for (const { technique, bare, random } of drawCases(odd, seed + 1, sayings)) {
    const atWork = Object.keys(technique) as CauseId[]
    if (atWork.length === 0) continue
    expectedOn(bare, rules).forEach((share, n) => count(CAUSES[n]!.id, 0, share))
    count(random.pick(atWork), 1, 0)
  }
  const known = { school: Object.fromEntries(counts), student: {} }
  const cases = drawCases(odd, seed + 2, coupons)
  const score = (of?: Known) =>
    readerScore(
      cases.map(({ technique, bare }): ReadCase => ({
        odds: network(bare, of),
        truth: Object.keys(technique) as CauseId[],
      })),
    )
  return { before: score(), after: score(known) }
}

/** What the student says unasked, and the answer to the one question that the Bench then asks. */
function toldAlso(bare: CouponDocument, technique: Technique, random: Random): CouponDocument {
  const met = metBy(technique, random)
  const canTell = toldSigns(bare).map(sign => sign.id)
  const said = {
    ...bare,
    answers: Object.fromEntries(saidUnasked(met, canTell, random).map(id => [id, 'yes' as const])),
  }
  const question = questionFor(said, rules, diagnose(said, rules))
  return question
    ? { ...said, answers: { ...said.answers, [question.sign]: answered(met, question.sign, random) } }
    : said
}

function found(document: CouponDocument, known?: Known) {
  const seen = signsOf(document, rules)
  const markIds = seen.signs.flatMap(sign => sign.markIds)
  return { seen, priors: priorsFor(document, rules, known, markIds) }
}

function network(document: CouponDocument, known?: Known): readonly number[] {
  const { seen, priors } = found(document, known)
  return posterior(priors, seen).odds
}

const SHOWN = new Map(SIGNS.map(({ id, leak }) => [id, { leak, shows: CAUSES.map(cause => cause.shows[id] ?? 0) }]))

/** One cause at a time, signs taken as independent, with the same chances. */
function naiveBayes(document: CouponDocument): readonly number[] {
  const { seen, priors } = found(document)
  const logs = priors.map((prior, cause) => {
    const absent = (id: (typeof SIGNS)[number]['id']) => (1 - SHOWN.get(id)!.leak) * (1 - SHOWN.get(id)!.shows[cause]!)
    return (
      Math.log(prior) +
      seen.signs.reduce((sum, sign) => sum + Math.log(1 - absent(sign.id)), 0) +
      seen.absent.reduce((sum, id) => sum + Math.log(absent(id)), 0)
    )
  })
  const most = Math.max(...logs)
  const shares = logs.map(log => Math.exp(log - most))
  const total = shares.reduce((sum, share) => sum + share, 0)
  return shares.map(share => share / total)
}
