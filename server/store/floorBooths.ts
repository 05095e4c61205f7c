import { classDayAt, wallClockAt } from '../../core/calendar'
import type { CouponDocument } from '../../core/coupon'
import { arcMinutes, attendanceOf, comesAfter, meetingOn } from '../../core/floor'
import type { FloorBooths } from '../../contract/shop'
import { daysKnown } from './attendance'
import { machineChecks } from './clampReadings'
import { database, fromJson, rows } from './database'
import { schoolClock } from './school'
import { findSection } from './sections'
import { rodsPast } from './rodRoom'
import { openFaults } from './shop'

/** How a section stands in its booths at a moment; null where there is no such section. */
export async function floorBooths(sectionId: string, now: Date): Promise<FloorBooths | null> {
  const section = await findSection(sectionId)
  if (!section) return null
  const clock = await schoolClock()
  const classDay = classDayAt(now, clock)
  const students = await rows<{ id: string }>(database(), 'SELECT id FROM student WHERE section_id = ? AND active', [
    sectionId,
  ])
  const [known, coupons, faults, machines, past] = await Promise.all([
    daysKnown(
      students.map(student => student.id),
      { from: classDay, to: classDay, clock },
    ),
    rows<{ student_id: string; document: unknown }>(
      database(),
      `SELECT student_id, document FROM coupon JOIN student ON student.id = student_id
      WHERE student.section_id = ? AND student.active AND class_day = ?`,
      [sectionId, classDay],
    ),
    openFaults(),
    machineChecks(),
    rodsPast(now),
  ])
  const meeting = meetingOn(section, classDay, clock.turnsAt)
  const time = wallClockAt(now, clock.zone)
  return {
    faults,
    machines,
    students: students.map(({ id }) => {
      const day = known.get(id)!.get(classDay) ?? { note: null, seen: [], ran: false }
      const { state, left } = attendanceOf({ ...day, meeting, now: time, turnsAt: clock.turnsAt })
      const own = coupons.filter(coupon => coupon.student_id === id)
      return {
        id,
        here: state === 'here' && (left === null || comesAfter(time, left, clock.turnsAt)),
        coupons: own.length,
        rodsPast: past.has(id),
        arcMinutes: own.reduce((sum, row) => sum + arcMinutes(fromJson<CouponDocument>(row.document)), 0),
      }
    }),
  }
}
