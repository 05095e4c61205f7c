import { climb, type ClimbCoupon } from '../../core/ladder'
import { standingOf, withHistory, type Standing } from '../../core/progress'
import type { Board, StudentProgress } from '../../contract/progress'
import { database, fromJson, rows, run, type Queries } from './database'
import { currentRules } from './houseRules'
import { currentLadder } from './ladders'
import { historyOf } from './trials'
import { curvesAreDue, fitCurves, schoolCurves, type KeptCurves } from './schoolCurves'
import { pinOf } from './pins'
import { timetableOf } from './sections'
import { signOffsOf } from './signOffs'
import { findStudent } from './students'
import { bendsOfStudent } from './studentBends'

/** What is kept of a student between two coupons. */
interface Kept {
  readonly standing: Standing
  readonly coupons: readonly ClimbCoupon[]
}

/** Says, in the transaction that writes a coupon, that its student's progress is to be computed again. */
export async function noteProgress(on: Queries, studentId: string): Promise<void> {
  await run(
    on,
    'INSERT INTO student_progress (student_id, serial) VALUES (?, 1) ON DUPLICATE KEY UPDATE serial = serial + 1',
    [studentId],
  )
}

interface ProgressRow {
  student_id: string
  serial: number
  computed: number | null
  curves: number | null
  kept: unknown
}

/** What is kept of each student; whoever has new coupons, or was computed by older curves, is computed first. */
async function keptOf(
  studentIds: readonly string[],
  curves: KeptCurves,
  halfLifeDays: number,
): Promise<Map<string, Kept>> {
  if (studentIds.length === 0) return new Map()
  const found = new Map(
    (
      await rows<ProgressRow>(
        database(),
        `SELECT student_id, serial, computed, curves, kept FROM student_progress WHERE student_id IN (${studentIds.map(() => '?').join(', ')})`,
        studentIds,
      )
    ).map(row => [row.student_id, row]),
  )
  const kept = new Map<string, Kept>()
  for (const id of studentIds) {
    const row = found.get(id)
    if (!row) kept.set(id, { standing: standingOf(curves.curves, [], halfLifeDays), coupons: [] })
    else
      kept.set(
        id,
        row.computed === row.serial && row.curves === curves.version
          ? fromJson<Kept>(row.kept)
          : await compute(row, curves, halfLifeDays),
      )
  }
  return kept
}

async function compute(
  { student_id: studentId, serial }: Pick<ProgressRow, 'student_id' | 'serial'>,
  { version, curves }: KeptCurves,
  halfLifeDays: number,
): Promise<Kept> {
  const { practised, coupons } = await historyOf(studentId)
  const kept: Kept = { standing: standingOf(curves, withHistory(practised), halfLifeDays), coupons }
  // A coupon saved meanwhile has raised the serial: what was computed here is then already old, and is not marked
  // as current.
  await run(database(), 'UPDATE student_progress SET computed = ?, curves = ?, kept = ? WHERE student_id = ?', [
    serial,
    version,
    JSON.stringify(kept),
    studentId,
  ])
  return kept
}

/**
 * Computes a student's progress after a save, so that nobody waits for it later; fits the school's curves when they
 * are due.
 */
export async function refreshProgress(studentId: string, now: Date): Promise<void> {
  if (await curvesAreDue(now)) await fitCurves(now)
  const [curves, { rules }] = await Promise.all([schoolCurves(), currentRules()])
  await keptOf([studentId], curves, rules.halfLifeDays)
}

/** One student's progress; null when there is no such student. */
export async function progressOf(studentId: string): Promise<StudentProgress | null> {
  const student = await findStudent(studentId)
  if (!student) return null
  const [ladder, curves, { rules }, signOffs, timetable, bends, pin] = await Promise.all([
    currentLadder(),
    schoolCurves(),
    currentRules(),
    signOffsOf([studentId]),
    timetableOf(student.sectionId),
    bendsOfStudent(studentId),
    pinOf(studentId),
  ])
  const { standing, coupons } = (await keptOf([studentId], curves, rules.halfLifeDays)).get(studentId)!
  const own = signOffs.get(studentId)!
  const lately = runLately(coupons)
  return {
    student,
    ladder,
    climb: climb(ladder.ladder, coupons, own, rules.goodInARow),
    signOffs: own,
    standing,
    curves: curves.curves,
    lately,
    perClass: lately.length === 0 ? 0 : lately.reduce((sum, day) => sum + day.rungs.length, 0) / lately.length,
    timetable,
    bends,
    pin,
  }
}

const LATE_DAYS = 8

/** What was run on the last class days, a name for each coupon, oldest first. */
function runLately(coupons: readonly ClimbCoupon[]): StudentProgress['lately'] {
  const days = [...new Set(coupons.map(coupon => coupon.classDay))].slice(-LATE_DAYS)
  return days.map(classDay => ({
    classDay,
    rungs: coupons.filter(coupon => coupon.classDay === classDay).map(coupon => coupon.rung),
  }))
}

/** The active students of a section against the rungs. */
export async function boardOf(sectionId: string): Promise<Board> {
  const [students, ladder, curves, { rules }] = await Promise.all([
    rows<{ id: string; name: string; booth: number | null }>(
      database(),
      'SELECT id, name, booth FROM student WHERE section_id = ? AND active ORDER BY name',
      [sectionId],
    ),
    currentLadder(),
    schoolCurves(),
    currentRules(),
  ])
  const ids = students.map(student => student.id)
  const [kept, signOffs] = await Promise.all([keptOf(ids, curves, rules.halfLifeDays), signOffsOf(ids)])
  return {
    ladder,
    rows: students.map(student => {
      const { standing, coupons } = kept.get(student.id)!
      return {
        student,
        climb: climb(ladder.ladder, coupons, signOffs.get(student.id)!, rules.goodInARow),
        lastDay: coupons.at(-1)?.classDay ?? null,
        improved: standing.improved,
        coupons: standing.coupons,
      }
    }),
  }
}
