import type { ElementId } from '../grading'
import {
  drawSkill,
  SKILL_OFFSETS,
  type SchoolCurves,
  type Skill,
  skillOf,
  type Standing,
  type When,
  whenNext,
} from '../progress'
import { seededRandom, mean, quantile } from '../statistics'
import { attempt, type Failure, type TestHabits, type TestStage } from './attempt'
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
  readonly seed: number
  /** By element, the share of unsound work that is left. */
  readonly spared?: Readonly<Partial<Record<ElementId, number>>>
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
export function beginOutlook({ plan, candidate, habits, seed, spared = {} }: OutlookCase): OutlookRun {
  const random = seededRandom(seed)
  const skills = new Map<ElementId, Skill>(
    [...new Set(plan.tasks.map(task => task.cell.element))].map(element => [
      element,
      skillOf(candidate.standing, candidate.curves, element),
    ]),
  )
  const when = whenFor(plan, candidate)
  const failures = new Map<string, FailureCount>()
  const means: number[] = []
  const logits = new Float64Array(plan.tasks.length)
  const student = () => {
    // One set of draws for all elements: who is good at one thing is a little likelier to be good at another, and
    // gains are compared on the same students.
    const drawn = new Map(
      [...skills].map(([element, skill]) => [
        element,
        drawSkill(
          skill,
          Array.from({ length: SKILL_OFFSETS }, () => random.normal()),
        ),
      ]),
    )
    plan.tasks.forEach((task, index) => {
      logits[index] = drawn.get(task.cell.element)!(task.cell, when)
    })
    let well = 0
    const own = seededRandom(Math.floor(random.uniform() * 2 ** 32))
    for (let n = 0; n < EACH; n++) {
      const failure = attempt(plan, logits, habits, own, spared)
      if (failure) count(failures, failure, plan.seamMm)
      else well += 1
    }
    means.push(well / EACH)
  }
  return {
    done: () => means.length * EACH,
    run: attempts => {
      for (let n = 0; n < attempts / EACH; n++) student()
    },
    result: () => summary(means, [...failures.values()]),
  }
}

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

function summary(means: readonly number[], failures: readonly FailureCount[]): Outlook {
  const attempts = means.length * EACH
  if (attempts === 0) return { attempts, odds: 0, low: 0, high: 1, failures: [], spread: [] }
  const odds = mean(means)
  const variance = means.reduce((sum, own) => sum + (own - odds) ** 2, 0) / Math.max(1, means.length - 1)
  // Twenty attempts are few: what of the spread is their own chance is taken out again.
  const chance = mean(means.map(own => own * (1 - own))) / (EACH - 1)
  const kept = variance > 0 ? Math.sqrt(Math.max(0, variance - chance) / variance) : 0
  const spread = means.map(own => Math.min(1, Math.max(0, odds + kept * (own - odds)))).sort((a, b) => a - b)
  return {
    attempts,
    odds,
    low: quantile(spread, 0.05),
    high: quantile(spread, 0.95),
    failures: [...failures].sort((a, b) => b.count - a.count),
    spread,
  }
}
