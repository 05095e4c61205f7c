import type { CouponDocument } from '../coupon'
import type { HouseRules } from '../house'
import { currentWindow } from '../setup'
import { runAs } from '../trade'
import { CAUSES, type Cause } from './causes'
import { signsOf, type Sign } from './signs'

export interface RankedCause {
  readonly cause: Cause
  /** Share of belief, 0 to 1; all causes together make 1. */
  readonly share: number
  readonly markIds: readonly string[]
}

export interface Reading {
  readonly signs: readonly Sign[]
  /** Causes that something seen speaks for, likeliest first; empty when nothing was seen. */
  readonly causes: readonly RankedCause[]
  /** True when the first cause stands clear of the second. */
  readonly clear: boolean
  /** The one change for the next run, in one sentence. */
  readonly nextRun: string
}

/** The first cause stands clear when it is at least this many times the second. Common practice. */
const CLEAR = 1.5

/**
 * Reads a coupon: ranks causes by prior odds times the likelihood ratio of each sign seen, tempered by how much of the coupon
 * shows it (a naive Bayes rule over the data in `CAUSES`; shares are of belief among the causes kept, not measured frequencies).
 * @example readCoupon(soundCoupon, rules).nextRun // 'Same again: hold these settings'
 */
export function readCoupon(document: CouponDocument, rules: HouseRules): Reading {
  const signs = signsOf(document, rules)
  if (signs.length === 0) return { signs, causes: [], clear: true, nextRun: 'Same again: hold these settings' }
  const weights = CAUSES.map(cause => ({
    cause,
    weight: signs.reduce((odds, sign) => odds * (cause.speaks[sign.id] ?? 1) ** sign.strength, cause.prior),
    marks: signs.filter(sign => (cause.speaks[sign.id] ?? 1) > 1),
  }))
  const total = weights.reduce((sum, row) => sum + row.weight, 0)
  const causes = weights
    .filter(row => row.marks.length > 0)
    .map(row => ({ cause: row.cause, share: row.weight / total, markIds: [...new Set(row.marks.flatMap(sign => sign.markIds))] }))
    .sort((a, b) => b.share - a.share)
  const [first, second] = causes
  if (!first) return { signs, causes, clear: false, nextRun: 'Same settings; watch the puddle and run one more' }
  return { signs, causes, clear: first.share >= CLEAR * (second?.share ?? 0), nextRun: changeFor(first.cause, document, rules) }
}

function changeFor(cause: Cause, document: CouponDocument, rules: HouseRules): string {
  const { ticket } = document
  if (cause.id !== 'current high' && cause.id !== 'current low') return `${cause.change}. Then ${cause.drill}.`
  const { lowA, highA } = currentWindow(ticket.classification, ticket.diameterMm, runAs(ticket.position), rules)
  const up = cause.id === 'current low'
  const next = Math.min(Math.max(ticket.currentA + (up ? 5 : -5), lowA), highA)
  const sensible = up ? next > ticket.currentA : next < ticket.currentA
  return `${up ? 'Up' : 'Down'} to ${sensible ? next : ticket.currentA + (up ? 5 : -5)} A. Then ${cause.drill}.`
}
