import { readFile } from 'node:fs/promises'
import Ajv from 'ajv'
import { beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { aCoupon } from '../../core/coupon/example'
import { aTest } from '../../core/welderTest/example'
import type { Account, Section, Student } from '../../contract/people'
import type { PersonExport } from '../../contract/personData'
import type { Problem } from '../../contract/problem'
import type { StudentRecord } from '../../contract/record'
import { rows, database } from '../../server/store/database'
import { addClass, foundTestSchool, type School } from '../school'
import { GIVEN, PASSWORD, Visitor } from '../session'

const NAME = 'Quillon Marsh'
const SECRET = 'has a sore wrist'

let school: School
let section: Section
let student: Student
let own: Visitor
const coupons = [uuid(), uuid()]

beforeAll(async () => {
  school = await foundTestSchool()
  ;({ section, student } = await addClass(school, 'Person Z', NAME))
  const account = { name: NAME, username: 'quillon', role: 'student', studentId: student.id, sectionIds: null }
  expect(
    (await school.lead.ask<Account>('POST', '/api/accounts', { ...account, active: true, password: GIVEN })).status,
  ).toBe(201)
  own = await new Visitor().takeUp('quillon')
  for (const [n, id] of coupons.entries()) {
    const document = {
      ...aCoupon({ studentId: student.id, beadCount: 3 }),
      notes: SECRET,
      nextRun: `${SECRET}: rest it`,
      overrule: { verdict: 'move on', reason: SECRET },
      ...(n > 0 ? { toldBefore: { couponId: coupons[0], says: SECRET, cause: null, done: 'yes' } } : {}),
    }
    const save = async (baseVersion: number, why: string, notes: string) => {
      const sent = { baseVersion, why, document: { ...document, notes } }
      expect((await school.instructor.ask('PUT', `/api/coupons/${id}`, sent)).status).toBe(200)
    }
    await save(0, '', SECRET)
    await save(1, 'looked again', `${SECRET}, still`)
  }
  const test = { ...aTest(student.id), notes: SECRET }
  expect((await school.instructor.ask('PUT', `/api/tests/${uuid()}`, { baseVersion: 0, document: test })).status).toBe(
    200,
  )
  await school.instructor.ask('PUT', `/api/remarks/${uuid()}`, {
    sectionId: section.id,
    studentId: student.id,
    booth: null,
    says: SECRET,
  })
  await school.instructor.ask('PUT', `/api/attendance/${uuid()}`, {
    studentId: student.id,
    classDay: '2026-10-05',
    came: '18:20',
    left: null,
    absent: false,
    why: SECRET,
  })
  await own.ask('GET', `/api/students/${student.id}/record`)
  const lotId = uuid()
  const lot = { classification: 'E7018', diameterMm: 3.175, makersLot: '4711', resistant: false, place: 'oven' }
  const rest = { receivedOn: '2026-09-01', openedOn: null, rodsInBox: 100, boxPriceCents: null }
  expect((await school.instructor.ask('PUT', `/api/rod-lots/${lotId}`, { ...lot, ...rest })).status).toBe(204)
  const drawn = { lotId, kind: 'issued', count: 8, handfulId: null, booth: null, stubs: null }
  await school.instructor.ask('PUT', `/api/rod-movements/${uuid()}`, { ...drawn, studentId: student.id, why: SECRET })
  const consent = { ofAgeOn: '2027-05-01', givenOn: '2026-09-02', givenBy: SECRET }
  expect((await school.instructor.ask('PUT', `/api/students/${student.id}/consent`, { consent })).status).toBe(204)
})

const exported = (by: Visitor) => by.ask<PersonExport>('GET', `/api/students/${student.id}/export`)
const erase = (body: object, by = school.lead) => by.ask<Problem>('POST', `/api/students/${student.id}/erase`, body)
const record = async () => (await school.lead.ask<StudentRecord>('GET', `/api/students/${student.id}/record`)).body

describe('a person’s data', () => {
  it('goes out whole, as its schema says, to staff and to the student', async () => {
    const schema = JSON.parse(await readFile('docs/person-export.schema.json', 'utf8')) as object
    const ajv = new Ajv({ allErrors: true, formats: { 'date': true, 'date-time': true, 'uuid': true } })
    const holds = ajv.compile(schema)
    for (const by of [school.lead, own]) {
      const { status, body } = await exported(by)
      expect(status).toBe(200)
      holds(body)
      expect(holds.errors).toBeNull()
      expect(body.student.name).toBe(NAME)
      expect(body.coupons.map(one => one.id).sort()).toEqual([...coupons].sort())
      expect(body.coupons.map(one => [one.version, one.before.length])).toEqual([
        [2, 1],
        [2, 1],
      ])
      expect(body.tests).toHaveLength(1)
      expect(body.remarks.map(one => one.says)).toEqual([SECRET])
      expect(body.attendance).toMatchObject([{ classDay: '2026-10-05', came: '18:20', left: null, why: SECRET }])
      expect(body.rods).toMatchObject([{ classification: 'E7018', what: 'issued', rods: -8, why: SECRET }])
      expect(body.guardianConsent).toEqual({ ofAgeOn: '2027-05-01', givenOn: '2026-09-02', givenBy: SECRET })
      expect(body.trail.map(one => one.did)).toContain('looked at the record')
    }
    expect((await exported(school.student)).status).toBe(403)
  })

  it('is erased by a lead alone, with the name typed again and why', async () => {
    expect((await erase({ name: NAME, why: 'asked for it' }, school.instructor)).status).toBe(403)
    const wrong = await erase({ name: 'Quillon Marsk', why: 'asked for it' })
    expect([wrong.status, wrong.body.errors?.[0]?.path]).toEqual([422, 'name'])
    expect((await erase({ name: NAME, why: ' ' })).body.errors?.[0]?.path).toBe('why')
    expect((await record()).student.name).toBe(NAME)
  })

  it('is gone from every table, and what was counted is not', async () => {
    const counted = async () => {
      const [row] = await rows<{ evidence: number; coupons: number; tests: number }>(
        database(),
        `SELECT (SELECT SUM(tried) FROM evidence WHERE student_id = ?) AS evidence,
          (SELECT COUNT(*) FROM coupon WHERE student_id = ?) AS coupons,
          (SELECT COUNT(*) FROM test_record WHERE student_id = ?) AS tests`,
        [student.id, student.id, student.id],
      )
      return { ...row }
    }
    const before = await counted()
    expect(Number(before.evidence)).toBeGreaterThan(0)
    expect((await erase({ name: NAME, why: 'asked for it' })).status).toBe(204)
    expect(await counted()).toEqual(before)

    const tables = await rows<{ name: string }>(
      database(),
      `SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE'`,
    )
    const left: string[] = []
    for (const { name } of tables) {
      const text = JSON.stringify(await rows(database(), `SELECT * FROM ${name}`))
      if (text.includes(NAME) || text.includes(SECRET) || text.includes('quillon')) left.push(name)
    }
    // Who was guessed at by a password is forgotten within the hour.
    expect(left.filter(name => name !== 'sign_in_turn')).toEqual([])
  })

  it('lets nobody in any more, shows nobody any more, and takes nothing more', async () => {
    expect((await own.ask('GET', '/api/session')).status).toBe(401)
    expect((await new Visitor().ask('POST', '/api/session', { username: 'quillon', password: PASSWORD })).status).toBe(
      401,
    )
    expect((await exported(school.lead)).status).toBe(404)
    expect((await school.lead.ask('GET', `/api/students/${student.id}/record`)).status).toBe(404)
    expect((await school.lead.ask<Student[]>('GET', `/api/sections/${section.id}/students`)).body).toEqual([])
    const late = { baseVersion: 0, why: '', document: aCoupon({ studentId: student.id }) }
    expect((await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, late)).status).toBe(422)
    expect((await erase({ name: 'erased', why: 'twice' })).status).toBe(404)
  })
})
