import { beforeAll, describe, expect, it } from 'vitest'
import { consentWanting, type NotedConsent } from '../../contract/guardianConsent'
import type { Student } from '../../contract/people'
import type { Problem } from '../../contract/problem'
import type { Retention } from '../../contract/retention'
import { database, run } from '../../server/store/database'
import { schoolDay } from '../../server/store/school'
import { addClass, foundTestSchool, type School } from '../school'

const NAME = 'Wenna Trask'

let school: School
let student: Student
beforeAll(async () => {
  school = await foundTestSchool()
  ;({ student } = await addClass(school, 'Leavers Z', NAME))
})

const archive = (active: boolean) =>
  school.lead.ask('PUT', `/api/students/${student.id}`, { ...student, id: undefined, active })
const retention = async () => (await school.lead.ask<Retention>('GET', '/api/school/retention')).body
const mine = async () => (await retention()).leavers.find(one => one.id === student.id)
const keep = (months: unknown) => school.lead.ask<Problem>('PUT', '/api/school/retention', { months })
/** Moves the day on which the student left. */
const leftOn = (day: string) => run(database(), 'UPDATE student SET left_on = ? WHERE id = ?', [day, student.id])

describe('records of those who left', () => {
  it('are listed from the day on which a student is archived, and no longer once taken up again', async () => {
    expect(await mine()).toBeUndefined()
    await archive(false)
    const today = await schoolDay(new Date())
    expect(await mine()).toEqual({
      id: student.id,
      name: NAME,
      section: 'Leavers Z',
      leftOn: today,
      goesOn: null,
      due: false,
    })
    await leftOn('2024-01-31')
    // Changing something else of a student who has left moves nothing.
    await archive(false)
    expect((await mine())?.leftOn).toBe('2024-01-31')
    await archive(true)
    expect(await mine()).toBeUndefined()
    await archive(false)
    expect((await mine())?.leftOn).toBe(today)
  })

  it('go so many months after, counted by the calendar; a day before they are not due', async () => {
    await leftOn('2023-08-31')
    expect((await keep(18)).status).toBe(204)
    expect((await retention()).months).toBe(18)
    // From 31 August 2023: February 2025 has 28 days.
    expect(await mine()).toMatchObject({ goesOn: '2025-02-28', due: true })
    await leftOn(await schoolDay(new Date()))
    expect(await mine()).toMatchObject({ due: false })
    for (const months of [5, 241, 1.5, '36', undefined])
      expect((await keep(months)).body.errors?.[0]?.path, String(months)).toBe('months')
    await keep(null)
    expect((await retention()).months).toBeNull()
  })
})

describe('a guardian’s consent', () => {
  const consents = async () =>
    (await school.instructor.ask<NotedConsent[]>('GET', `/api/sections/${school.section.id}/consents`)).body
  const note = (consent: unknown) =>
    school.instructor.ask<Problem>('PUT', `/api/students/${school.mine.id}/consent`, { consent })

  it('is noted with who noted it, changed, and taken away for whoever is of age', async () => {
    const given = { ofAgeOn: '2027-03-01', givenOn: null, givenBy: '' }
    expect((await note(given)).status).toBe(204)
    const [noted] = await consents()
    expect(noted).toEqual({ ...given, studentId: school.mine.id, notedBy: 'tobias' })
    expect(consentWanting(noted, '2026-11-28')).toBe(true)
    expect(consentWanting(noted, '2027-03-01')).toBe(false)
    await note({ ...given, givenOn: '2026-09-02', givenBy: 'A. Tamsin, mother' })
    const [agreed] = await consents()
    expect(agreed).toMatchObject({ givenOn: '2026-09-02', givenBy: 'A. Tamsin, mother' })
    expect(consentWanting(agreed, '2026-11-28')).toBe(false)
    expect((await note(null)).status).toBe(204)
    expect(await consents()).toEqual([])
    expect(consentWanting(undefined, '2026-11-28')).toBe(false)
  })

  it('names the field that is wrong', async () => {
    const given = { ofAgeOn: '2027-03-01', givenOn: '2026-09-02', givenBy: '' }
    expect((await note(given)).body.errors?.map(one => one.path)).toEqual(['consent.givenBy'])
    expect((await note({ ...given, ofAgeOn: '2027-02-30' })).body.errors?.map(one => one.path)).toContain(
      'consent.ofAgeOn',
    )
    expect((await note(undefined)).body.errors?.[0]?.path).toBe('consent')
    expect(await consents()).toEqual([])
  })
})
