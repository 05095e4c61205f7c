import type { Random } from '../statistics'

/** What a hand has to learn. Each is an error that practice wears down; 1 is a beginner's, 0 none. */
export const KNACKS = ['strike', 'restart', 'crater', 'arc length', 'travel', 'angle', 'line', 'cleaning'] as const
export type Knack = (typeof KNACKS)[number]

export type Habit = 'long arc' | 'avoids restarts' | 'runs hot' | 'leans the rod' | 'hurries the ends' | null

/** A made-up student: how each error starts, how fast it wears down with coupons, and where it stays. */
export interface Learner {
  readonly habit: Habit
  readonly start: Readonly<Record<Knack, number>>
  readonly floor: Readonly<Record<Knack, number>>
  /** Exponent of the power law of practice (Newell and Rosenbloom 1981). */
  readonly rate: number
}

/** The skill that a habit holds back. */
const HELD_BACK: Readonly<Record<Exclude<Habit, null>, Knack>> = {
  'long arc': 'arc length',
  'avoids restarts': 'restart',
  'runs hot': 'travel',
  'leans the rod': 'angle',
  'hurries the ends': 'crater',
}

/** Draws a student. */
export function drawLearner(random: Random, habit: Habit): Learner {
  const start = {} as Record<Knack, number>
  const floor = {} as Record<Knack, number>
  const talent = 0.25 * random.normal()
  for (const skill of KNACKS) {
    start[skill] = clamp(0.85 - talent + 0.15 * random.normal(), 0.45, 1.3)
    floor[skill] = clamp(0.12 + 0.06 * random.normal(), 0.04, 0.3)
  }
  if (habit) {
    const held = HELD_BACK[habit]
    start[held] = 1.2
    floor[held] = 0.45
  }
  return { habit, start, floor, rate: clamp(0.45 + 0.15 * random.normal(), 0.15, 0.8) }
}

/**
 * A student's error in a skill after some coupons in a position: a power law of practice down to a floor.
 * @param coupons coupons welded in this position
 * @param difficulty 1 flat; more out of position
 * @returns 0 to about 1.5
 * @example errorAfter(learner, 'strike', 0, 1) === learner.start.strike // true
 */
export function errorAfter(learner: Learner, skill: Knack, coupons: number, difficulty: number): number {
  const { start, floor, rate } = learner
  return floor[skill] + (start[skill] * difficulty - floor[skill]) * (1 + coupons) ** -rate
}

function clamp(value: number, low: number, high: number): number {
  return Math.min(high, Math.max(low, value))
}
