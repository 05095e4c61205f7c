import type { ElementId } from '../grading'
import { drawSkill, SKILL_OFFSETS, type SchoolCurves, skillOf, type Standing, type When, whenNext } from '../progress'
import { logistic, logit, mean, quantile, seededRandom, type Random } from '../statistics'
import { attempt, steeper, visualOdds, type Failure, type Hand, type Spared, type TestStage } from './attempt'
import { rejectedOf, restsOnOf, type TestHabits } from './habits'
import { shiftOf, type Recalibration, type Shift } from './recalibration'
import type { TestPlan } from './testTasks'

/** Who tries, and when. */
export interface Candidate {
  readonly standing: Standing
  readonly curves: SchoolCurves
  /** Days since 1970 began. */
  readonly today: number
  /** Coupons more, by which the skill is looked at ahead of its time; 0 for today. */
  readonly more: number
}

/** What ended attempts, counted by stage, pass, element and twelfth of the seam. */
export interface FailureCount {
  readonly stage: TestStage
  readonly pass: string
  readonly role: string
  readonly element: ElementId
  readonly twelfth: number
  readonly count: number
}

/** How many attempts of how many went well, and what ended the others. Odds 0 to 1. */
export interface Outlook {
  readonly attempts: number
  readonly odds: number
  /** How often nothing was rejected by eye, and how often the strips of those pieces held. */
  readonly visual: number
  readonly bends: number
  /** 90 % of the students whom the evidence allows have odds between these. */
  readonly low: number
  readonly high: number
  readonly failures: readonly FailureCount[]
  /** The odds of each student drawn, in order; for forecasts. */
  readonly spread: readonly number[]
}

/** Attempts that one student drawn from the evidence makes. */
const EACH = 20

export interface OutlookCase {
  readonly plan: TestPlan
  readonly candidate: Candidate
  readonly habits: TestHabits
  /** How tests of this school come out against what its coupons say. */
  readonly recalibration: Recalibration
  readonly seed: number
  /** By element, the share of unsound work that is left. */
  readonly spared?: Spared
}

/** Attempts under way: some are run at a time, so that whoever waits can see how far it is, or stop it. */
export interface OutlookRun {
  readonly done: () => number
  /** Runs so many attempts more, twenty of a student drawn. */
  readonly run: (attempts: number) => void
  readonly result: () => Outlook
}

/**
 * Attempts at a test piece by students drawn from what the evidence allows. The same seed gives the same answer.
 * @example const run = beginOutlook(wanted); run.run(5000); run.result().odds // 0.68
 */
export function beginOutlook(wanted: OutlookCase): OutlookRun {
  const { plan, spared = {} } = wanted
  const random = seededRandom(wanted.seed)
  const drawHand = handsOf(wanted)
  const failures = new Map<string, FailureCount>()
  const means: number[] = []
  let seenWell = 0
  const student = () => {
    const hand = drawHand(random)
    let well = 0
    const own = seededRandom(Math.floor(random.uniform() * 2 ** 32))
    for (let n = 0; n < EACH; n++) {
      const failure = attempt(plan, hand, own, spared)
      if (failure) count(failures, failure, plan.seamMm)
      else well += 1
      if (failure === null || failure.stage === 'bend') seenWell += 1
    }
    means.push(well / EACH)
  }
  return {
    done: () => means.length * EACH,
    run: attempts => {
      for (let n = 0; n < attempts / EACH; n++) student()
    },
    result: () => summary(means, seenWell, [...failures.values()]),
  }
}

/** Draws students whom the evidence allows, as hands at this piece. */
function handsOf({ plan, candidate, habits, recalibration }: OutlookCase): (random: Random) => Hand {
  const elements = [...new Set(plan.tasks.map(task => task.cell.element))]
  const skills = elements.map(element => skillOf(candidate.standing, candidate.curves, element))
  const when = whenFor(plan, candidate)
  const now = whenFor(plan, { ...candidate, more: 0 })
  const place = plan.tasks.map(task => elements.indexOf(task.cell.element))
  const piece = { bookId: plan.bookId, pieceName: plan.piece.name }
  const shifts = { visual: shiftOf(recalibration, 'visual', piece), bends: shiftOf(recalibration, 'bends', piece) }
  const runs = plan.tasks.filter(task => task.cell.element === 'run')
  /** What will be buried ahead of its time, of what is buried now. */
  const buriedThen = (drawn: readonly ReturnType<typeof drawSkill>[]): number => {
    if (candidate.more === 0 || runs.length === 0) return 1
    const skill = drawn[elements.indexOf('run')]!
    const unsound = (at: When) =>
      runs.reduce((sum, { cell, tries }) => sum + tries * (1 - logistic(skill(cell, at))), 0)
    return Math.min(1, unsound(when) / unsound(now))
  }
  return random => {
    // One set of draws for all elements: who is good at one thing is a little likelier to be good at another, and
    // gains are compared on the same students.
    const drawn = skills.map(skill =>
      drawSkill(
        skill,
        Array.from({ length: SKILL_OFFSETS }, () => random.normal()),
      ),
    )
    // A share that rests on so many marks strays by about their root.
    const shares = elements.map(
      element => rejectedOf(habits, element) * Math.exp(random.normal() / Math.sqrt(1 + restsOnOf(habits, element))),
    )
    const logits = Float64Array.from(plan.tasks, (task, n) => drawn[place[n]!]!(task.cell, when))
    const rejects = Float64Array.from(plan.tasks, (_, n) => shares[place[n]!]!)
    const hand: Hand = { logits, rejects, opens: habits.opens * buriedThen(drawn), day: habits.day }
    return shifted(plan, hand, {
      visual: shiftDrawn(shifts.visual, random),
      bends: shiftDrawn(shifts.bends, random),
    })
  }
}

/**
 * Odds as they are moved by a shift that is drawn. Over all draws of the school's part what was said stays what is
 * said; what is not known of the student draws odds toward evens, as it should.
 */
function shiftDrawn({ mean: middle, deviation, student }: Shift, random: Random): (odds: number) => number {
  const by = middle + Math.hypot(deviation, student) * random.normal()
  return odds => logistic(logit(odds) * steeper(deviation) + by)
}

/** The hand as tests of this school come out: its odds at each stage moved by so much on the logit scale. */
function shifted(plan: TestPlan, hand: Hand, by: Readonly<Record<'visual' | 'bends', (odds: number) => number>>): Hand {
  const visual = Math.min(MOST_CERTAIN, Math.max(1 - MOST_CERTAIN, visualOdds(plan, hand)))
  const times = Math.log(by.visual(visual)) / Math.log(visual)
  const held = (1 - hand.opens) ** plan.strips.length
  const holds = plan.strips.length === 0 ? 1 : by.bends(Math.min(MOST_CERTAIN, held))
  return {
    ...hand,
    rejects: Float64Array.from(hand.rejects as Float64Array, share => share * times),
    opens: plan.strips.length === 0 ? 0 : 1 - holds ** (1 / plan.strips.length),
  }
}
const MOST_CERTAIN = 0.995

function whenFor(plan: TestPlan, { standing, today, more }: Candidate): When {
  const when = whenNext(standing, plan.tasks[0]!.cell.lie, today)
  return more === 0 ? when : { before: when.before + more, beforeHere: when.beforeHere + more, restDays: 0 }
}

function count(failures: Map<string, FailureCount>, { stage, task, atMm }: Failure, seamMm: number): void {
  const twelfth = Math.min(11, Math.max(0, Math.floor((12 * atMm) / seamMm)))
  const key = `${stage} ${task.pass} ${task.cell.element} ${twelfth}`
  const before = failures.get(key)
  failures.set(
    key,
    before
      ? { ...before, count: before.count + 1 }
      : { stage, pass: task.pass, role: task.role, element: task.cell.element, twelfth, count: 1 },
  )
}

const NOTHING_RUN: Outlook = {
  attempts: 0,
  odds: 0,
  visual: 0,
  bends: 0,
  low: 0,
  high: 1,
  failures: [],
  spread: [],
}

function summary(means: readonly number[], seenWell: number, failures: readonly FailureCount[]): Outlook {
  const attempts = means.length * EACH
  if (attempts === 0) return NOTHING_RUN
  const odds = mean(means)
  const variance = means.reduce((sum, own) => sum + (own - odds) ** 2, 0) / Math.max(1, means.length - 1)
  // Twenty attempts are few: what of the spread is their own chance is taken out again.
  const chance = mean(means.map(own => own * (1 - own))) / (EACH - 1)
  const kept = variance > 0 ? Math.sqrt(Math.max(0, variance - chance) / variance) : 0
  const spread = means.map(own => Math.min(1, Math.max(0, odds + kept * (own - odds)))).sort((a, b) => a - b)
  return {
    attempts,
    odds,
    visual: seenWell / attempts,
    bends: seenWell > 0 ? (odds * attempts) / seenWell : 0,
    low: quantile(spread, 0.05),
    high: quantile(spread, 0.95),
    failures: [...failures].sort((a, b) => b.count - a.count),
    spread,
  }
}
