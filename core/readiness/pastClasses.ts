import type { ClassDay } from '../calendar'
import type { Work } from '../trade'
import type { PastClass } from './pace'

/** What is known of one student's days. */
export interface DaysKnown {
  /** Days on which the student was there, and for how long. */
  readonly there: readonly { readonly day: ClassDay; readonly minutes: number }[]
  /** Coupons that were run, by day and kind of work. */
  readonly runs: readonly { readonly day: ClassDay; readonly work: Work; readonly coupons: number }[]
}

/**
 * The last classes of a section as one student spent them, oldest first, from the first that the student came to. What
 * was run on another day counts for the class before it, and the time of that day as well.
 * @param held days on which a class was held and is over, oldest first; a holiday is none
 * @param most classes that are looked at
 * @example pastClasses(['2026-10-05', '2026-10-07'], known, 8).length // 2: on Wednesday the student was missing
 */
export function pastClasses(held: readonly ClassDay[], { there, runs }: DaysKnown, most: number): PastClass[] {
  const first = [...there, ...runs].map(one => one.day).sort()[0]
  if (first === undefined) return []
  const began = held.findLastIndex(day => day <= first)
  return held
    .map((classDay, n): PastClass => {
      const isOf = ({ day }: { readonly day: ClassDay }) =>
        day >= classDay && (n === held.length - 1 || day < held[n + 1]!)
      const coupons: Partial<Record<Work, number>> = {}
      for (const run of runs.filter(isOf)) coupons[run.work] = (coupons[run.work] ?? 0) + run.coupons
      return { classDay, minutes: there.filter(isOf).reduce((sum, one) => sum + one.minutes, 0), coupons }
    })
    .slice(Math.max(0, began))
    .slice(-most)
}
