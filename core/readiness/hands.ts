import {
  drawSkill,
  SKILL_OFFSETS,
  skillOf,
  whenNext,
  type SchoolCurves,
  type SkillCell,
  type Standing,
  type When,
} from '../progress'
import { logistic, logit, type Random } from '../statistics'
import type { VisualSide } from '../welderTest'
import { bendOdds, isSeen, sideOf, steeper, stretchedIn, visualOdds, type Hand } from './attempt'
import { rejectedOf, restsOnOf, type TestHabits } from './habits'
import { shiftOf, STAGES, type Recalibration, type Shift, type Stage } from './recalibration'
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

/** Whose hands are drawn, at which piece, by what is known. */
export interface HandsWanted {
  readonly plan: TestPlan
  readonly candidate: Candidate
  readonly habits: TestHabits
  /** How tests of this school come out against what its coupons say. */
  readonly recalibration: Recalibration
}

/**
 * Learning levels off, in each hand at a place of its own that no evidence shows ahead: of what the curve promises,
 * something between this share and all of it comes. Chosen on two worlds of the trial: where all of it is counted on,
 * up to a third of the students take longer than is said at the latest.
 */
const LEAST_COMES = 0.3

/**
 * Odds of the stages of a test: nothing rejected on the face, nothing at the root, neither (one day spoils both
 * together), and then no strip open beyond the limit. 0 to 1; 1 where a piece has no such stage.
 */
export interface StageOdds extends Readonly<Record<Stage, number>> {
  readonly visual: number
}

/** A student whom the evidence allows, as a hand at a piece; and its odds before tests of the school moved them. */
export interface DrawnHand {
  readonly hand: Hand
  readonly byCoupons: StageOdds
}

type DrawnSkill = ReturnType<typeof drawSkill>

/** Draws students whom the evidence allows, as hands at this piece. */
export function handsOf({ plan, candidate, habits, recalibration }: HandsWanted): (random: Random) => DrawnHand {
  const elements = [...new Set(plan.tasks.map(task => task.cell.element))]
  const skills = elements.map(element => skillOf(candidate.standing, candidate.curves, element))
  const when = whenFor(plan, candidate)
  const now = whenFor(plan, { ...candidate, more: 0 })
  const place = plan.tasks.map(task => elements.indexOf(task.cell.element))
  const piece = { bookId: plan.bookId, pieceName: plan.piece.name }
  const [face, root, bends] = STAGES.map(stage => shiftOf(recalibration, stage, piece)) as [Shift, Shift, Shift]
  const sides = sidesSeen(plan)
  const runs = plan.tasks.filter(task => task.cell.element === 'run')
  /** What will be buried ahead of its time, of what is buried now. */
  const buriedThen = (drawn: readonly DrawnSkill[], comes: number): number => {
    if (candidate.more === 0 || runs.length === 0) return 1
    const skill = drawn[elements.indexOf('run')]!
    const unsound = (share: number) =>
      runs.reduce((sum, { cell, tries }) => sum + tries * (1 - logistic(ahead(skill, cell, share))), 0)
    return Math.min(1, unsound(comes) / unsound(0))
  }
  /** A skill ahead of its time, where this share comes of what the learning curve promises until then. */
  const ahead = (skill: DrawnSkill, cell: SkillCell, comes: number): number => {
    const today = skill(cell, now)
    return candidate.more === 0 ? today : today + comes * (skill(cell, when) - today)
  }
  return random => {
    const comes = candidate.more === 0 ? 0 : LEAST_COMES + (1 - LEAST_COMES) * random.uniform()
    // One set of draws for all elements: who is good at one thing is a little likelier to be good at another, and
    // gains are compared on the same students.
    const drawn = skills.map(skill =>
      drawSkill(
        skill,
        Array.from({ length: SKILL_OFFSETS }, () => random.normal()),
      ),
    )
    const shares = elements.map(element => {
      // A share that rests on a number of marks strays by about its root, and is right on average.
      const strays = 1 / Math.sqrt(1 + restsOnOf(habits, element))
      return rejectedOf(habits, element) * Math.exp(strays * random.normal() - strays ** 2 / 2)
    })
    const logits = Float64Array.from(plan.tasks, (task, n) => ahead(drawn[place[n]!]!, task.cell, comes))
    const rejects = Float64Array.from(plan.tasks, (_, n) => shares[place[n]!]!)
    const hand: Hand = { logits, rejects, opens: habits.opens * buriedThen(drawn, comes), day: habits.day }
    const byCoupons = stageOdds(plan, hand, sides)
    const moved = {
      face: sides.includes('face') ? shiftDrawn(face, random)(byCoupons.face) : 1,
      root: sides.includes('root') ? shiftDrawn(root, random)(byCoupons.root) : 1,
      bends: plan.strips.length === 0 ? 1 : shiftDrawn(bends, random)(byCoupons.bends),
    }
    return { hand: movedTo(plan, hand, sides, byCoupons, moved), byCoupons }
  }
}

/**
 * Odds as they are moved by a shift that is drawn. Over all draws, of the school's part and of the student's, what
 * was said stays what is said: they widen the interval alone.
 */
function shiftDrawn({ mean: middle, deviation, student }: Shift, random: Random): (odds: number) => number {
  const by = middle + Math.hypot(deviation, student) * random.normal()
  return odds => logistic(logit(odds) * steeper(Math.hypot(deviation, student)) + by)
}

/** Nothing is certain, nor hopeless: odds are held off nought and one, where no shift would move them. */
const MOST_CERTAIN = 0.995
const held = (odds: number) => Math.min(MOST_CERTAIN, Math.max(1 - MOST_CERTAIN, odds))

/** The sides on which anything of a piece is seen. */
const sidesSeen = (plan: TestPlan): VisualSide[] => [
  ...new Set(plan.tasks.filter(task => isSeen(plan, task)).map(sideOf)),
]

/** The odds of a hand at each stage, as its coupons say. */
const stageOdds = (plan: TestPlan, hand: Hand, sides: readonly VisualSide[]): StageOdds => ({
  face: sides.includes('face') ? held(visualOdds(plan, hand, 'face')) : 1,
  root: sides.includes('root') ? held(visualOdds(plan, hand, 'root')) : 1,
  visual: held(visualOdds(plan, hand)),
  bends: plan.strips.length === 0 ? 1 : held(bendOdds(plan.strips, hand.opens)),
})

/**
 * The hand with other odds at each stage: all that is rejected on a side by as much more or less, and each strip alike.
 * @param before its odds as they are
 */
function movedTo(
  plan: TestPlan,
  hand: Hand,
  sides: readonly VisualSide[],
  before: StageOdds,
  wanted: Readonly<Record<Stage, number>>,
): Hand {
  const by = (of: Hand, side: VisualSide, odds: number): Hand => {
    const times = Math.log(wanted[side]) / Math.log(odds)
    return {
      ...of,
      rejects: Float64Array.from(of.rejects, (share, n) => (sideOf(plan.tasks[n]!) === side ? share * times : share)),
    }
  }
  // On one day the logarithm of the odds goes with what is rejected; over days nearly so: a second step finds it.
  const seen = sides.reduce((of, side) => {
    const near = by(of, side, before[side])
    return by(near, side, held(visualOdds(plan, near, side)))
  }, hand)
  return { ...seen, opens: plan.strips.length === 0 ? 0 : -Math.log(wanted.bends) / stretchedIn(plan.strips) }
}

function whenFor(plan: TestPlan, { standing, today, more }: Candidate): When {
  const when = whenNext(standing, plan.tasks[0]!.cell.lie, today)
  return more === 0 ? when : { before: when.before + more, beforeHere: when.beforeHere + more, restDays: 0 }
}
