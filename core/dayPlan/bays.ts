import { boothLacks } from '../floor'
import type { PlanCase } from './planCase'

/** Booths that are good for the same of today's coupons: which of them a coupon is run in makes no difference to it. */
export interface Bay {
  readonly booths: readonly number[]
}

/**
 * The bays of a day's booths: two booths are of one bay where each can do all that is wanted today and the other can.
 * @example baysOf(aDay(students, { booths: 4, stands: 1 })) // [{ booths: [1, 2, 3] }, { booths: [4] }]
 */
export function baysOf({ booths, students }: Pick<PlanCase, 'booths' | 'students'>): Bay[] {
  const needs = students.flatMap(student => student.coupons.map(coupon => coupon.need))
  const bays = new Map<string, number[]>()
  for (const { booth, means } of booths) {
    const able = needs.map(need => (boothLacks(means, need) === '' ? '1' : '0')).join('')
    bays.set(able, [...(bays.get(able) ?? []), booth])
  }
  return [...bays.values()].map(of => ({ booths: of }))
}

/** The bays of which each is one booth: where it matters in which booth a coupon is run. */
export const eachBooth = ({ booths }: Pick<PlanCase, 'booths'>): Bay[] =>
  booths.map(({ booth }) => ({ booths: [booth] }))
