import type { CouponDocument } from '../coupon'
import { evidenceOf, gradeCoupon, type ElementId } from '../grading'
import type { HouseRules } from '../house'
import { logistic, logit, type LogisticRow } from '../statistics'
import { alike } from './alikeTries'
import { triedOf } from './triedOf'

/** A coupon that two people read, the second without knowing what the first had marked; each by the account. */
export interface CouponReadTwice {
  readonly readers: readonly [string, string]
  readonly documents: readonly [CouponDocument, CouponDocument]
}

/** One element of a coupon as two people read it: tries or their like, and what each found sound of them. */
export interface ReadTwice {
  readonly element: ElementId
  readonly readers: readonly [string, string]
  readonly tried: number
  readonly sound: readonly [number, number]
}

/** What two readings of a coupon found, element by element, where both judged the same tries. */
export function readTwice({ readers, documents }: CouponReadTwice, rules: HouseRules): ReadTwice[] {
  const [one, other] = documents.map(document => {
    const { hand, travel } = document.ticket
    const run = { couponId: '', classDay: document.classDay, hand, usualHand: hand, travel, mock: false }
    return evidenceOf(document, gradeCoupon(document, rules), rules).flatMap(row => triedOf(row, run))
  }) as [ReturnType<typeof triedOf>, ReturnType<typeof triedOf>]
  return one.flatMap(row => {
    const same = other.find(({ element, tried }) => element === row.element && tried === row.tried)
    return same ? [{ element: row.element, readers, tried: row.tried, sound: [row.sound, same.sound] as const }] : []
  })
}

/**
 * What second readings say of how far apart readers are, as rows of a logistic fit whose columns are the readers: for
 * each two of them the difference of their logits over all that both read, and how much it weighs. Two readings of one
 * piece of steel go together: their difference strays half as far, in squares, as that of separate work. Common
 * practice.
 * @param rows of one element
 * @param readers in the order of the columns
 * @example apartRows([{ element: 'toes', readers: ['a', 'b'], tried: 10, sound: [5, 9] }], ['a', 'b'])[0].x // [1, -1]
 */
export function apartRows(rows: readonly ReadTwice[], readers: readonly string[]): LogisticRow[] {
  const pairs = new Map<string, { of: readonly [string, string]; tried: number; sound: [number, number] }>()
  for (const { readers: of, tried, sound } of rows) {
    const key = of.join('\n')
    const sum = pairs.get(key) ?? { of, tried: 0, sound: [0, 0] }
    const share = alike(tried)
    sum.tried += share * tried
    for (const n of [0, 1] as const) sum.sound[n] += share * sound[n]
    pairs.set(key, sum)
  }
  return [...pairs.values()].map(({ of, tried, sound }) => {
    const [p, q] = sound.map(found => (found + 0.5) / (tried + 1)) as [number, number]
    const apart = logit(p) - logit(q)
    // A row weighs what its tries would where the chance is that of the difference.
    const weight = ((tried + 1) * 2) / (1 / (p * (1 - p)) + 1 / (q * (1 - q)))
    const chance = logistic(apart)
    const tries = weight / (chance * (1 - chance))
    return {
      x: readers.map(reader => (reader === of[0] ? 1 : 0) - (reader === of[1] ? 1 : 0)),
      tried: tries,
      sound: tries * chance,
    }
  })
}
