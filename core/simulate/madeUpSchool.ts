import type { Tried } from '../progress'
import { drawLearner, errorAfter, type Learner } from './learner'
import type { Random } from '../statistics'
import { DIFFICULTY } from './weldCoupon'

/** How a made-up student learns: by a power law, or hardly at all until something clicks. */
export type LearningLaw = 'power' | 'steps'

export interface CohortPlan {
  readonly students: number
  readonly coupons: number
  readonly law: LearningLaw
  /** The days of a holiday half way through, after which some of it is gone. */
  readonly breakDays: number
}

const LIES = ['1G', '2G', '3G', '4G'] as const
const COUPONS_A_DAY = 3
const FIRST_DAY = 20_000

/**
 * The restarts of a class that learns by a law of its own, coupon by coupon: what a prediction is held against. It
 * shares nothing with the model of skill.
 * @returns a list a student, oldest first
 */
export function drawCohort({ students, coupons, law, breakDays }: CohortPlan, random: Random): Tried[][] {
  return Array.from({ length: students }, (_, student) => {
    const learner = drawLearner(random, random.chance(0.15) ? 'avoids restarts' : null)
    const clicks = LIES.map(
      () => [2 + Math.floor(8 * random.uniform()), 10 + Math.floor(10 * random.uniform())] as const,
    )
    const half = Math.floor(coupons / 2)
    const here = [0, 0, 0, 0]
    let rung = 0
    return Array.from({ length: coupons }, (_, n): Tried => {
      if (rung < 3 && here[rung]! > 10 + 8 * random.uniform()) rung += 1
      const at = rung > 0 && random.chance(0.15) ? Math.floor(random.uniform() * rung) : rung
      const forgotten = breakDays > 0 && n >= half ? 0.5 * Math.exp(-(n - half) / 4) : 0
      const error = errorBy(law, learner, here[at]!, at, clicks[at]!) * (1 + forgotten) * (1 + 0.2 * random.normal())
      here[at]! += 1
      const tried = 1 + Math.floor(7 * random.uniform())
      const poor = Math.min(0.9, Math.max(0.02, 0.62 * error))
      const sound = Array.from({ length: tried }).filter(() => !random.chance(poor)).length
      const day = FIRST_DAY + 2 * Math.floor(n / COUPONS_A_DAY) + (n >= half ? breakDays : 0)
      return {
        couponId: `${student}-${n}`,
        day,
        element: 'restart',
        lie: LIES[at]!,
        work: 'plate',
        rodFamily: 'low hydrogen',
        otherHand: false,
        otherWay: false,
        tried,
        sound,
        mock: false,
      }
    })
  })
}

function errorBy(
  law: LearningLaw,
  learner: Learner,
  coupons: number,
  lie: number,
  [first, second]: readonly [number, number],
): number {
  const difficulty = DIFFICULTY[LIES[lie]!]
  if (law === 'power') return errorAfter(learner, 'restart', coupons, difficulty)
  const start = learner.start.restart * difficulty
  return coupons < first ? start : coupons < second ? (start + learner.floor.restart) / 2 : learner.floor.restart
}
