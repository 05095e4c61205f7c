import { classDayAt, dayOffOn, wallClockAt, type ClassDay } from '../../core/calendar'
import type { CouponDocument } from '../../core/coupon'
import {
  arcMinutes,
  attendanceOf,
  cautionsLeft,
  cautionsOfClass,
  classDayBeside,
  meetingOn,
  wantsCautionsRead,
  wrongMost,
  type ElementDay,
} from '../../core/floor'
import type { HouseRules } from '../../core/house'
import type { CautionRead } from '../../contract/cautions'
import type { SectionDay } from '../../contract/day'
import { daysKnown, type DayKnown } from './attendance'
import { cautionsReadBy } from './cautionsRead'
import { database, fromJson, rows } from './database'
import { dayPlanOf } from './dayPlan'
import { demonstrationsOf } from './demonstrations'
import { currentRules } from './houseRules'
import { currentLadder } from './ladder'
import { plannedFor } from './plannedFor'
import { schoolClock } from './school'
import { findSection } from './sections'

const NOTHING_KNOWN: DayKnown = { note: null, seen: [], ran: false }

/** A section's class day; null where there is no such section. */
export async function sectionDay(sectionId: string, classDay: ClassDay, now: Date): Promise<SectionDay | null> {
  const section = await findSection(sectionId)
  if (!section) return null
  const students = await rows<{ id: string; name: string; booth: number | null }>(
    database(),
    'SELECT id, name, booth FROM student WHERE section_id = ? AND active ORDER BY booth IS NULL, booth, name',
    [sectionId],
  )
  const ids = students.map(student => student.id)
  const clock = await schoolClock()
  const [known, coupons, evidence, demonstrations, { plan }, { ladder }, { rules }, read] = await Promise.all([
    daysKnown(ids, { from: classDay, to: classDay, clock }),
    newestCoupons(ids, classDay),
    elementsOf(ids, classDay),
    demonstrationsOf(sectionId, classDay),
    dayPlanOf(sectionId, classDay),
    currentLadder(),
    currentRules(),
    cautionsReadBy(ids),
  ])
  const ask = wantsCautionsRead(rules)
  const meeting = meetingOn(section, classDay, clock.turnsAt)
  const time = classDayAt(now, clock) === classDay ? wallClockAt(now, clock.zone) : null
  return {
    classDay,
    section: section.name,
    meeting,
    dayOff: dayOffOn(section.daysOff, classDay)?.name ?? null,
    before: classDayBeside(section, classDay, -1),
    after: classDayBeside(section, classDay, 1),
    students: students.map(student => {
      const day = known.get(student.id)!.get(classDay) ?? NOTHING_KNOWN
      const own = coupons.filter(coupon => coupon.studentId === student.id && coupon.classDay === classDay)
      return {
        ...student,
        attendance: attendanceOf({ ...day, meeting, now: time, turnsAt: clock.turnsAt }),
        note: day.note,
        planned: plannedFor(student.id, plan, ladder),
        cautionsLeft: ask
          ? leftOf(
              coupons.filter(one => one.studentId === student.id),
              read.get(student.id)!,
              rules,
            )
          : 0,
        coupons: own.length,
        arcMinutes: own.reduce((sum, coupon) => sum + arcMinutes(coupon), 0),
      }
    }),
    demonstrations,
    wrongMost: wrongMost(evidence),
    cautions: cautionsOfClass(coupons, rules),
  }
}

/** How many cautions of what a student runs are left to be read. */
const leftOf = (coupons: readonly CouponDocument[], read: readonly CautionRead[], rules: HouseRules): number =>
  cautionsLeft(
    cautionsOfClass(coupons, rules),
    read.map(one => one.text),
  ).length

/** Coupons of a day, and each student's newest before it where there is none: what that student runs on. */
async function newestCoupons(studentIds: readonly string[], classDay: ClassDay): Promise<CouponDocument[]> {
  if (studentIds.length === 0) return []
  const found = await rows<{ document: unknown }>(
    database(),
    `SELECT document FROM coupon WHERE student_id IN (${studentIds.map(() => '?').join(', ')})
      AND class_day = (
        SELECT MAX(class_day) FROM coupon AS own WHERE own.student_id = coupon.student_id AND own.class_day <= ?)`,
    [...studentIds, classDay],
  )
  return found.map(row => fromJson<CouponDocument>(row.document))
}

const elementsOf = async (studentIds: readonly string[], classDay: ClassDay): Promise<ElementDay[]> =>
  studentIds.length === 0
    ? []
    : (
        await rows<Omit<ElementDay, 'studentId'> & { student_id: string }>(
          database(),
          `SELECT student_id, element, tried, sound FROM evidence
          WHERE student_id IN (${studentIds.map(() => '?').join(', ')}) AND class_day = ?`,
          [...studentIds, classDay],
        )
      ).map(({ student_id: studentId, ...row }) => ({ studentId, ...row }))
