import { climb, rungFinder, type ClimbCoupon, type RungState } from '../../core/ladder'
import { standingOf, withHistory, type SchoolCurves, type Standing } from '../../core/progress'
import type { Student } from '../../contract/people'
import type { Board, StudentProgress } from '../../contract/progress'
import type { RulesVersion } from '../../contract/record'
import { database, fromJson, rows, run } from './database'
import { currentRules } from './houseRules'
import { currentLadder, formerLadders } from './ladder'
import { pinsOf } from './pins'
import { curvesAreDue, keepCurves, schoolCurves, type FitCurves, type KeptCurves } from './schoolCurves'
import { signOffsOf } from './signOffs'
import { bendsOf } from './studentBends'
import { findStudent } from './students'
import { testsKnown } from './testOutcomes'
import { historiesOf, type History } from './trials'

/** What is kept of a student between two coupons. */
interface Kept {
  readonly standing: Standing
  readonly coupons: readonly ClimbCoupon[]
}

interface ProgressRow {
  student_id: string
  serial: number
  computed: number | null
  curves: number | null
  rules: number | null
  kept: unknown
}

/** What progress is computed by, beside a student's own coupons. */
interface Basis {
  readonly curves: KeptCurves
  readonly rules: RulesVersion
}

async function basisNow(): Promise<Basis> {
  const [curves, rules] = await Promise.all([schoolCurves(), currentRules()])
  return { curves, rules }
}

const isCurrent = (row: ProgressRow, { curves, rules }: Basis): boolean =>
  row.computed === row.serial && row.curves === curves.version && row.rules === rules.version

/** What is kept of each student; a student with new coupons, or computed by another basis, is computed first. */
async function keptOf(studentIds: readonly string[], basis: Basis): Promise<Map<string, Kept>> {
  if (studentIds.length === 0) return new Map()
  const found = await rows<ProgressRow>(
    database(),
    `SELECT student_id, serial, computed, curves, rules, kept FROM student_progress
    WHERE student_id IN (${studentIds.map(() => '?').join(', ')})`,
    studentIds,
  )
  const stale = found.filter(row => !isCurrent(row, basis))
  const computed = await computeAll(stale, basis)
  const nothing: Kept = {
    standing: standingOf(basis.curves.curves, [], basis.rules.rules.halfLifeDays),
    coupons: [],
  }
  const kept = new Map<string, Kept>(studentIds.map(id => [id, nothing]))
  for (const row of found) kept.set(row.student_id, computed.get(row.student_id) ?? fromJson<Kept>(row.kept))
  return kept
}

/** What is being computed, so that eighty who look at the same board at once wait for one reckoning, not eighty. */
const underWay = new Map<string, Promise<Kept>>()
/** The same serial by the same basis comes to the same: after a save it is asked for under another. */
const workOf = ({ student_id, serial }: ProgressRow, { curves, rules }: Basis) =>
  `${student_id} ${serial} ${curves.version} ${rules.version}`

/** Computes students anew, and keeps it; those that another server has begun are waited for. */
async function computeAll(stale: readonly ProgressRow[], basis: Basis): Promise<Map<string, Kept>> {
  const fresh = stale.filter(row => !underWay.has(workOf(row, basis)))
  const histories = fresh.length === 0 ? null : historiesOf(fresh.map(row => row.student_id))
  let last: Promise<unknown> = Promise.resolve()
  for (const row of fresh) {
    // One after the other, with the database between them: the server answers others meanwhile.
    const kept = last.then(async () => computeOne(row, (await histories!).get(row.student_id)!, basis))
    last = kept.catch(() => {})
    underWay.set(workOf(row, basis), kept)
    void last.then(() => underWay.delete(workOf(row, basis)))
  }
  const waited = stale.map(async row => [row.student_id, await underWay.get(workOf(row, basis))!] as const)
  return new Map(await Promise.all(waited))
}

/** All histories of those who are computed together come in one query. */
async function computeOne(
  { student_id, serial }: ProgressRow,
  { tried, coupons }: History,
  basis: Basis,
): Promise<Kept> {
  const { curves, version } = basis.curves
  const kept: Kept = { standing: standingOf(curves, withHistory(tried), basis.rules.rules.halfLifeDays), coupons }
  // A coupon saved meanwhile has raised the serial: what was computed here is then already old, and is not marked
  // as current.
  await run(
    database(),
    'UPDATE student_progress SET computed = ?, curves = ?, rules = ?, kept = ? WHERE student_id = ?',
    [serial, version, basis.rules.version, JSON.stringify(kept), student_id],
  )
  return kept
}

/**
 * Computes a student's progress after a save, so that no page waits for it later; has the school's curves fitted when
 * they are due.
 */
export async function refreshProgress(studentId: string, now: Date, fit: FitCurves): Promise<void> {
  if (await curvesAreDue(now)) await keepCurves(now, fit)
  await keptOf([studentId], await basisNow())
}

/** How strictly each of the school's readers reads is between them: a student's page goes without. */
const withoutReaders = (curves: SchoolCurves): SchoolCurves =>
  Object.fromEntries(Object.entries(curves).map(([element, curve]) => [element, { ...curve, readers: {} }]))

/** One student's progress; null when there is no such student. */
export async function progressOf(studentId: string): Promise<StudentProgress | null> {
  const student = await findStudent(studentId)
  return student ? (await progressOfAll([student]))[0]! : null
}

/** The progress of several students, in their order, with as many queries as for one. */
export async function progressOfAll(students: readonly Student[]): Promise<StudentProgress[]> {
  const ids = students.map(student => student.id)
  const basis = await basisNow()
  const curves = withoutReaders(basis.curves.curves)
  const [ladder, former, kept, signOffs, bends, pins, tests] = await Promise.all([
    currentLadder(),
    formerLadders(),
    keptOf(ids, basis),
    signOffsOf(ids),
    bendsOf(ids),
    pinsOf(ids),
    testsKnown(),
  ])
  return students.map(student => {
    const { standing, coupons } = kept.get(student.id)!
    const own = signOffs.get(student.id)!
    return {
      student,
      ladder,
      climb: climb(ladder.ladder, coupons, own, basis.rules.rules.goodInARow, former),
      signOffs: own,
      standing,
      curves,
      lately: runLately(coupons, rungFinder(ladder.ladder, former)),
      bends: bends.get(student.id)!,
      school: { wrong: basis.curves.wrong, ...tests },
      pin: pins.get(student.id) ?? null,
    }
  })
}

/** Where students stand on the rungs of the ladder. */
export async function climbsOf(studentIds: readonly string[]): Promise<Map<string, RungState[]>> {
  const basis = await basisNow()
  const [{ ladder }, former, kept, signOffs] = await Promise.all([
    currentLadder(),
    formerLadders(),
    keptOf(studentIds, basis),
    signOffsOf(studentIds),
  ])
  const { goodInARow } = basis.rules.rules
  return new Map(
    studentIds.map(id => [id, climb(ladder, kept.get(id)!.coupons, signOffs.get(id)!, goodInARow, former)]),
  )
}

const LATE_DAYS = 8

/** What was run on the last class days, a rung's id for each coupon, oldest first. */
function runLately(coupons: readonly ClimbCoupon[], rungOf: ReturnType<typeof rungFinder>): StudentProgress['lately'] {
  const days = [...new Set(coupons.map(coupon => coupon.classDay))].slice(-LATE_DAYS)
  return days.map(classDay => ({
    classDay,
    rungs: coupons.filter(coupon => coupon.classDay === classDay).map(coupon => rungOf(coupon) ?? coupon.rung),
  }))
}

/** The active students of a section against the rungs. */
export async function boardOf(sectionId: string): Promise<Board> {
  const [students, ladder, former, basis] = await Promise.all([
    rows<{ id: string; name: string; booth: number | null }>(
      database(),
      'SELECT id, name, booth FROM student WHERE section_id = ? AND active ORDER BY name',
      [sectionId],
    ),
    currentLadder(),
    formerLadders(),
    basisNow(),
  ])
  const ids = students.map(student => student.id)
  const [kept, signOffs] = await Promise.all([keptOf(ids, basis), signOffsOf(ids)])
  const { goodInARow } = basis.rules.rules
  return {
    ladder,
    rows: students.map(student => {
      const { standing, coupons } = kept.get(student.id)!
      return {
        student,
        climb: climb(ladder.ladder, coupons, signOffs.get(student.id)!, goodInARow, former),
        lastDay: coupons.at(-1)?.classDay ?? null,
        improved: standing.improved,
        coupons: standing.coupons,
      }
    }),
  }
}
