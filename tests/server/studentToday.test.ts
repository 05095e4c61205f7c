import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { classDayAt, daysAfter, MACHINE_CLOCK, weekdayName } from '../../core/calendar'
import { aCoupon } from '../../core/coupon/example'
import type { Student } from '../../contract/people'
import type { StudentToday } from '../../contract/studentToday'
import { closeDatabase, database, run } from '../../server/store/database'
import { foundTestSchool, type School } from '../school'
import type { Visitor } from '../session'

const now = classDayAt(new Date(), MACHINE_CLOCK)
let school: School
let mine: Student
beforeAll(async () => {
  school = await foundTestSchool()
  ;({ mine } = school)
  const meetings = [{ weekday: weekdayName(now), from: '18:00', to: '21:00' }]
  await run(database(), 'UPDATE section SET meetings = ?, term_from = ?, term_to = ? WHERE id = ?', [
    JSON.stringify(meetings),
    daysAfter(now, -30),
    daysAfter(now, 60),
    mine.sectionId,
  ])
})
afterAll(closeDatabase)

const ask = (who: Visitor) => who.ask<StudentToday>('GET', `/api/students/${mine.id}/today`)
const today = async () => (await ask(school.student)).body

describe('a student’s day', () => {
  it('is the class, the booth’s panel and what was planned', async () => {
    const before = await today()
    expect(before).toMatchObject({ classDay: now, dayOff: null, newest: null, planned: [], panelOffsetA: null })
    expect([before.meeting, before.nextClass]).toEqual([{ from: '18:00', to: '21:00' }, daysAfter(now, 7)])
    const clamp = { booth: mine.booth, panelA: 120, clampA: 126 }
    expect((await school.lead.ask('PUT', `/api/clamp-readings/${uuid()}`, clamp)).status).toBeLessThan(300)
    expect((await today()).panelOffsetA).toBe(6)
    // Another booth's machine says nothing of the own one.
    const elsewhere = { booth: 40, panelA: 120, clampA: 90 }
    expect((await school.lead.ask('PUT', `/api/clamp-readings/${uuid()}`, elsewhere)).status).toBeLessThan(300)
    expect((await today()).panelOffsetA).toBe(6)
  })
  it('names the coupon read last, and keeps its verdict until the student looks', async () => {
    const ids = [uuid(), uuid()]
    for (const [n, id] of ids.entries()) {
      const document = { ...aCoupon({ studentId: mine.id }), classDay: daysAfter(now, n - 1) }
      const saved = await school.instructor.ask('PUT', `/api/coupons/${id}`, { baseVersion: 0, why: '', document })
      expect(saved.status).toBe(200)
    }
    expect((await today()).newest).toEqual({ couponId: ids[1], classDay: now, verdict: null })
    // An instructor's look is not the student's.
    expect((await school.instructor.ask('GET', `/api/coupons/${ids[1]}`)).status).toBe(200)
    expect((await today()).newest!.verdict).toBeNull()
    expect((await school.student.ask('GET', `/api/coupons/${ids[1]}`)).status).toBe(200)
    expect((await today()).newest!.verdict).toBe('move on')
  })
  it('is seen by the student and by staff, and by no other student', async () => {
    expect((await ask(school.instructor)).status).toBe(200)
    const other = await school.student.ask('GET', `/api/students/${school.other.id}/today`)
    expect(other.status).toBe(403)
    expect((await school.instructor.ask('GET', `/api/students/${uuid()}/today`)).status).toBe(404)
  })
})
