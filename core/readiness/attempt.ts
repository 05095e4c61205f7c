import type { ElementId } from '../grading'
import { logistic, poisson, type Random } from '../statistics'
import type { VisualSide } from '../welderTest'
import type { BendStrip, TestPlan, TestTask } from './testTasks'

/** One student at one test piece, as the evidence allows: what is unsound, and what of it a test rejects. */
export interface Hand {
  /** Logit of a sound try, one a task; as it is over days. */
  readonly logits: ArrayLike<number>
  /** Marks that the test rejects for each unsound try, one a task. */
  readonly rejects: ArrayLike<number>
  /** Openings beyond the limit for each length of bead that a bend stretches. */
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
 * Rates are means over what strays by this much on the logit scale; where it does not stray the logit is this much
 * steeper (the probit approximation, MacKay 1992).
 */
export const steeper = (deviation: number): number => Math.sqrt(1 + (Math.PI * deviation ** 2) / 8)

/** Whether an examiner sees a task's work on the finished piece. */
export const isSeen = ({ rootSeen }: Pick<TestPlan, 'rootSeen'>, { depth }: TestTask): boolean =>
  depth === 'cap' || (depth === 'root' && rootSeen)

/** The side of a finished piece that something is seen on. */
export const sideOf = ({ depth }: Pick<TestTask, 'depth'>): VisualSide => (depth === 'root' ? 'root' : 'face')

/** A single try is rejected once or not at all; a length as often as it happens. */
const isSingle = ({ fromMm, toMm, cell }: TestTask) => fromMm === toMm || cell.element === 'size'

/** Marks that a test is expected to reject of a task, for the share of it that is unsound. */
const expected = (task: TestTask, unsound: number, rejects: number) => {
  const marks = unsound * rejects * task.tries
  return isSingle(task) ? Math.min(MOST, marks) : marks
}
const MOST = 0.98

/** Days that stand for all: where they lie, in deviations, and what each weighs. Gauss and Hermite, five points. */
const DAYS = [
  [0, 0.5333333333333333],
  [1.355626179974266, 0.2220759220056126],
  [-1.355626179974266, 0.2220759220056126],
  [2.856970013872806, 0.01125741132772069],
  [-2.856970013872806, 0.01125741132772069],
] as const
const ONE_DAY = [[0, 1]] as const

/**
 * How likely nothing on the finished piece is rejected, over days good and bad: no single try rejected, and a Poisson
 * count of nought along every length. What a day spoils it spoils together, so this is no product of means.
 * @param side one side of it alone; both where it is left out
 * @param spared by element, the share of unsound work that is left
 */
export function visualOdds(plan: TestPlan, hand: Hand, side?: VisualSide, spared: Spared = {}): number {
  const days = hand.day > 0 ? DAYS : ONE_DAY
  return days.reduce((sum, [at, weighs]) => sum + weighs * visualOddsOn(hand.day * at, plan, hand, spared, side), 0)
}

/**
 * How likely an attempt goes well: nothing rejected by eye, and no strip opens beyond the limit. What `attempt` draws,
 * reckoned.
 */
export function attemptOdds(plan: TestPlan, hand: Hand, spared: Spared = {}): number {
  const holds = (strip: BendStrip): number => {
    const inside = unsoundIn(plan, strip, hand)
    const all = inside.reduce((sum, one) => sum + one.weight, 0)
    const left = inside.reduce((sum, { task, weight }) => sum + weight * (spared[task.cell.element] ?? 1), 0)
    return 1 - (1 - bendOdds([strip], hand.opens)) * (all > 0 ? left / all : 1)
  }
  return plan.strips.reduce((odds, strip) => odds * holds(strip), visualOdds(plan, hand, undefined, spared))
}

function visualOddsOn(
  today: number,
  plan: TestPlan,
  { logits, rejects, day }: Hand,
  spared: Spared,
  side?: VisualSide,
): number {
  const slope = steeper(day)
  let log = 0
  plan.tasks.forEach((task, n) => {
    if (!isSeen(plan, task) || (side !== undefined && sideOf(task) !== side)) return
    const unsound = (1 - logistic(logits[n]! * slope + today)) * (spared[task.cell.element] ?? 1)
    const marks = expected(task, unsound, rejects[n]!)
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
      return { stage: sideOf(task), task, atMm: somewhere(task.fromMm, task.toMm, random) }
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

/** How likely no strip of a piece opens beyond the limit: a Poisson count of nought along what is stretched. */
export const bendOdds = (strips: readonly BendStrip[], opens: number): number => Math.exp(-opens * stretchedIn(strips))

/** Lengths of bead that the bends of all strips stretch. */
export const stretchedIn = (strips: readonly BendStrip[]): number =>
  strips.reduce((sum, strip) => sum + strip.lengths, 0)

/** The unsound work in what a strip stretches, piece by piece: where it opens. */
const unsoundIn = (plan: TestPlan, strip: BendStrip, { logits }: Pick<Hand, 'logits'>) =>
  stretched(plan, strip).map(({ n, task }) => ({
    task,
    from: Math.max(strip.fromMm, task.fromMm),
    to: Math.min(strip.toMm, task.toMm),
    weight: (1 - logistic(logits[n]!)) * task.tries,
  }))

/** A strip is bent: it opens as often as this student's do, where the unsound work in it lies. */
function bent(plan: TestPlan, strip: BendStrip, hand: Hand, spared: Spared, random: Random): Failure | null {
  if (random.chance(bendOdds([strip], hand.opens))) return null
  const weighed = unsoundIn(plan, strip, hand)
  const all = weighed.reduce((sum, one) => sum + one.weight, 0)
  let left = random.uniform() * all
  const found = weighed.find(one => (left -= one.weight) <= 0) ?? weighed.at(-1)
  // What is spared is spared where it would have opened.
  if (!found || !random.chance(spared[found.task.cell.element] ?? 1)) return null
  return { stage: 'bend', task: found.task, atMm: somewhere(found.from, found.to, random) }
}
