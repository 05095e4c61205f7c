import type { ElementId } from '../grading'
import { logistic } from '../statistics'
import type { Random } from '../statistics'
import type { TestPlan, TestTask } from './testTasks'

/** What becomes of unsound work under test terms. Shares 0 to 1, lengths mm. */
export interface TestHabits {
  /** Share of this student's unsound tries that a test would reject; the rest is poor but passes. */
  readonly rejectedTries: number
  /** Mean length of a flaw in a bead, and the share of flaws that a test would reject. */
  readonly flawMm: number
  readonly rejectedFlaws: number
  /** Share of what would be buried that is seen and ground out before the next pass. */
  readonly groundOut: number
  /** Chance that something buried opens beyond the limit where a bend stretches it. */
  readonly opens: number
  /** How far one day is off another, logit. */
  readonly day: number
}

/**
 * Rough on purpose: common practice, until a school has tests enough to say. The day's spread goes with how alike
 * the tries of one coupon are.
 */
export const USUAL_HABITS: TestHabits = {
  rejectedTries: 0.4,
  flawMm: 20,
  rejectedFlaws: 0.12,
  groundOut: 0.7,
  opens: 0.6,
  day: 0.6,
}

/** What a usual share weighs against a student's own, in tries, and in bends. */
const USUAL_WEIGHS = 10
/** Share of bends that usually show something open. Rough, common practice. */
const USUAL_OPENED = 0.15
/** However often a student's bends opened, some of what is buried does not. */
const MOST_OPENS = 0.95

/**
 * How this student's unsound work goes: the share of poor tries, and of bends that opened, are the student's own,
 * held toward the usual ones while there are few.
 * @param bends made of this student's tests, and how many of them opened
 * @example habitsOf({ tries: 0, poor: 0 }, { bent: 0, opened: 0 }) // USUAL_HABITS
 */
export function habitsOf(
  { tries, poor }: { readonly tries: number; readonly poor: number },
  { bent, opened }: { readonly bent: number; readonly opened: number },
): TestHabits {
  const openedOften = (opened + USUAL_WEIGHS * USUAL_OPENED) / (bent + USUAL_WEIGHS)
  return {
    ...USUAL_HABITS,
    rejectedTries: (poor + USUAL_WEIGHS * USUAL_HABITS.rejectedTries) / (tries + USUAL_WEIGHS),
    opens: Math.min(MOST_OPENS, (USUAL_HABITS.opens * openedOften) / USUAL_OPENED),
  }
}

export type TestStage = 'face' | 'root' | 'bend'

/** What ended an attempt: at which stage, what, where. */
export interface Failure {
  readonly stage: TestStage
  readonly task: TestTask
  readonly atMm: number
}

/**
 * Rates are means over days; on a single day the logit is this much steeper (the probit approximation, MacKay
 * 1992).
 */
const steeper = ({ day }: TestHabits) => Math.sqrt(1 + (Math.PI * day ** 2) / 8)

/**
 * One attempt at a test piece, task by task in the order it is welded: what is bad on the cap or at the root ends
 * it at the visual, what is buried and not
 * ground out may open in a bend.
 * @param logits of a sound try, one a task, for the student who welds
 * @param spared by element, the share of unsound work that is left of it (1: as it is); how the gain of a skill is
 *   found
 * @returns what ended it; null when it went well
 */
export function attempt(
  plan: TestPlan,
  logits: ArrayLike<number>,
  habits: TestHabits,
  random: Random,
  spared: Readonly<Partial<Record<ElementId, number>>> = {},
): Failure | null {
  const day = habits.day > 0 ? habits.day * random.normal() : 0
  const buried: Failure[] = []
  let seen: Failure | null = null
  for (const [index, task] of plan.tasks.entries()) {
    const unsound = (1 - logistic(logits[index]! * steeper(habits) + day)) * (spared[task.cell.element] ?? 1)
    const bad =
      task.toMm === task.fromMm
        ? random.chance(unsound * habits.rejectedTries)
          ? 1
          : 0
        : poisson((unsound * habits.rejectedFlaws * (task.toMm - task.fromMm)) / habits.flawMm, random)
    for (let n = 0; n < bad; n++) {
      const atMm = task.fromMm + random.uniform() * (task.toMm - task.fromMm)
      if (task.depth === 'cap') seen ??= { stage: 'face', task, atMm }
      else if (task.depth === 'root' && plan.rootSeen) seen ??= { stage: 'root', task, atMm }
      else if (!random.chance(habits.groundOut)) buried.push({ stage: 'bend', task, atMm })
    }
  }
  return seen ?? bent(plan, buried, habits, random)
}

/**
 * The strips are cut and bent: a face bend stretches the half toward the face, a root bend the other, a side bend
 * both.
 */
function bent({ strips }: TestPlan, buried: readonly Failure[], { opens }: TestHabits, random: Random): Failure | null {
  for (const { bend, fromMm, toMm } of strips) {
    for (const flaw of buried) {
      const stretched = bend === 'side' || (bend === 'face') === flaw.task.faceHalf
      if (stretched && flaw.atMm >= fromMm && flaw.atMm <= toMm && random.chance(opens)) return flaw
    }
  }
  return null
}

/** Knuth's way, for small means. */
function poisson(mean: number, random: Random): number {
  const least = Math.exp(-mean)
  let count = 0
  for (let product = random.uniform(); product > least; product *= random.uniform()) count += 1
  return count
}
