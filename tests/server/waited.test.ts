import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { classDayAt, MACHINE_CLOCK, wallClockAt } from '../../core/calendar'
import { NOW, type SectionDay } from '../../contract/day'
import type { FloorQueue } from '../../contract/floor'
import type { Section, Student } from '../../contract/people'
import type { RodRoom } from '../../contract/rodRoom'
import { MOST_WAITED_MS, WAITED } from '../../contract/waited'
import { closeDatabase } from '../../server/store/database'
import { addClass, foundTestSchool, type School } from '../school'

/** What was done while no server answered is taken as of when it was done, whatever the clock of the tablet. */
const HOUR_MS = 3_600_000
const LOT = {
  classification: 'E7018',
  diameterMm: 3.175,
  makersLot: 'W 1',
  resistant: false,
  receivedOn: '2026-09-01',
  openedOn: null,
  rodsInBox: 100,
  boxPriceCents: null,
  place: 'oven',
}
let school: School
let section: Section
let student: Student
beforeAll(async () => {
  school = await foundTestSchool()
  ;({ section, student } = await addClass(school, 'Evening V waited', 'Kerensa Hale'))
})
afterAll(closeDatabase)

const put = (path: string, body: unknown, waited?: number | string) =>
  school.instructor.ask('PUT', path, body, waited === undefined ? {} : { [WAITED]: String(waited) })
const hoursAgo = (moment: string) => (Date.now() - Date.parse(moment)) / HOUR_MS

describe('what has waited', () => {
  it.each<[string, number | string | undefined, number]>([
    ['an hour', HOUR_MS, 1],
    ['nothing', undefined, 0],
    ['what is no number', 'long', 0],
    ['less than nothing: nothing is done in the future', -HOUR_MS, 0],
    ['longer than anything waits', 10 * MOST_WAITED_MS, MOST_WAITED_MS / HOUR_MS],
  ])('rods were drawn when they were drawn: %s', async (_, waited, hours) => {
    const lotId = uuid()
    await put(`/api/rod-lots/${lotId}`, LOT)
    const line = uuid()
    const said = { lotId, kind: 'issued', count: 4, handfulId: null, booth: null, stubs: null, why: '' }
    const { status } = await put(`/api/rod-movements/${line}`, { ...said, studentId: student.id }, waited)
    expect(status).toBe(200)
    const { body } = await school.instructor.ask<RodRoom>('GET', '/api/rods')
    expect(hoursAgo(body.movements.find(one => one.id === line)!.at)).toBeCloseTo(hours, 1)
  })

  it('somebody waits since the coupon was ready, and came when it was noted', async () => {
    await put(`/api/waiting/${uuid()}`, { studentId: student.id }, HOUR_MS / 2)
    const { body } = await school.instructor.ask<FloorQueue>('GET', `/api/sections/${section.id}/queue`)
    expect(hoursAgo(body.waiting[0]!.since)).toBeCloseTo(0.5, 1)

    const done = new Date(Date.now() - 60_000)
    const note = {
      studentId: student.id,
      classDay: classDayAt(done, MACHINE_CLOCK),
      came: NOW,
      left: null,
      absent: false,
      why: '',
    }
    await put(`/api/attendance/${uuid()}`, note, Date.now() - done.getTime())
    const day = await school.instructor.ask<SectionDay>('GET', `/api/sections/${section.id}/day?day=${note.classDay}`)
    expect(day.body.students[0]!.note?.came).toBe(wallClockAt(done, ''))
  })
})
