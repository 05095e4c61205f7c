import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { Section, Student } from '../../contract/people'
import type { Problem } from '../../contract/problem'
import type { Remark } from '../../contract/remarks'
import { closeDatabase } from '../../server/store/database'
import { floorSerials } from '../../server/store/floorSerial'
import { addClass, foundTestSchool, type School } from '../school'

let school: School
let section: Section
let student: Student
beforeAll(async () => {
  school = await foundTestSchool()
  ;({ section, student } = await addClass(school, 'Remarks Z', 'Hedda Sorn'))
})
afterAll(closeDatabase)
const about = (more: object = {}) => ({ sectionId: section.id, studentId: null, booth: null, ...more })
const leave = (save: object, id = uuid()) => school.instructor.ask<Problem>('PUT', `/api/remarks/${id}`, save)
const open = async () => (await school.lead.ask<Remark[]>('GET', `/api/sections/${section.id}/remarks`)).body

describe('remarks for next time', () => {
  it('are left of a student, a booth or everybody, once however often they are sent, and stand oldest first', async () => {
    const id = uuid()
    const glove = about({ studentId: student.id, says: '  left glove wears through ' })
    for (let n = 0; n < 3; n++) expect((await leave(glove, id)).status).toBe(204)
    await leave(about({ booth: 5, says: 'lead clamp is loose' }))
    await leave(about({ says: 'show restarts again' }))
    expect(await open()).toMatchObject([
      { id, student: 'Hedda Sorn', studentId: student.id, booth: null, says: 'left glove wears through', by: 'tobias' },
      { student: null, booth: 5, says: 'lead clamp is loose' },
      { student: null, booth: null, says: 'show restarts again' },
    ])
  })

  it('are gone once anybody ticks them off, and a second tick changes nothing', async () => {
    const [first, ...rest] = await open()
    for (const who of [school.lead, school.instructor])
      expect((await who.ask('POST', `/api/remarks/${first!.id}/tick`)).status).toBe(204)
    expect(await open()).toEqual(rest)
    // The same remark sent late, by a tablet that was out of reach, does not come back.
    await leave(about({ studentId: student.id, says: 'left glove wears through' }), first!.id)
    expect(await open()).toEqual(rest)
  })

  it.each([
    ['says', { says: '   ' }],
    ['says', { says: 'x'.repeat(201) }],
    ['booth', { says: 'both', booth: 3, studentId: 'student' }],
    ['studentId', { says: 'of another section', studentId: 'other' }],
    ['sectionId', { says: 'of none', sectionId: '01900000-0000-7000-8000-00000000dead' }],
  ])('are refused at the field %s, and nothing is kept', async (path, more: Record<string, unknown>) => {
    const before = await open()
    const ids: Record<string, string> = { student: student.id, other: school.other.id }
    const save = about({ ...more, ...(more.studentId ? { studentId: ids[more.studentId as string] } : {}) })
    const { status, body } = await leave(save)
    expect([status, body.errors?.[0]?.path]).toEqual([422, path])
    expect(await open()).toEqual(before)
  })

  it('raise the floor, so that every open screen asks for them', async () => {
    const serial = async () => (await floorSerials([section.id])).get(section.id)!
    const before = await serial()
    const id = uuid()
    await leave(about({ says: 'everybody looks' }), id)
    expect(await serial()).toBe(before + 1)
    await school.lead.ask('POST', `/api/remarks/${id}/tick`)
    expect(await serial()).toBe(before + 2)
  })
})
