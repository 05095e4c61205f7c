import { classDayAt, dayOffOn } from '../../core/calendar'
import type { Verdict } from '../../core/coupon'
import { classDayBeside, meetingOn } from '../../core/floor'
import { offsetOf } from '../../core/setup'
import type { StudentToday } from '../../contract/studentToday'
import { machineChecks } from './clampReadings'
import { database, rows } from './database'
import { dayPlanOf } from './dayPlan'
import { currentLadder } from './ladder'
import { plannedFor } from './plannedFor'
import { schoolClock } from './school'
import { findSection } from './sections'
import { findStudent } from './students'

/** A student's day; null where there is no such student. */
export async function studentToday(studentId: string, now: Date): Promise<StudentToday | null> {
  const student = await findStudent(studentId)
  const section = student && (await findSection(student.sectionId))
  if (!section) return null
  const clock = await schoolClock()
  const classDay = classDayAt(now, clock)
  const [{ plan }, { ladder }, machines, newest] = await Promise.all([
    dayPlanOf(section.id, classDay),
    currentLadder(),
    machineChecks(),
    newestCoupon(studentId),
  ])
  const machine = machines.find(one => one.booth === student.booth)
  return {
    student,
    section: section.name,
    classDay,
    meeting: meetingOn(section, classDay, clock.turnsAt),
    dayOff: dayOffOn(section.daysOff, classDay)?.name ?? null,
    nextClass: classDayBeside(section, classDay, 1),
    planned: plannedFor(studentId, plan, ladder),
    panelOffsetA: machine ? offsetOf(machine) : null,
    newest,
  }
}

async function newestCoupon(studentId: string): Promise<StudentToday['newest']> {
  const [row] = await rows<{ id: string; class_day: string; verdict: Verdict; seen: number }>(
    database(),
    `SELECT id, class_day, verdict, student_saw_at IS NOT NULL AS seen FROM coupon WHERE student_id = ?
    ORDER BY class_day DESC, id DESC LIMIT 1`,
    [studentId],
  )
  return row ? { couponId: row.id, classDay: row.class_day, verdict: row.seen === 1 ? row.verdict : null } : null
}
