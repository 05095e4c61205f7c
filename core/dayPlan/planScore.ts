import { wantedOf, type PlanCase, type PlannedCoupon } from './planCase'

/**
 * What counts in a plan, in the unit of a coupon's worth. Our own weights: everybody welds something before anybody
 * welds more; between plans alike, in one's own booth and sooner.
 */
export const EVERYBODY = 4
const OWN_BOOTH = 0.02
/** Each booth that a student sets up in is time lost: no student is sent from one to the next without need. */
export const SETTING_UP = 0.15
const SOONER = 0.001
/** A plan that stands is changed only for more than a whole class could gain; a line that a person put, last of all. */
const KEPT = 400
const PINNED = 4000

/**
 * What a line adds to a plan's score, whatever else is in it.
 * @param before the plan that stood
 */
export function lineScore(wanted: PlanCase, line: PlannedCoupon, before: readonly PlannedCoupon[]): number {
  const own = wanted.students.find(student => student.id === line.studentId)?.booth === line.booth
  const stood = before.find(one => isSameLine(one, line))
  return (
    (wantedOf(wanted, line)?.worth ?? 0) +
    (own ? OWN_BOOTH : 0) +
    (stood ? (stood.pinned ? PINNED : KEPT) : 0) -
    (SOONER * line.from) / wanted.terms.stepMinutes
  )
}

export const isSameLine = (one: PlannedCoupon, other: PlannedCoupon): boolean =>
  one.studentId === other.studentId &&
  one.rungId === other.rungId &&
  one.nth === other.nth &&
  one.booth === other.booth &&
  one.from === other.from

/** How good a plan is, beside others of the same day. */
export function planScore(
  wanted: PlanCase,
  lines: readonly PlannedCoupon[],
  before: readonly PlannedCoupon[] = [],
): number {
  const welding = new Set(lines.map(line => line.studentId)).size
  const setUps = new Set(lines.map(line => `${line.studentId} ${line.booth}`)).size
  return (
    EVERYBODY * welding - SETTING_UP * setUps + lines.reduce((sum, line) => sum + lineScore(wanted, line, before), 0)
  )
}

/** How many lines of a plan another changed: moved, or taken out though their student is there. */
export const movedLines = (
  { students }: Pick<PlanCase, 'students'>,
  before: readonly PlannedCoupon[],
  after: readonly PlannedCoupon[],
): number =>
  before.filter(line => students.some(one => one.id === line.studentId) && !after.some(one => isSameLine(line, one)))
    .length
