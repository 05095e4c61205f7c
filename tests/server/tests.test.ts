import { beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { TestDocument } from '../../core/qualification'
import { aTest } from '../../core/qualification/example'
import type { SavedTest, TestBay } from '../../contract/tests'
import { addClass, foundTestSchool, type School } from '../school'

let school: School
let student: string
beforeAll(async () => {
  school = await foundTestSchool()
  student = (await addClass(school, 'Evening V3 tests', 'Bram Oakes')).student.id
})

type Refused = { errors: { path: string, message: string }[] }
const put = (id: string, document: TestDocument, baseVersion = 0) => school.instructor.ask<SavedTest & Refused>('PUT', `/api/tests/${id}`, { baseVersion, document })
const seen = { by: 'MH', at: '2026-11-02T18:00:00.000Z' }
const started = (): TestDocument => ({
  ...aTest(student), stamp: 'BO 1', checks: { 'whole rods, in date': true, 'piece stamped': true, 'fit-up within limits': true, 'position fixed': true },
  holds: { 'fit-up': seen, 'root': null, 'cap': null }, startedAt: seen.at,
})

describe('a test', () => {
  it('is kept whole from plan to result, and listed where it stands', async () => {
    const id = uuid()
    expect((await put(id, aTest(student))).body).toMatchObject({ version: 1, student: 'Bram Oakes' })
    expect((await put(id, aTest(student))).body.version).toBe(1)
    expect((await put(id, started(), 1)).body.version).toBe(2)
    expect((await put(id, { ...started(), notes: 'late' }, 1)).status).toBe(409)
    const welded: TestDocument = { ...started(), holds: { 'fit-up': seen, 'root': seen, 'cap': seen }, endedAt: '2026-11-02T19:00:00.000Z', visual: { ...seen, outcome: 'passes', couponId: null, failed: [] } }
    const bent = { ...seen, openings: [], byHand: null }
    await put(id, welded, 2)
    expect((await put(id, { ...welded, results: { 'face-1': bent, 'root-2': bent } }, 3)).body.version).toBe(4)
    expect((await school.lead.ask<TestBay>('GET', `/api/students/${student}/tests`)).body.tests).toMatchObject([{ id, state: 'passed', family: 'structural', position: '3G', odds: 0.7 }])
    expect((await school.student.ask('GET', `/api/tests/${id}`)).status).toBe(403)
  })

  it.each([
    ['a bend before the visual', (test: TestDocument) => ({ ...test, results: { 'face-1': { ...seen, openings: [], byHand: null } } }), 'document.results.face-1', /after a visual/],
    ['a start with nobody’s initials', (test: TestDocument) => ({ ...test, startedAt: seen.at }), 'document.checks', /checklist/],
    ['a fillet position on a groove', (test: TestDocument) => ({ ...test, test: { ...test.test, position: '3F' as const } }), 'document.test.position', /position of fillets/],
    ['an opening of no length', (test: TestDocument) => ({ ...test, results: { 'face-1': { ...seen, openings: [{ length: -1, corner: false, from: null }], byHand: null } } }), 'document.results.face-1', /0 or more/],
    ['a stamp too long', (test: TestDocument) => ({ ...test, stamp: 'x'.repeat(30) }), 'document.stamp', /at most 20/],
  ])('refuses %s, and keeps nothing', async (_, change, path, message) => {
    const id = uuid()
    const { status, body } = await put(id, change(aTest(student)) as TestDocument)
    expect(status).toBe(422)
    expect(body.errors.find(error => error.path === path)?.message, JSON.stringify(body.errors)).toMatch(message)
    expect((await school.lead.ask('GET', `/api/tests/${id}`)).status).toBe(404)
  })
})

it('a use of the process is noted once, with its witness', async () => {
  const id = uuid()
  const use = { studentId: student, usedOn: '2026-11-20', witness: 'Tobias' }
  expect((await school.instructor.ask('PUT', `/api/process-uses/${id}`, use)).status).toBe(204)
  expect((await school.instructor.ask('PUT', `/api/process-uses/${id}`, use)).status).toBe(204)
  expect((await school.instructor.ask<Refused>('PUT', `/api/process-uses/${uuid()}`, { ...use, witness: ' ' })).body.errors[0]).toMatchObject({ path: 'witness' })
  expect((await school.lead.ask<TestBay>('GET', '/api/tests')).body.uses.filter(row => row.studentId === student)).toMatchObject([{ usedOn: '2026-11-20', witness: 'Tobias', student: 'Bram Oakes' }])
})
