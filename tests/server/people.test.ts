import { beforeAll, describe, expect, it } from 'vitest'
import type { Section, Student } from '../../contract/people'
import { foundTestSchool, type School } from '../school'
import { PASSWORD, Visitor } from '../session'

let school: School
beforeAll(async () => {
  school = await foundTestSchool()
})
const roster = async (id: string) => (await school.lead.ask<Student[]>('GET', `/api/sections/${id}/students`)).body
const newSection = async (name: string) =>
  (
    await school.lead.ask<Section>('POST', '/api/sections', {
      name,
      meetings: [],
      termFrom: '2026-09-01',
      termTo: '2026-12-18',
    })
  ).body

describe('a roster', () => {
  it('goes in whole', async () => {
    const section = await newSection('Import Whole')
    const students = ['Zoë Pell', 'Ⅎinn 🔧 Roe'].map(name => ({
      name,
      hand: 'left',
      startDate: '2026-09-01',
      booth: null,
    }))
    expect(
      (await school.instructor.ask('POST', '/api/students/import', { sectionId: section.id, students })).status,
    ).toBe(201)
    expect((await roster(section.id)).map(student => student.name).sort()).toEqual(
      students.map(student => student.name).sort(),
    )
  })

  it('goes in not at all when one line is wrong, which is named', async () => {
    const section = await newSection('Import Nothing')
    const students = [
      { name: 'Good One', hand: 'right', startDate: '2026-09-01', booth: 1 },
      { name: ' ', hand: 'both', startDate: '1826-01-01', booth: 0 },
    ]
    const { status, body } = await school.instructor.ask<{ errors: { path: string }[] }>(
      'POST',
      '/api/students/import',
      { sectionId: section.id, students },
    )
    expect(status).toBe(422)
    expect(body.errors.map(error => error.path).sort()).toEqual([
      'students[1].booth',
      'students[1].hand',
      'students[1].name',
      'students[1].startDate',
    ])
    expect(await roster(section.id)).toEqual([])
  })

  it('moves and archives a student, who keeps the record', async () => {
    const [from, to] = [await newSection('Move From'), await newSection('Move To')]
    const fields = {
      name: 'Wren Abelard',
      hand: 'right',
      sectionId: from.id,
      startDate: '2026-09-01',
      booth: 3,
      active: true,
    }
    const { body: student } = await school.instructor.ask<Student>('POST', '/api/students', fields)
    expect(
      (
        await school.instructor.ask('PUT', `/api/students/${student.id}`, {
          ...fields,
          sectionId: to.id,
          active: false,
        })
      ).status,
    ).toBe(200)
    expect(await roster(from.id)).toEqual([])
    expect(await roster(to.id)).toMatchObject([{ id: student.id, active: false }])
    expect((await school.instructor.ask('GET', `/api/students/${student.id}/record`)).status).toBe(200)
    expect((await school.instructor.ask<unknown[]>('GET', `/api/sections/${to.id}/floor`)).body).toEqual([])
  })

  it('refuses a section that is not there, at its field', async () => {
    const { status, body } = await school.instructor.ask('POST', '/api/students', {
      name: 'Lost',
      hand: 'left',
      sectionId: '01900000-0000-7000-8000-00000000dead',
      startDate: '2026-09-01',
      booth: null,
      active: true,
    })
    expect([status, body.errors]).toEqual([422, [{ path: 'sectionId', message: 'There is no such section' }]])
  })
})

describe('sections and accounts', () => {
  it('a name that is taken is refused at its field', async () => {
    await newSection('Twice')
    const { status, body } = await school.lead.ask('POST', '/api/sections', {
      name: 'Twice',
      meetings: [],
      termFrom: '2026-09-01',
      termTo: '2026-12-18',
    })
    expect([status, body.errors]).toEqual([422, [{ path: 'name', message: 'There is a section of this name already' }]])
    const again = await school.lead.ask('POST', '/api/accounts', {
      name: 'x',
      username: 'TOBIAS',
      role: 'instructor',
      studentId: null,
      sectionIds: null,
      active: true,
      password: PASSWORD,
    })
    expect([again.status, again.body.errors]).toEqual([422, [{ path: 'username', message: 'This user name is taken' }]])
  })

  it('a term and a meeting end after they begin', async () => {
    const wrong = async (from: string, to: string, termTo: string) =>
      (
        await school.lead.ask<{ errors: { path: string }[] }>('POST', '/api/sections', {
          name: 'Backward',
          meetings: [{ weekday: 'Mon', from, to }],
          termFrom: '2026-12-18',
          termTo,
        })
      ).body.errors.map(error => error.path)
    expect(await wrong('21:00', '18:00', '2027-01-18')).toEqual(['meetings[0].to'])
    expect(await wrong('18:00', '21:00', '2026-09-01')).toEqual(['termTo'])
  })

  it('a new password takes the place of the old one; none leaves it', async () => {
    const fields = {
      name: 'Petra Holloway',
      username: 'petra',
      role: 'instructor',
      studentId: null,
      sectionIds: null,
      active: true,
    }
    const { body } = await school.lead.ask<{ id: string }>('POST', '/api/accounts', { ...fields, password: PASSWORD })
    await school.lead.ask('PUT', `/api/accounts/${body.id}`, { ...fields, name: 'Petra H' })
    await expect(new Visitor().signIn('petra')).resolves.toBeDefined()
    await school.lead.ask('PUT', `/api/accounts/${body.id}`, { ...fields, password: 'another long secret' })
    await expect(new Visitor().signIn('petra')).rejects.toThrow('401')
    await expect(new Visitor().signIn('petra', 'another long secret')).resolves.toBeDefined()
  })

  it('a student account names its student, any other does not', async () => {
    const fields = { name: 'x', username: 'no-student', sectionIds: null, active: true, password: PASSWORD }
    for (const account of [
      { ...fields, role: 'student', studentId: null },
      { ...fields, role: 'instructor', studentId: school.mine.id },
    ])
      expect(
        (await school.lead.ask<{ errors: { path: string }[] }>('POST', '/api/accounts', account)).body.errors.map(
          error => error.path,
        ),
      ).toEqual(['studentId'])
  })
})
