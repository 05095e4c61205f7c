import { DEFAULT_HOUSE_RULES as rules } from '../../core/house'
import {
  CAUSES,
  posterior,
  priorsFor,
  questionFor,
  readerScore,
  diagnose,
  signsOf,
  SIGNS,
  type CauseId,
} from '../../core/diagnosis'
import { COMMONEST, drawTechnique, weldWith } from '../../core/simulate'
import { seededRandom, quantile } from '../../core/statistics'
import { ms, timed } from './timed'

/**
 * Causes inferred from coupons whose technique is known: hits, Brier score and reliability, beside two simpler
 * readers of the same signs.
 */
const COUPONS = 3000

type Reader = (document: ReturnType<typeof weldWith>) => readonly number[]
const SHOWN = new Map(
  SIGNS.map(sign => [sign.id, { leak: sign.leak, shows: CAUSES.map(cause => cause.shows[sign.id] ?? 0) }]),
)

/** One cause at a time, signs taken as independent, with the same chances. */
const naiveBayes: Reader = document => {
  const { signs, absent } = signsOf(document, rules)
  const logs = priorsFor(document, rules).map((prior, cause) => {
    const chance = (id: (typeof SIGNS)[number]['id']) =>
      1 - (1 - SHOWN.get(id)!.leak) * (1 - SHOWN.get(id)!.shows[cause]!)
    return (
      Math.log(prior) +
      signs.reduce((sum, sign) => sum + Math.log(chance(sign.id)), 0) +
      absent.reduce((sum, id) => sum + Math.log(1 - chance(id)), 0)
    )
  })
  const most = Math.max(...logs)
  const shares = logs.map(log => Math.exp(log - most))
  const total = shares.reduce((sum, share) => sum + share, 0)
  return shares.map(share => share / total)
}
const network: Reader = document => {
  const seen = signsOf(document, rules)
  const markIds = seen.signs.flatMap(sign => sign.markIds)
  return posterior(priorsFor(document, rules, undefined, markIds), seen).odds
}
const commonest: Reader = () => CAUSES.map(cause => (cause.id === COMMONEST ? 0.14 : cause.prior))

/** A seed on which nothing was fitted. */
const random = seededRandom(7)
const cases = Array.from({ length: COUPONS }, () => {
  const technique = drawTechnique(random)
  const truth = Object.entries(technique)
    .sort(([, a], [, b]) => b - a)
    .map(([id]) => id as CauseId)
  return { truth, document: weldWith(technique, rules, random) }
})

for (const [name, reader] of [
  ['the network', network],
  ['naive Bayes', naiveBayes],
  ['the commonest cause', commonest],
] as const) {
  const score = readerScore(cases.map(({ truth, document }) => ({ odds: reader(document), truth })))
  const percent = (share: number) => `${(100 * share).toFixed(1)} %`
  console.log(
    `causes by ${name}: top one right ${percent(score.topOne)}, one of two ${percent(score.oneOfTwo)}, ` +
      `Brier ${score.brier.toFixed(3)} a coupon`,
  )
  if (name === 'the network')
    console.log(
      `  reliability by tenths, said/came: ${score.tenths
        .filter(row => row.count >= 20)
        .map(row => `${Math.round(100 * row.said)}/${Math.round(100 * row.came)}`)
        .join('  ')} %`,
    )
}
const taken: number[] = []
for (const { document } of cases.slice(0, 400))
  taken.push(await timed(() => questionFor(document, rules, diagnose(document, rules))))
console.log(
  `reading a coupon with its question: p50 ${ms(quantile(taken.slice(50), 0.5))}, p95 ${ms(quantile(taken.slice(50), 0.95))} (aim: under 10 ms)`,
)
