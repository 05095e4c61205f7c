import highsLoader from 'highs'
import { bestPlan, GAP, greedyPlan, planScore, shortOfBest, type PlannedCoupon } from '../../core/dayPlan'
import { madeUpDay } from '../../core/dayPlan/example'
import { solverOf } from '../../core/integerProgram/highs'
import { mean, seededRandom } from '../../core/statistics'
import { timed } from './timed'

/** As long as the plan of a page looks, s. */
const MOST_SECONDS = 20
const SIZES = [12, 24, 48]
const SEEDS = [1, 2, 3]

const solve = solverOf(await highsLoader(), { time_limit: MOST_SECONDS, mip_rel_gap: 0, mip_abs_gap: GAP })

for (const size of SIZES) {
  const found: Record<'worth' | 'short' | 'handMs' | 'bestMs' | 'againMs', number>[] = []
  for (const seed of SEEDS) {
    const wanted = madeUpDay(size, seededRandom(seed))
    let hand: readonly PlannedCoupon[] = []
    const handMs = await timed(() => (hand = greedyPlan(wanted)))
    let best = bestPlan(wanted, [], () => null)
    const bestMs = await timed(() => (best = bestPlan(wanted, [], solve)))
    const without = { ...wanted, students: wanted.students.slice(1) }
    const againMs = await timed(() => bestPlan(without, best.lines, solve))
    found.push({
      worth: planScore(wanted, best.lines) / planScore(wanted, hand),
      short: shortOfBest(wanted, best) ?? 1,
      handMs,
      bestMs,
      againMs,
    })
  }
  const of = (what: 'worth' | 'short' | 'handMs' | 'bestMs' | 'againMs') => mean(found.map(one => one[what]))
  const seconds = (what: 'handMs' | 'bestMs' | 'againMs') => (of(what) / 1000).toFixed(2)
  const worth = `${(100 * (of('worth') - 1)).toFixed(2)} % over one planned by hand, at most ${(100 * of('short')).toFixed(1)} %`
  console.log(
    `a day of ${size}: ${worth} under the best; ${seconds('bestMs')} s (by hand ${seconds('handMs')} s),` +
      ` one missing ${seconds('againMs')} s`,
  )
}
