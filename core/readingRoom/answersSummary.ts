import { binomialInterval, type Interval } from '../statistics'
import { knew, type BeadAnswer } from './schedule'
import type { BeadCardId } from './beadCards'

/** How a reader does in the reading room. */
export interface AnswersSummary {
  readonly shown: number
  /** Of the newest showings, how many there are and how many were named rightly. */
  readonly late: number
  readonly named: number
  /** Exact 95 % interval of the share named rightly of late; null before the first. */
  readonly rate: Interval | null
  /** What is most often taken for what; at least twice. */
  readonly mixedUp: { readonly card: BeadCardId; readonly takenFor: BeadCardId; readonly times: number } | null
}

/** How far back a rate looks. */
const OF_LATE = 40

/**
 * Sums up the answers, oldest first.
 * @example answersSummary([]).rate // null
 */
export function answersSummary(answers: readonly BeadAnswer[]): AnswersSummary {
  const late = answers.slice(-OF_LATE)
  const pairs = new Map<string, { card: BeadCardId; takenFor: BeadCardId; times: number }>()
  for (const { card, cause } of late.filter(answer => knew(answer) === 'neither')) {
    const pair = pairs.get(`${card} ${cause}`) ?? { card, takenFor: cause, times: 0 }
    pairs.set(`${card} ${cause}`, { ...pair, times: pair.times + 1 })
  }
  const worst = [...pairs.values()].sort((a, b) => b.times - a.times)[0]
  const named = late.filter(answer => knew(answer) !== 'neither').length
  return {
    shown: answers.length,
    late: late.length,
    named,
    rate: late.length > 0 ? binomialInterval(named, late.length) : null,
    mixedUp: worst && worst.times > 1 ? worst : null,
  }
}
