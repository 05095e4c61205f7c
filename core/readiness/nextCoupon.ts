import { elementOf } from '../grading'
import type { Ways } from '../house'
import { rungsInUse, type Ladder, type LadderRung, type RungState } from '../ladder'
import { lieOf } from '../progress'
import type { TestPiece } from '../qualification'
import { pieceOf } from '../trade'
import type { Help } from './helps'
import { USUAL_HOURS } from './pace'
import { isOwnJoint, likeness, practiceIn, workOfRung, workOfTest } from './practice'

/** What a student could run next, and why. */
export interface Proposal {
  readonly rung: LadderRung
  /** Expected rise of the odds in an hour in the booth, 0 to 1. */
  readonly gainPerHour: number
  readonly why: string
  /** The same as the student reads it: without a count of tests. */
  readonly toStudent: string
}

/** A skill that would raise the odds by more than this is worth going back to a rung for, 0 to 1. */
const WORTH_GOING_BACK = 0.03
/** A drill is over sooner. */
const DRILL_HOURS = 0.4

/** A pad's worth of practice takes about this share of the way to half as much unsound work. Rough. */
const STEP = 0.12

const isDrill = ({ piece }: Pick<LadderRung, 'piece'>) => piece === 'restart strip' || piece === 'arc-strike plate'
/** Hours in the booth that a coupon of a rung takes, set-up, welding and cleaning. Common practice, rough. */
export const couponHours = (rung: Pick<LadderRung, 'piece'>): number =>
  isDrill(rung) ? DRILL_HOURS : USUAL_HOURS[pieceOf(rung.piece).work]

/**
 * How much a coupon of a rung is expected to raise the odds at a test, in an hour in the booth: what it holds of each
 * skill, as far as that is of use on the test's own joint.
 * @param helps what each skill is worth at that test
 */
export function gainPerHour(rung: LadderRung, helps: readonly Help[], test: TestPiece): number {
  const [work, tests] = [workOfRung(rung), workOfTest(test)]
  const practice = practiceIn(rung)
  const gained = ({ element, gain }: Help) =>
    gain * (1 - (1 - STEP) ** ((practice[element] ?? 0) * likeness(work, tests, element)))
  return helps.reduce((sum, help) => sum + gained(help), 0) / couponHours(rung)
}

/** A class day of a student, and the ids of the rungs that were run on it. */
export interface RunLately {
  readonly classDay: string
  readonly rungs: readonly string[]
}

const AS_THE_LADDER: Ways['testJoint'] = 'on its rung'

export interface NextWanted {
  readonly ladder: Ladder
  readonly climb: readonly RungState[]
  readonly helps: readonly Help[]
  readonly test: TestPiece
  /** Newest last. */
  readonly lately: readonly RunLately[]
  /** How many class days in a row the same may be run. */
  readonly sameDrillDays: number
  /** Whether the test's own joint is practised before the ladder comes to it; as shipped where it is not said. */
  readonly testJoint?: Ways['testJoint']
}

/**
 * What to run next, best first: the rungs that are open and not signed off, and the test's own joint, by expected gain
 * toward the test for an hour in the booth. A drill or pad that was run on all of the last days allowed is left out
 * while there is another, and what the ladder gained below the student comes last. Far from the test, where no single
 * skill moves the odds, the ladder's own order decides.
 * @example proposals(wanted)[0].why // 'Restarts: half as many unsound, and about 20 more of 100 attempts at the 6G
 *   would go well'
 */
export function proposals(wanted: NextWanted): Proposal[] {
  const { ladder, climb, lately, sameDrillDays } = wanted
  const statusOf = (rung: LadderRung) => climb.find(state => state.rungId === rung.id)?.status
  const isOpen = (rung: LadderRung) => statusOf(rung) === 'open' || statusOf(rung) === 'ready'
  const [most] = wanted.helps
  // What was signed off is run again for the skill that helps most, as the test lies, or as a drill.
  const worthAgain = (rung: LadderRung) =>
    most !== undefined &&
    most.gain > WORTH_GOING_BACK &&
    statusOf(rung) === 'signed off' &&
    rung.trains.includes(most.element) &&
    (isDrill(rung) || lieOf(rung.position) === lieOf(wanted.test.position))
  // What the ladder asks before the test's own joint is asked for its sign-off, not for its practice.
  const ownJoint = (rung: LadderRung) =>
    wanted.helps.length > 0 &&
    wanted.testJoint !== AS_THE_LADDER &&
    isOwnJoint(workOfRung(rung), workOfTest(wanted.test))
  const open = rungsInUse(ladder).filter(rung => isOpen(rung) || worthAgain(rung) || ownJoint(rung))
  const days = lately.slice(-sameDrillDays)
  const tired = (rung: LadderRung) =>
    !ownJoint(rung) && days.length === sameDrillDays && days.every(day => day.rungs.includes(rung.id))
  const fresh = open.filter(rung => !tired(rung))
  const behind = leftBehind(wanted)
  return (fresh.length > 0 ? fresh : open)
    .map((rung, place) => ({ rung, place, gainPerHour: gainPerHour(rung, wanted.helps, wanted.test) }))
    .sort((a, b) =>
      behind.has(a.rung.id) !== behind.has(b.rung.id)
        ? Number(behind.has(a.rung.id)) - Number(behind.has(b.rung.id))
        : Math.abs(a.gainPerHour - b.gainPerHour) < 1e-4
          ? Number(isOpen(b.rung)) - Number(isOpen(a.rung)) || a.place - b.place
          : b.gainPerHour - a.gainPerHour,
    )
    .map(({ rung, gainPerHour: gain }) => ({ rung, gainPerHour: gain, ...reason(rung, wanted) }))
}

/** Rungs that were never run and that the student is past: the ladder gained them later. They are offered last. */
function leftBehind({ ladder, climb }: NextWanted): ReadonlySet<string> {
  const rungs = rungsInUse(ladder)
  const lastSigned = rungs.findLastIndex(rung =>
    climb.some(row => row.rungId === rung.id && row.status === 'signed off'),
  )
  const neverRun = (rung: LadderRung) =>
    climb.some(row => row.rungId === rung.id && row.status !== 'signed off' && row.coupons === 0)
  return new Set(
    rungs.filter((rung, place) => place < lastSigned && !isDrill(rung) && neverRun(rung)).map(rung => rung.id),
  )
}

const ofHundred = (gain: number) => `about ${Math.round(gain * 100)} more of 100 attempts`

function reason(rung: LadderRung, { helps, test, climb }: NextWanted): Pick<Proposal, 'why' | 'toStudent'> {
  const help = helps.find(row => rung.trains.includes(row.element) && row.gain > 0.01)
  if (help) {
    const { name } = elementOf(help.element)
    return {
      why: `${name}: half as many unsound, and ${ofHundred(help.gain)} at the ${test.position} would go well`,
      toStudent: `${name}: it trains what brings you on toward the ${test.position}`,
    }
  }
  const [most] = helps
  if (most && most.gain > WORTH_GOING_BACK) {
    const [helps, watch] = [`${most.name} would help most`, 'every coupon has them, watch them on this one']
    return {
      why: `${helps}, ${ofHundred(most.gain)} at the ${test.position}: ${watch}`,
      toStudent: `${helps} toward the ${test.position}: ${watch}`,
    }
  }
  const state = climb.find(row => row.rungId === rung.id)!
  const says = state.coupons > 0 ? `${state.says}: the way up goes through it` : 'Next on the ladder'
  return { why: says, toStudent: says }
}
