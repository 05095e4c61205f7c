import { wantedOf, type PlanCase, type PlannedCoupon } from './planCase'

/**
 * What counts in a plan, in the unit of a coupon's worth. Our own weights: everybody welds something before anybody
 * welds more, and has a fair share of the class at the arc before another has all of it; between plans alike, in one's
 * own booth and sooner.
 */
export const EVERYBODY = 4
export const FAIR_SHARE = 2
/** The part of a class that is a fair share of it for a student: the rest is setting up, waiting and cleaning. */
const FAIR = 0.6
const OWN_BOOTH = 0.02
/** Each booth that a student sets up in is time lost: no student is sent from one to the next without need. */
export const SETTING_UP = 0.15
const SOONER = 0.001
/** A plan that stands is changed only for more than a whole class could gain; a line that a person put, last of all. */
const KEPT = 400
const PINNED = 4000

/**
 * What a line adds to a plan's score, regardless of the other lines.
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

/** Whether two lines are of the same coupon at the same time, in any booth. */
export const isSameTime = (one: PlannedCoupon, other: PlannedCoupon): boolean =>
  one.studentId === other.studentId && one.rungId === other.rungId && one.nth === other.nth && one.from === other.from

export const isSameLine = (one: PlannedCoupon, other: PlannedCoupon): boolean =>
  isSameTime(one, other) && one.booth === other.booth

/** The minutes that each student of a plan welds, from setting up to the last bead brushed. */
export function minutesWelded(lines: readonly PlannedCoupon[]): ReadonlyMap<string, number> {
  const welded = new Map<string, number>()
  for (const { studentId, minutes } of lines) welded.set(studentId, (welded.get(studentId) ?? 0) + minutes)
  return welded
}

/** The minutes of a class that are a fair share of it: short of them, each minute counts for more. */
export const fairMinutes = ({ minutes }: Pick<PlanCase, 'minutes'>): number => FAIR * minutes

/** How good a plan is, beside others of the same day. */
export function planScore(
  wanted: PlanCase,
  lines: readonly PlannedCoupon[],
  before: readonly PlannedCoupon[] = [],
): number {
  const fair = fairMinutes(wanted)
  const shares = [...minutesWelded(lines).values()].map(minutes => EVERYBODY + FAIR_SHARE * Math.min(1, minutes / fair))
  const setUps = new Set(lines.map(line => `${line.studentId} ${line.booth}`)).size
  const scores = lines.map(line => lineScore(wanted, line, before))
  return [...shares, ...scores].reduce((sum, score) => sum + score, 0) - SETTING_UP * setUps
}

/** How many lines of a plan another changed: moved, or taken out though their student is there. */
export const movedLines = (
  { students }: Pick<PlanCase, 'students'>,
  before: readonly PlannedCoupon[],
  after: readonly PlannedCoupon[],
): number =>
  before.filter(line => students.some(one => one.id === line.studentId) && !after.some(one => isSameLine(line, one)))
    .length
