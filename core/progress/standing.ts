import type { ElementId } from '../grading'
import type { LogisticBelief } from '../statistics'
import { LIES, type Lie, type Trial } from './trials'
import { fitSchoolCurve, startingCurve, type SchoolCurve, type When } from './schoolCurve'
import type { ReadTwice } from './readTwice'
import { SKILL_ELEMENTS } from './skillElements'
import { recentWrong, type Wrong } from './wrong'
import { MOCK_COUNTS, skillFrom, skillRate, type Skill } from './skill'

/** The school's curves, by element. */
export type SchoolCurves = Readonly<Partial<Record<ElementId, SchoolCurve>>>

/**
 * Where one student stands: what is believed of each element, and how much was practised. All that predictions are
 * made from.
 */
export interface Standing {
  readonly beliefs: Readonly<Partial<Record<ElementId, { readonly belief: LogisticBelief; readonly coupons: number }>>>
  readonly coupons: number
  readonly here: Readonly<Record<Lie, number>>
  /** Last class day, days since 1970 began; null before the first. */
  readonly lastDay: number | null
  /**
   * How much better the work is than three weeks before, as the mean change of the rates where the last coupon was
   * run.
   */
  readonly improved: number
  /** What was not sound of late, and how much of it a test would have rejected. */
  readonly wrong: Wrong
}

const THREE_WEEKS = 21

/**
 * Where a student stands after some practice. Days count back from the last class, so that a holiday does not wear
 * the evidence down: rest is in the school's curve.
 * @param rows of one student, oldest first
 * @example standingOf({}, [], 60).coupons // 0
 */
export function standingOf(curves: SchoolCurves, rows: readonly Trial[], halfLifeDays: number): Standing {
  const last = rows.at(-1)
  const here = Object.fromEntries(
    LIES.map(lie => [lie, new Set(rows.filter(row => row.lie === lie).map(row => row.couponId)).size]),
  ) as Record<Lie, number>
  const skills = skillsFrom(curves, rows, last?.day ?? 0, halfLifeDays)
  const standing = {
    beliefs: Object.fromEntries([...skills].map(([element, { belief, coupons }]) => [element, { belief, coupons }])),
    coupons: new Set(rows.map(row => row.couponId)).size,
    here,
    lastDay: last?.day ?? null,
    wrong: recentWrong(rows, last?.day ?? 0, halfLifeDays, MOCK_COUNTS),
  }
  return { ...standing, improved: last ? improvement(curves, skills, rows, last, halfLifeDays) : 0 }
}

function skillsFrom(
  curves: SchoolCurves,
  rows: readonly Trial[],
  today: number,
  halfLifeDays: number,
): Map<ElementId, Skill> {
  const byElement = new Map<ElementId, Trial[]>(SKILL_ELEMENTS.map(element => [element, []]))
  for (const row of rows) byElement.get(row.element)?.push(row)
  return new Map(
    [...byElement]
      .filter(([, own]) => own.length > 0)
      .map(([element, own]) => [element, skillFrom(curveOf(curves, element), own, today, halfLifeDays)]),
  )
}

/** The school's curve of an element, or the one a school starts with. */
export const curveOf = (curves: SchoolCurves, element: ElementId): SchoolCurve =>
  curves[element] ?? startingCurve(element)

function improvement(
  curves: SchoolCurves,
  now: ReadonlyMap<ElementId, Skill>,
  rows: readonly Trial[],
  last: Trial,
  halfLifeDays: number,
): number {
  const past = rows.filter(row => row.day <= last.day - THREE_WEEKS)
  const then = past.at(-1)
  if (!then) return 0
  const before = skillsFrom(curves, past, then.day, halfLifeDays)
  const changes = [...before].flatMap(([element, skill]) => {
    const current = now.get(element)
    const cell = { ...last, element }
    return current
      ? [
          skillRate(current, cell, last).rate -
            skillRate(skill, cell, {
              ...then,
              beforeHere: past.filter(row => row.lie === last.lie && row.element === element).length,
            }).rate,
        ]
      : []
  })
  return changes.length === 0 ? 0 : changes.reduce((sum, change) => sum + change, 0) / changes.length
}

/** A student's skill at an element as predictions want it; what the school knows where nothing was tried. */
export function skillOf({ beliefs }: Standing, curves: SchoolCurves, element: ElementId): Skill {
  const curve = curveOf(curves, element)
  const own = beliefs[element]
  return own ? { curve, ...own } : skillFrom(curve, [], 0, 1)
}

/** What will have been practised when a student welds again on a day. @param today days since 1970 began */
export const whenNext = ({ coupons, here, lastDay }: Standing, lie: Lie, today: number): When => ({
  before: coupons,
  beforeHere: here[lie],
  restDays: lastDay === null ? 0 : Math.max(0, today - lastDay),
})

/**
 * The curves of all elements that a school shares, by element.
 * @param twice what two people read, the second blind
 */
export const fitCurves = (students: readonly (readonly Trial[])[], twice: readonly ReadTwice[] = []): SchoolCurves =>
  Object.fromEntries(SKILL_ELEMENTS.map(element => [element, fitSchoolCurve(element, students, twice)]))
