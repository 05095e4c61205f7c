import type { Account, Section, Student } from '../contract/people'
import { ADDRESS, GIVEN, PASSWORD, Visitor } from './session'

export interface School {
  readonly lead: Visitor
  readonly instructor: Visitor
  readonly student: Visitor
  readonly section: Section
  readonly mine: Student
  readonly other: Student
}

const must = <T>(answer: { status: number; body: unknown }): T => {
  if (answer.status >= 300) throw new Error(`${answer.status} ${JSON.stringify(answer.body)}`)
  return answer.body as T
}

/**
 * A small school of the Gannet Quay kind: one lead, one instructor, a section with two students, one of them with
 * an account. Made once a database.
 */
export async function foundTestSchool(address = ADDRESS): Promise<School> {
  const lead = new Visitor(address)
  const founded = await lead.ask('POST', '/api/first-lead', {
    school: 'Gannet Quay Trades Hall',
    name: 'Maren Holt',
    username: 'maren',
    password: PASSWORD,
  })
  if (founded.status !== 201) await lead.signIn('maren')
  const sections = must<Section[]>(await lead.ask('GET', '/api/sections'))
  const section =
    sections.find(one => one.name === 'Evening T') ??
    must<Section>(
      await lead.ask('POST', '/api/sections', {
        name: 'Evening T',
        meetings: [{ weekday: 'Mon', from: '18:00', to: '21:00' }],
        termFrom: '2026-09-01',
        termTo: '2026-12-18',
      }),
    )
  const students = must<Student[]>(await lead.ask('GET', `/api/sections/${section.id}/students`))
  const student = async (name: string, booth: number) =>
    students.find(one => one.name === name) ??
    must<Student>(
      await lead.ask('POST', '/api/students', {
        name,
        hand: 'right',
        sectionId: section.id,
        startDate: '2026-09-01',
        booth,
        active: true,
      }),
    )
  const mine = await student('Oriel Tamsin', 1)
  const other = await student('Pavo Lindqvar', 2)
  const accounts = must<Account[]>(await lead.ask('GET', '/api/accounts'))
  const account = async (username: string, role: string, studentId: string | null) => {
    if (accounts.some(one => one.username === username)) return new Visitor(address).signIn(username)
    const fields = { name: username, username, role, studentId, sectionIds: null, active: true, password: GIVEN }
    must(await lead.ask('POST', '/api/accounts', fields))
    return new Visitor(address).takeUp(username)
  }
  return {
    lead,
    instructor: await account('tobias', 'instructor', null),
    student: await account('oriel', 'student', mine.id),
    section,
    mine,
    other,
  }
}

/**
 * A section of its own with one student, so that a test teaches nobody else's class. Its name sorts after the first
 * section's.
 */
export async function addClass(
  school: School,
  name: string,
  studentName: string,
): Promise<{ section: Section; student: Student }> {
  const meetings = [{ weekday: 'Tue', from: '18:00', to: '21:00' }]
  const sections = must<Section[]>(await school.lead.ask('GET', '/api/sections'))
  const section =
    sections.find(one => one.name === name) ??
    must<Section>(
      await school.lead.ask('POST', '/api/sections', { name, meetings, termFrom: '2026-09-01', termTo: '2026-12-18' }),
    )
  const students = must<Student[]>(await school.lead.ask('GET', `/api/sections/${section.id}/students`))
  const student =
    students.find(one => one.name === studentName) ??
    must<Student>(
      await school.lead.ask('POST', '/api/students', {
        name: studentName,
        hand: 'right',
        sectionId: section.id,
        startDate: '2026-09-01',
        booth: 5,
        active: true,
      }),
    )
  return { section, student }
}

/** An instructor's account of one's own making, with the password that a lead gave; made once a database. */
export async function addInstructor(school: School, username: string, name = username): Promise<Account> {
  const accounts = must<Account[]>(await school.lead.ask('GET', '/api/accounts'))
  const fields = { name, username, role: 'instructor', studentId: null, sectionIds: null, active: true }
  return (
    accounts.find(one => one.username === username) ??
    must<Account>(await school.lead.ask('POST', '/api/accounts', { ...fields, password: GIVEN }))
  )
}
