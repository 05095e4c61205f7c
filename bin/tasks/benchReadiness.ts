import { tryAdvice } from '../../demo/adviceTrial'
import { scoreForecasts, tryForecasts } from '../../demo/forecastTrial'
import { PACE_WORLDS, tryPace } from '../../demo/paceTrial'
import { scoreOf, tryReadiness } from '../../demo/readinessTrial'
import { WORLDS } from '../../demo/worlds'

/**
 * What is said of tests beside what comes of them, in the made-up school and in three worlds that share nothing with
 * the model: before a school has recorded a test, and after forty.
 */
const SEEDS = [11, 12, 13]
/** Enough that the share which passes is the true chance to 4 of 100. */
const TESTS = 150
const AIMS =
  'aims: half way before, two thirds after; mean within 0.03, pieces 0.07; slope 0.85 to 1.15; held 0.85 to 0.95'

console.log(`odds of tests, whole schools, ${TESTS} tests a pair (${AIMS})`)
for (const world of WORLDS) {
  const pairs = SEEDS.flatMap(seed =>
    tryReadiness({ world, seed, tests: TESTS, attempts: 1000, recorded: 40, times: 4 }),
  )
  console.log(`  ${world.name}, ${pairs.length} pairs:`)
  for (const when of ['before', 'after'] as const) {
    const score = scoreOf(pairs, when, TESTS)
    const figures = [
      `Brier ${score.brier.toFixed(4)}`,
      `average ${score.brierOfAverage.toFixed(4)}`,
      `truth ${score.brierOfTruth.toFixed(4)}`,
      `way ${score.way.toFixed(2)}`,
      `said ${score.said.toFixed(3)} of ${score.truth.toFixed(3)}`,
      `worst piece ${score.worstPiece.toFixed(2)}`,
      `slope ${score.slope.toFixed(2)}`,
      `held ${score.held.toFixed(2)}`,
    ]
    console.log(`    ${when} forty tests: ${figures.join(', ')}`)
  }
}

console.log('coupons until tests go well 6 times of 10, said and taken')
for (const world of WORLDS) {
  const asked = { world, students: 24, target: 0.6, tests: 60, attempts: 1500 }
  const { pairs, held, sooner, later } = scoreForecasts(SEEDS.flatMap(seed => tryForecasts({ ...asked, seed })))
  const shares = `held ${held.toFixed(2)}, sooner ${sooner.toFixed(2)}, later ${later.toFixed(2)}`
  console.log(`  ${world.name}, ${pairs} pairs: ${shares} (aim: held 0.75 or more)`)
}

console.log('classes and hours until so many coupons, said and taken (aim: held 0.75 or more)')
for (const world of PACE_WORLDS) {
  const { students, ...score } = tryPace(world, SEEDS[0]!, 100)
  const figures = Object.entries(score).map(([name, share]) => `${name} ${share.toFixed(2)}`)
  console.log(`  ${world.name}, ${students} students: ${figures.join(', ')}`)
}

const gains = tryAdvice({ world: WORLDS[0]!, seed: 11, students: 36, coupons: 12, tests: 60 })
const points = Object.entries(gains).map(([choice, gain]) => `${choice} ${(100 * gain).toFixed(1)}`)
console.log(`what twelve coupons of the next rung are worth, tests of 100 more that pass: ${points.join(', ')}`)
