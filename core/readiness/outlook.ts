import type { ElementId } from '../grading'
import { mean, quantile, seededRandom } from '../statistics'
import { attempt, type Failure, type Spared, type TestStage } from './attempt'
import { handsOf, type HandsWanted, type StageOdds } from './hands'

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
  /** The same as the coupons alone say it, before tests of the school move it: what it is later held against. */
  readonly byCoupons: StageOdds
  /** 90 % of the students whom the evidence allows have odds between these. */
  readonly low: number
  readonly high: number
  readonly failures: readonly FailureCount[]
  /** The odds of each student drawn, in order; for forecasts. */
  readonly spread: readonly number[]
}

/** Attempts that one student drawn from the evidence makes. */
const EACH = 20

export interface OutlookCase extends HandsWanted {
  readonly seed: number
  /** By element, the share of unsound work that is left. */
  readonly spared?: Spared
}

/** Attempts under way: some are run at a time, so that the person who waits can see how far it is, or stop it. */
export interface OutlookRun {
  readonly done: () => number
  /** Runs this number of attempts more, twenty of a student drawn. */
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
  const byCoupons: StageOdds[] = []
  let seenWell = 0
  const student = () => {
    const drawn = drawHand(random)
    byCoupons.push(drawn.byCoupons)
    let well = 0
    const own = seededRandom(Math.floor(random.uniform() * 2 ** 32))
    for (let n = 0; n < EACH; n++) {
      const failure = attempt(plan, drawn.hand, own, spared)
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
    result: () => summary(means, seenWell, byCoupons, [...failures.values()]),
  }
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
  byCoupons: { face: 0, root: 0, visual: 0, bends: 0 },
  low: 0,
  high: 1,
  failures: [],
  spread: [],
}

function summary(
  means: readonly number[],
  seenWell: number,
  byCoupons: readonly StageOdds[],
  failures: readonly FailureCount[],
): Outlook {
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
    byCoupons: {
      face: mean(byCoupons.map(one => one.face)),
      root: mean(byCoupons.map(one => one.root)),
      visual: mean(byCoupons.map(one => one.visual)),
      bends: mean(byCoupons.map(one => one.bends)),
    },
    low: quantile(spread, 0.05),
    high: quantile(spread, 0.95),
    failures: [...failures].sort((a, b) => b.count - a.count),
    spread,
  }
}
