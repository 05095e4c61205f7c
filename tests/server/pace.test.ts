import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { classDayAt, daysAfter, MACHINE_CLOCK, weekdayName } from '../../core/calendar'
import { aCoupon } from '../../core/coupon/example'
import type { StudentPace } from '../../contract/pace'
import type { Student } from '../../contract/people'
import { closeDatabase, database, run } from '../../server/store/database'
import { addClass, foundTestSchool, type School } from '../school'

afterAll(closeDatabase)

let school: School
let section: string
let student: string
/** The days of three classes that are over, a week apart, and today. */
const today = classDayAt(new Date(), MACHINE_CLOCK)
const CLASSES = [-21, -14, -7].map(days => daysAfter(today, days))

beforeAll(async () => {
  school = await foundTestSchool()
  const made = await addClass(school, 'Evening Z pace', 'Ilka Morn')
  section = made.section.id
  student = made.student.id
  const meetings = JSON.stringify([{ weekday: weekdayName(today), from: '18:00', to: '21:30' }])
  await run(database(), 'UPDATE section SET meetings = ?, term_from = ?, term_to = ? WHERE id = ?', [
    meetings,
    daysAfter(today, -60),
    daysAfter(today, 60),
    section,
  ])
})

const pace = async (of = student) => (await school.instructor.ask<StudentPace>('GET', `/api/students/${of}/pace`)).body
const runOn = async (studentId: string, classDay: string, count: number) => {
  for (let n = 0; n < count; n++) {
    const document = { ...aCoupon({ studentId }), classDay }
    const saved = await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document })
    expect(saved.status).toBe(200)
  }
}

describe('a student’s pace', () => {
  it('is not known before something was run, and the timetable is', async () => {
    expect(await pace()).toEqual({
      pace: null,
      timetable: { weekdays: [weekdayName(today)], daysOff: [], last: daysAfter(today, 60) },
    })
  })
  it('is what classes brought that are over: one that was missed brought nothing, today’s is not over', async () => {
    const other = await school.lead.ask<Student>('POST', '/api/students', {
      sectionId: section,
      name: 'Perrin Holt',
      hand: 'right',
      booth: 2,
      active: true,
      startDate: daysAfter(today, -60),
    })
    expect(other.status).toBe(201)
    for (const day of CLASSES) await runOn(other.body.id, day, 1)
    await runOn(student, CLASSES[0]!, 2)
    await runOn(student, CLASSES[2]!, 1)
    await runOn(student, today, 5)
    const own = (await pace()).pace!
    expect(own.classes).toBe(3)
    expect(own.mean).toBeCloseTo(own.here.plate.hours, 9)
    // Classes of three and a half hours for a coupon or two: work takes longer here than is usual.
    expect(own.here.plate.hours).toBeGreaterThan(1)
    expect(own.here.groove.hours).toBe(1.4)
  })
  it('a holiday is no class: nobody was there', async () => {
    const meetings = [today, daysAfter(today, -2)].map(day => ({
      weekday: weekdayName(day),
      from: '18:00',
      to: '21:30',
    }))
    await run(database(), 'UPDATE section SET meetings = ? WHERE id = ?', [JSON.stringify(meetings), section])
    const { pace: own, timetable } = await pace()
    expect(timetable.weekdays).toHaveLength(2)
    expect(own!.classes).toBe(3)
  })
  it('of nobody is not found', async () => {
    const asked = await school.instructor.ask('GET', `/api/students/${uuid()}/pace`)
    expect(asked.status).toBe(404)
  })
})
