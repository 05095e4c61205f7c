import { beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { BeadAnswer } from '../../core/readingRoom'
import { addClass, foundTestSchool, type School } from '../school'
import { Visitor } from '../session'

let school: School
let section: string
let student: string
beforeAll(async () => {
  school = await foundTestSchool()
  const made = await addClass(school, 'Evening U practice', 'Saskia Orme')
  section = made.section.id
  student = made.student.id
})

const said = { card: 'arc long', cause: 'current high', change: 'arc long' }

describe('the reading room', () => {
  it('keeps what was said, once, under the moment of the server, and hands it back', async () => {
    const id = uuid()
    const first = await school.student.ask<BeadAnswer[]>('PUT', `/api/reading-room/${id}`, said)
    expect(first.body).toEqual([{ ...said, at: expect.stringMatching(/^20.*Z$/) }])
    expect((await school.student.ask<BeadAnswer[]>('PUT', `/api/reading-room/${id}`, said)).body).toEqual(first.body)
    expect((await school.student.ask<BeadAnswer[]>('GET', '/api/reading-room')).body).toEqual(first.body)
    // The student's instructor sees it on the record; another reader has a room of their own.
    expect((await school.instructor.ask('GET', `/api/students/${school.mine.id}/reading-room`)).body).toEqual(
      first.body,
    )
    expect((await school.instructor.ask('GET', '/api/reading-room')).body).toEqual([])
    expect((await school.student.ask('GET', `/api/students/${student}/reading-room`)).status).toBe(403)
  })

  it('says which answer it does not know, and keeps nothing of it', async () => {
    const { status, body } = await school.instructor.ask<{ errors: { path: string; message: string }[] }>(
      'PUT',
      `/api/reading-room/${uuid()}`,
      { ...said, cause: 'moonlight' },
    )
    expect(status).toBe(422)
    expect(body.errors[0]).toMatchObject({
      path: 'cause',
      message: expect.stringMatching(/^cause is not a bead that is kept; choose from current high/),
    })
    expect((await school.instructor.ask('PUT', '/api/reading-room/not-an-id', said)).status).toBe(422)
    expect((await school.instructor.ask('GET', '/api/reading-room')).body).toEqual([])
  })

  it('is open at the tablet to the student who holds it, by name and code', async () => {
    await school.lead.ask('PUT', `/api/students/${student}/code`, { code: '2468' })
    const tablet = new Visitor()
    await tablet.signIn('tobias')
    await tablet.ask('POST', '/api/kiosk', { sectionId: section })
    expect((await tablet.ask('GET', '/api/reading-room')).status).toBe(401)
    await tablet.ask('POST', '/api/kiosk/student', { studentId: student, code: '2468' })
    await tablet.ask('PUT', `/api/reading-room/${uuid()}`, said)
    expect((await school.lead.ask<BeadAnswer[]>('GET', `/api/students/${student}/reading-room`)).body).toHaveLength(1)
  })
})
