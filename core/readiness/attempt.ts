import type { ElementId } from '../grading'
import { logistic, poisson, type Random } from '../statistics'
import type { BendStrip, TestPlan, TestTask } from './testTasks'

/** One student at one test piece, as the evidence allows: what is unsound, and what of it a test rejects. */
export interface Hand {
  /** Logit of a sound try, one a task; as it is over days. */
  readonly logits: ArrayLike<number>
  /** Marks that the test rejects for each unsound try, one a task. */
  readonly rejects: ArrayLike<number>
  /** How likely a strip opens beyond the limit, 0 to 1. */
  readonly opens: number
  /** How far one day is off another, logit. */
  readonly day: number
}

export type TestStage = 'face' | 'root' | 'bend'

/** What ended an attempt: at which stage, what, where. */
export interface Failure {
  readonly stage: TestStage
  readonly task: TestTask
  readonly atMm: number
}

/** By element, the share of unsound work that is left (1: as it is); how the gain of a skill is found. */
export type Spared = Readonly<Partial<Record<ElementId, number>>>

/**
 * Rates are means over what strays by so much on the logit scale; where it does not stray the logit is this much
 * steeper (the probit approximation, MacKay 1992).
 */
export const steeper = (deviation: number): number => Math.sqrt(1 + (Math.PI * deviation ** 2) / 8)

/** Whether an examiner sees a task's work on the finished piece. */
export const isSeen = ({ rootSeen }: Pick<TestPlan, 'rootSeen'>, { depth }: TestTask): boolean =>
  depth === 'cap' || (depth === 'root' && rootSeen)

/** A single try is rejected once or not at all; a length as often as it happens. */
const isSingle = ({ fromMm, toMm, cell }: TestTask) => fromMm === toMm || cell.element === 'size'

/** Marks that a test is expected to reject of a task, so much of it being unsound. */
const expected = (task: TestTask, unsound: number, rejects: number) => {
  const marks = unsound * rejects * task.tries
  return isSingle(task) ? Math.min(MOST, marks) : marks
}
const MOST = 0.98

/**
 * How likely nothing on the finished piece is rejected, on an ordinary day: no single try rejected, and a Poisson
 * count of nought along every length.
 */
export function visualOdds(plan: TestPlan, { logits, rejects }: Hand): number {
  let log = 0
  plan.tasks.forEach((task, n) => {
    if (!isSeen(plan, task)) return
    const marks = expected(task, 1 - logistic(logits[n]!), rejects[n]!)
    log += isSingle(task) ? Math.log1p(-marks) : -marks
  })
  return Math.exp(log)
}

/**
 * One attempt at a test piece, task by task in the order it is welded: what the criteria reject on the cap or at the
 * root ends it at the visual; then the strips are cut and bent.
 * @returns what ended it; null when it went well
 */
export function attempt(plan: TestPlan, hand: Hand, random: Random, spared: Spared = {}): Failure | null {
  const today = hand.day > 0 ? hand.day * random.normal() : 0
  const slope = steeper(hand.day)
  const unsound = (n: number, task: TestTask) =>
    (1 - logistic(hand.logits[n]! * slope + today)) * (spared[task.cell.element] ?? 1)
  for (const [n, task] of plan.tasks.entries()) {
    if (!isSeen(plan, task)) continue
    const marks = expected(task, unsound(n, task), hand.rejects[n]!)
    if (isSingle(task) ? random.chance(marks) : poisson(marks, random) > 0)
      return { stage: task.depth === 'root' ? 'root' : 'face', task, atMm: somewhere(task.fromMm, task.toMm, random) }
  }
  for (const strip of plan.strips) {
    const opened = bent(plan, strip, hand, spared, random)
    if (opened) return opened
  }
  return null
}

const somewhere = (fromMm: number, toMm: number, random: Random) => fromMm + random.uniform() * (toMm - fromMm)

/** What lies in the half of a strip that its bend stretches: a face bend the face, a root bend the root, a side all. */
function stretched(plan: TestPlan, { bend, fromMm, toMm }: BendStrip): { n: number; task: TestTask }[] {
  const inside = plan.tasks
    .map((task, n) => ({ n, task }))
    .filter(({ task }) => task.cell.element !== 'toes' && task.cell.element !== 'size')
    .filter(({ task }) => task.toMm >= fromMm && task.fromMm <= toMm)
  const half = inside.filter(({ task }) => bend === 'side' || (bend === 'face') === task.faceHalf)
  return half.length > 0 ? half : inside
}

/** A strip is bent: it opens as often as this student's do, where the unsound work in it lies. */
function bent(plan: TestPlan, strip: BendStrip, hand: Hand, spared: Spared, random: Random): Failure | null {
  if (!random.chance(hand.opens)) return null
  const weighed = stretched(plan, strip).map(({ n, task }) => ({
    task,
    from: Math.max(strip.fromMm, task.fromMm),
    to: Math.min(strip.toMm, task.toMm),
    weight: (1 - logistic(hand.logits[n]!)) * task.tries,
  }))
  const all = weighed.reduce((sum, one) => sum + one.weight, 0)
  let left = random.uniform() * all
  const found = weighed.find(one => (left -= one.weight) <= 0) ?? weighed.at(-1)
  // What is spared is spared where it would have opened.
  if (!found || !random.chance(spared[found.task.cell.element] ?? 1)) return null
  return { stage: 'bend', task: found.task, atMm: somewhere(found.from, found.to, random) }
}
