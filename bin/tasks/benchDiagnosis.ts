import { DEFAULT_HOUSE_RULES as rules } from '../../core/house'
import { diagnose, questionFor, type ReaderScore } from '../../core/diagnosis'
import { drawTechnique, weldWith } from '../../core/simulate'
import { quantile, seededRandom } from '../../core/statistics'
import { CAUSE_WORLDS, causesTrial, knownTrial } from '../../demo/causesTrial'
import { ms, timed } from './timed'

/**
 * Causes inferred from coupons whose technique is known, in several kinds of work: hits, Brier score and reliability,
 * by the marks alone and with what the student said, beside naive Bayes; and how often the advised change helps.
 */
const COUPONS = 1500
/** Fewer by the reader that knows the law: it weighs many techniques for each. */
const KNOWN = { coupons: 500, techniques: 4000 } as const
/** A seed on which nothing was fitted. */
const SEED = 7

const percent = (share: number) => `${(100 * share).toFixed(1)} %`
const hits = ({ topOne, oneOfTwo, brier }: ReaderScore) =>
  `top one ${percent(topOne)}, one of two ${percent(oneOfTwo)}, Brier ${brier.toFixed(3)}`

for (const world of CAUSE_WORLDS) {
  const { marks, told, naive, advised, helped, commonest } = causesTrial(world, SEED, COUPONS)
  console.log(`causes, ${world.name}: by the marks ${hits(marks)}`)
  if (world.canBeKnown)
    console.log(`  whoever knew the law ${hits(knownTrial(world, SEED, KNOWN.coupons, KNOWN.techniques))}`)
  console.log(`  with what was told ${hits(told)}; naive Bayes ${hits(naive)}`)
  console.log(
    `  reliability by tenths, said/came: ${told.tenths
      .filter(row => row.count >= 20)
      .map(row => `${Math.round(100 * row.said)}/${Math.round(100 * row.came)}`)
      .join('  ')} %`,
  )
  console.log(
    `  advised on ${percent(advised)}: helps ${percent(helped)} (aim 90 %); always the commonest cause ${percent(commonest)}`,
  )
}

const random = seededRandom(SEED)
const coupons = Array.from({ length: 400 }, () => weldWith(drawTechnique(random), rules, random))
const taken: number[] = []
for (const document of coupons) taken.push(await timed(() => questionFor(document, rules, diagnose(document, rules))))
console.log(
  `reading a coupon with its question: p50 ${ms(quantile(taken.slice(50), 0.5))}, p95 ${ms(quantile(taken.slice(50), 0.95))} (aim: under 10 ms)`,
)
