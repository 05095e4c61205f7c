import { isPlate, type CouponDocument } from '../coupon'
import { gradeCoupon } from '../grading'
import type { HouseRules } from '../house'
import { CAUSES, causeOf, type Cause } from './causes'
import { changeFor } from './change'
import { drillFor } from './drill'
import { posterior, shows } from './network'
import { currentOff, expectedShares, NOTHING_KNOWN, priorsFor, type Known } from './priors'
import { gainOf, takenAwayMore } from './gain'
import { bestQuestion, type Question } from './question'
import type { SeenSigns, Sign } from './sign'
import { signsOf } from './signs'
import { signOf, type SignId, type SignRow } from './signTable'
import { toldSigns } from './told'

export interface RankedCause {
  readonly cause: Cause
  /** Chance that it is at work, 0 to 1. Several may be at once. */
  readonly odds: number
  /** Signs found that it shows, and signs it mostly shows that were looked for and not found. */
  readonly speaksFor: readonly Sign[]
  readonly against: readonly SignId[]
  /** Trouble of the next run that goes away when it is put right, in weighted signs. */
  readonly gain: number
}

export interface Diagnosis {
  readonly seen: SeenSigns
  /** Causes that something seen speaks for, likeliest first; empty when nothing was seen. */
  readonly causes: readonly RankedCause[]
  /** True when the likeliest stands clear of the next. */
  readonly clear: boolean
  /** The cause whose change is expected to help most; null when nothing is to be changed. */
  readonly change: RankedCause | null
  /** Why the change is not for the likeliest cause, in words; null where it is, or there is none. */
  readonly notLikeliest: string | null
  /** The one change for the next run, in one sentence. */
  readonly nextRun: string
  /** Why nothing can be read off this coupon; null when it can. */
  readonly unreadable: string | null
}

/**
 * The likeliest cause stands clear when it is likelier than not, and by this many times than the next. Common
 * practice.
 */
const CLEAR = { odds: 0.5, times: 1.5 } as const
/** Under this what would take away most is a guess on a guess: the likeliest is tried first. Common practice. */
const WEAK = 0.1
/** Machine first: a current outside its window that leads is put right before a hand is judged at it. */
const isMachine = ({ cause, odds }: RankedCause) =>
  odds > CLEAR.odds && (cause.id === 'current high' || cause.id === 'current low')
/** A cause that mostly shows a sign: its absence speaks against it. */
const MOSTLY = 0.4
/** Beads of a pad that may be crooked or unlapped before nothing else can be read off it. */
const READABLE = 0.5

/**
 * Reads a coupon: the exact chance of every cause at work, given what was seen, what was looked for and not seen,
 * and what ticket, piece, passes and
 * fit-up say; and the one change that is expected to help most.
 * @param known what the school's instructors said before, and this student's causes
 * @example diagnose(soundCoupon, rules).nextRun // 'Same again: hold these settings'
 */
export function diagnose(document: CouponDocument, rules: HouseRules, known: Known = NOTHING_KNOWN): Diagnosis {
  return diagnoseSigns(document, rules, signsOf(document, rules), known)
}

/**
 * Reads signs that were found on a coupon, wherever they come from: marks, answers, or a bead described in words.
 * @example diagnoseSigns(pad, rules, { signs: [{ id: 'crooked', markIds: [], share: 1 }], absent: []
 *   }).causes[0].cause.id // 'bracing'
 */
export function diagnoseSigns(
  document: CouponDocument,
  rules: HouseRules,
  seen: SeenSigns,
  known: Known = NOTHING_KNOWN,
): Diagnosis {
  const { odds } = posterior(priorsOn(document, rules, known, seen), seen)
  const nothing = { seen, causes: [], clear: true, change: null, notLikeliest: null, unreadable: null }
  const setUp = CAUSES.findIndex(
    (cause, index) => (cause.id === 'polarity' || cause.id === 'rod unfit') && odds[index]! > 0.5,
  )
  if (seen.signs.length === 0 && setUp < 0) return { ...nothing, nextRun: nothingSeen(document, rules) }
  const crooked = unreadable(document, seen)
  if (crooked)
    return {
      ...nothing,
      clear: false,
      unreadable: crooked,
      nextRun: 'Straight lapped beads first: one bead to a soapstone line, then lap it',
    }
  const causes = rank(seen, odds)
  const [first, second] = causes
  if (!first) return { ...nothing, clear: false, nextRun: 'Same settings; watch the puddle and run one more' }
  const clear = first.odds >= CLEAR.odds && first.odds >= CLEAR.times * (second?.odds ?? 0)
  // What is wrong with the machine or the rod is put right before anything else is judged.
  const change =
    setUp >= 0
      ? causes.find(row => row.cause === CAUSES[setUp])!
      : (isMachine(first) && currentOff(document, rules) === first.cause.id) || first.odds < WEAK
        ? first
        : [...causes].sort((a, b) => b.gain - a.gain)[0]!
  return {
    seen,
    causes,
    clear,
    change,
    notLikeliest: change === first ? null : whyNot(first, change, seen, odds, setUp >= 0),
    unreadable: null,
    nextRun: withDrill(
      advice(change, document, rules, clear && change === first),
      drillFor(change.cause, document, rules),
    ),
  }
}

/**
 * What share of the saying each cause may expect on a coupon, by a model that knows nothing of the school.
 * @returns shares that sum to 1, for each of `CAUSES` in their order
 * @example expectedOn(lumpyPad, rules)[0] // 0.41
 */
export function expectedOn(document: CouponDocument, rules: HouseRules): number[] {
  const seen = signsOf(document, rules)
  return expectedShares(posterior(priorsOn(document, rules, NOTHING_KNOWN, seen), seen).odds)
}

/**
 * The question that best tells the two likeliest causes of a reading apart; null when one stands clear, nothing was
 * seen, or none is worth asking. Only what this piece, rod and position can tell is asked.
 * @example questionFor(document, rules, diagnose(document, rules)).ask // 'Was the arc noisy and fluttering?'
 */
export function questionFor(
  document: CouponDocument,
  rules: HouseRules,
  { seen, causes, clear }: Diagnosis,
  known: Known = NOTHING_KNOWN,
): Question | null {
  if (clear || causes.length === 0) return null
  const priors = priorsOn(document, rules, known, seen)
  const told = new Set(toldSigns(document).map(sign => sign.id))
  const mayAsk = ({ id, lookedFor }: SignRow) => lookedFor !== 'asked' || told.has(id)
  return bestQuestion(priors, seen, posterior(priors, seen).odds, mayAsk)
}

/** The chances before the signs are weighed, by the runs that show them. */
const priorsOn = (document: CouponDocument, rules: HouseRules, known: Known, { signs }: SeenSigns) =>
  priorsFor(
    document,
    rules,
    known,
    signs.flatMap(sign => sign.markIds),
  )

const advice = (change: RankedCause, document: CouponDocument, rules: HouseRules, strong: boolean) =>
  changeFor({ cause: change.cause, document, markIds: change.speaksFor.flatMap(sign => sign.markIds), strong }, rules)

/** Why something else is changed than what is likeliest. */
function whyNot(
  first: RankedCause,
  change: RankedCause,
  seen: SeenSigns,
  odds: readonly number[],
  setUpFirst: boolean,
): string {
  const likeliest = `${first.cause.name} is likelier`
  if (setUpFirst) return `${likeliest}, but machine and rod come first: nothing else can be judged before`
  const [chosen, likelier] = [change, first].map(row => CAUSES.indexOf(row.cause)) as [number, number]
  const more = takenAwayMore(seen, odds, { chosen, likelier })
  return `${likeliest}, but this takes away more of ${more.map(id => signOf(id).says).join(' and ')}`
}

const withDrill = (change: string, drill: string | null) =>
  drill === null ? `${change}.` : `${change}. Then ${drill}.`

const lower = (text: string) => text[0]!.toLowerCase() + text.slice(1)

/**
 * A sound coupon is run again as it was: unless it was set outside its window, is not clean enough to be read, or its
 * instructor says otherwise. One that fails for something no cause is known of says what failed.
 */
function nothingSeen(document: CouponDocument, rules: HouseRules): string {
  const { overrule, cleanUp } = document
  if (overrule && overrule.verdict !== 'move on') return `Run it again: ${lower(overrule.reason)}`
  const [first] = gradeCoupon(document, rules).reasons
  if (first) return `Run it again: ${lower(first.text)}`
  if (cleanUp !== 'sound') return 'Chip and brush it clean first: what lies under slag cannot be read'
  return outsideItsWindow(document, rules) ?? 'Same again: hold these settings'
}

/** The current was off, though nothing shows it: what is sound at 20 A too much is so by luck. */
function outsideItsWindow(document: CouponDocument, rules: HouseRules): string | null {
  const off = currentOff(document, rules)
  if (off === null) return null
  const cause = causeOf(off)
  return changeFor({ cause, document, markIds: [], strong: true }, rules)
}

function rank(seen: SeenSigns, odds: readonly number[]): RankedCause[] {
  return CAUSES.map((cause, index): RankedCause => ({
    cause,
    odds: odds[index]!,
    gain: gainOf(seen, odds, index),
    speaksFor: seen.signs.filter(sign => (shows(sign.id).shows[index] ?? 0) > 0),
    against: seen.absent.filter(id => (cause.shows[id] ?? 0) >= MOSTLY),
  }))
    .filter(row => row.speaksFor.length > 0 || row.odds > CLEAR.odds)
    .sort((a, b) => b.odds - a.odds)
}

/**
 * A pad of crooked, unlapped beads: nothing is diagnosed, the student goes back to straight lapped beads first.
 * Common practice.
 */
function unreadable(document: CouponDocument, { signs }: SeenSigns): string | null {
  if (!isPlate(document.piece) || document.beads.length < 3) return null
  const share = (id: SignId) => signs.find(sign => sign.id === id)?.share ?? 0
  const bad = (['crooked', 'lap off'] as const).filter(id => share(id) > READABLE)
  return bad.length < 2
    ? null
    : `Too much of it has ${bad.map(id => signOf(id).says).join(' and ')}: nothing else can be read off it`
}
