import { boothLacks } from '../floor'
import { pieceOf } from '../trade'
import { overlaps, stepsOf, piecesThere, wantedOf, type PlanCase, type PlannedCoupon } from './planCase'
import { piecesTaken, rodsTaken } from './planUse'
import { readIn, readingsInStep, readingsOf } from './readings'

/** Something in a plan that cannot be, and the lines that it is about; none where it is about the whole day. */
export interface PlanConflict {
  readonly lines: readonly number[]
  readonly says: string
}

/**
 * What of a plan cannot be, in words; empty where all of it can.
 * @param nameOf a student's name
 * @param clock the time on the wall, by minutes since the class began
 */
export function planConflicts(
  wanted: PlanCase,
  lines: readonly PlannedCoupon[],
  nameOf: (studentId: string) => string,
  clock: (minutes: number) => string,
): PlanConflict[] {
  return [
    ...lines.flatMap((line, n) => faultsOfLine(wanted, line, nameOf).map(says => ({ lines: [n], says }))),
    ...ofPairs(lines, nameOf),
    ...ofReading(wanted, lines, clock),
    ...ofStore(wanted, lines),
  ]
}

/** What is wrong with a line by itself, the other lines left out. */
export function faultsOfLine(wanted: PlanCase, line: PlannedCoupon, nameOf: (id: string) => string): string[] {
  const coupon = wantedOf(wanted, line)
  const name = nameOf(line.studentId)
  if (!wanted.students.some(student => student.id === line.studentId)) return [`${name} is not here`]
  if (!coupon) return [`${name} has nothing open on that rung`]
  const booth = wanted.booths.find(one => one.booth === line.booth)
  const lacks = booth ? boothLacks(booth.means, coupon.need) : 'is not in use'
  const ends = (line.from + line.minutes) / wanted.terms.stepMinutes
  return [
    ...(lacks === '' ? [] : [`Booth ${line.booth} ${lacks}`]),
    ...(line.minutes < coupon.minutes ? [`${coupon.name} takes ${coupon.minutes} min`] : []),
    ...wanted.terms.shown.filter(shown => overlaps(shown, line)).map(({ topic }) => `${name} misses “${topic}”`),
    ...(line.from < 0 || readIn(wanted, Math.ceil(ends)) === null || ends > stepsOf(wanted)
      ? [`${name}: no time is left to read it`]
      : []),
  ]
}

/** Two lines at one time: in one booth, or of one student; and one coupon planned twice. */
function ofPairs(lines: readonly PlannedCoupon[], nameOf: (id: string) => string): PlanConflict[] {
  return lines.flatMap((one, n) =>
    lines.slice(n + 1).flatMap((other, m): PlanConflict[] => {
      const both = [n, n + 1 + m]
      const alike = one.studentId === other.studentId
      if (alike && one.rungId === other.rungId && one.nth === other.nth)
        return [{ lines: both, says: `${nameOf(one.studentId)} has the same coupon twice` }]
      if (!overlaps(one, other)) return []
      return [
        ...(one.booth === other.booth ? [{ lines: both, says: `Booth ${one.booth} has two at once` }] : []),
        ...(alike ? [{ lines: both, says: `${nameOf(one.studentId)} is in two places at once` }] : []),
      ]
    }),
  )
}

function ofReading(
  wanted: PlanCase,
  lines: readonly PlannedCoupon[],
  clock: (minutes: number) => string,
): PlanConflict[] {
  const most = readingsInStep(wanted.terms)
  return readingsOf(wanted, lines).flatMap((count, step) =>
    count > most
      ? [{ lines: [], says: `${count} to read at ${clock(step * wanted.terms.stepMinutes)}, and time for ${most}` }]
      : [],
  )
}

function ofStore(wanted: PlanCase, lines: readonly PlannedCoupon[]): PlanConflict[] {
  const short = (what: string, count: number, there: number) =>
    count > there ? [{ lines: [], says: `${what}: ${count} wanted, ${there} there` }] : []
  return [
    ...[...rodsTaken(wanted, lines)].flatMap(([kind, count]) => short(kind, count, wanted.rods[kind] ?? Infinity)),
    ...[...piecesTaken(wanted, lines)].flatMap(([kind, count]) =>
      short(pieceOf(kind).name, count, piecesThere(wanted.terms, kind)),
    ),
  ]
}
