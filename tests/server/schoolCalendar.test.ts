import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { classDayAt, daysAfter, MACHINE_CLOCK, weekdayName } from '../../core/calendar'
import type { SectionDay } from '../../contract/day'
import type { DayToPlan } from '../../contract/dayPlan'
import type { StudentPace } from '../../contract/pace'
import type { Section, Student } from '../../contract/people'
import type { Problem } from '../../contract/problem'
import type { CalendarVersion, SchoolDaysOff } from '../../contract/schoolCalendar'
import { closeDatabase, database, run } from '../../server/store/database'
import { addClass, foundTestSchool, type School } from '../school'

const today = classDayAt(new Date(), MACHINE_CLOCK)
const ahead = (days: number) => daysAfter(today, days)
let school: School
let section: Section
let student: Student
beforeAll(async () => {
  school = await foundTestSchool()
  ;({ section, student } = await addClass(school, 'Calendar class', 'Ketil Moss'))
  const meetings = [{ weekday: weekdayName(today), from: '18:00', to: '21:00' }]
  await run(database(), 'UPDATE section SET meetings = ?, term_from = ?, term_to = ? WHERE id = ?', [
    JSON.stringify(meetings),
    ahead(-30),
    ahead(60),
    section.id,
  ])
})
afterAll(closeDatabase)

const kept = async () => (await school.instructor.ask<CalendarVersion>('GET', '/api/school/calendar')).body
const save = (baseVersion: number, daysOff: unknown) =>
  school.lead.ask<CalendarVersion & Problem>('PUT', '/api/school/calendar', { baseVersion, calendar: { daysOff } })
const off = (from: string, to: string, name: string, sectionId: string | null = null): SchoolDaysOff => ({
  from,
  to,
  name,
  sectionId,
})
const dayOf = async (classDay: string) =>
  (await school.instructor.ask<SectionDay>('GET', `/api/sections/${section.id}/day?day=${classDay}`)).body

describe('the calendar', () => {
  it('is saved by a lead over the newest version, or not at all', async () => {
    const { version } = await kept()
    const daysOff = [off(ahead(7), ahead(9), 'Quay fair')]
    expect((await save(version, daysOff)).status).toBe(200)
    expect(await kept()).toMatchObject({ version: version + 1, calendar: { daysOff }, saved: { by: 'Maren Holt' } })
    expect((await save(version, [])).status).toBe(409)
    expect((await kept()).calendar.daysOff).toEqual(daysOff)
  })
  it('takes class off the days it names: of the whole school, or of one section', async () => {
    const other = await addClass(school, 'Another class', 'Perrin Holt')
    const daysOff = [
      off(ahead(7), ahead(9), 'Quay fair'),
      off(ahead(14), ahead(14), 'Instructor away', section.id),
      off(ahead(21), ahead(21), 'Theirs alone', other.section.id),
    ]
    expect((await save((await kept()).version, daysOff)).status).toBe(200)
    const said = []
    for (const days of [0, 7, 14, 21]) said.push(await dayOf(ahead(days)))
    expect(said.map(({ dayOff, meeting }) => [dayOff, meeting?.from ?? null])).toEqual([
      [null, '18:00'],
      ['Quay fair', null],
      ['Instructor away', null],
      [null, '18:00'],
    ])
    // Passed over from one class to the next, and in what a student's coupons come to.
    expect(said[0]!.after).toBe(ahead(21))
    const { timetable } = (await school.instructor.ask<StudentPace>('GET', `/api/students/${student.id}/pace`)).body
    expect(timetable.daysOff.map(one => one.name)).toEqual(['Quay fair', 'Instructor away'])
    const path = `/api/sections/${section.id}/plan?day=${ahead(14)}`
    const toPlan = (await school.instructor.ask<DayToPlan>('GET', path)).body
    expect([toPlan.meeting, toPlan.dayOff]).toEqual([null, 'Instructor away'])
    const mine = (await school.instructor.ask<Section[]>('GET', '/api/sections')).body
    expect(mine.find(one => one.id === other.section.id)!.daysOff.map(one => one.name)).toEqual([
      'Quay fair',
      'Theirs alone',
    ])
  })
  it.each<[string, unknown]>([
    ['calendar.daysOff[0].to', [off(ahead(3), ahead(2), 'backwards')]],
    ['calendar.daysOff[0].to', [off(ahead(0), ahead(200), 'a slip of the year')]],
    ['calendar.daysOff[0].name', [off(ahead(0), ahead(0), ' ')]],
    ['calendar.daysOff[0].from', [{ ...off(ahead(0), ahead(0), 'no day'), from: '2026-02-30' }]],
    ['calendar.daysOff[0].sectionId', [off(ahead(0), ahead(0), 'nowhere', uuid())]],
    ['calendar.daysOff', Array.from({ length: 401 }, () => off(ahead(0), ahead(0), 'too many'))],
  ])('is refused at %s, and nothing is kept', async (path, daysOff) => {
    const { version } = await kept()
    const { status, body } = await save(version, daysOff)
    expect([status, body.errors?.[0]?.path]).toEqual([422, path])
    expect((await kept()).version).toBe(version)
  })
  it('is a lead’s to change, and not an instructor’s', async () => {
    const { version, calendar } = await kept()
    const asked = await school.instructor.ask('PUT', '/api/school/calendar', { baseVersion: version, calendar })
    expect(asked.status).toBe(403)
  })
})
