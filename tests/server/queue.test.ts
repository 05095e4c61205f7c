import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { FloorQueue, QueuePlace, WallClass } from '../../contract/floor'
import type { Section, Student } from '../../contract/people'
import { classDayAt, MACHINE_CLOCK } from '../../core/calendar'
import { aCoupon } from '../../core/coupon/example'
import type { HouseRules } from '../../core/house'
import { closeDatabase, database } from '../../server/store/database'
import { currentRules, keepRules } from '../../server/store/houseRules'
import { addClass, addInstructor, foundTestSchool, type School } from '../school'
import { ADDRESS, Visitor } from '../session'

afterAll(closeDatabase)

let school: School
let section: Section
let first: Student
let second: Student
let tablet: Visitor
beforeAll(async () => {
  school = await foundTestSchool()
  const made = await addClass(school, 'Evening W queue', 'Anselm Rook')
  section = made.section
  first = made.student
  second = (
    await school.lead.ask<Student>('POST', '/api/students', { ...first, id: undefined, name: 'Berit Osk', booth: 6 })
  ).body
  tablet = await new Visitor().signIn('tobias')
  await tablet.ask('POST', '/api/kiosk', { sectionId: section.id })
})

const queue = async (visitor = school.instructor) =>
  (await visitor.ask<FloorQueue>('GET', `/api/sections/${section.id}/queue`)).body
const ready = (visitor: Visitor, studentId: string, id = uuid()) =>
  visitor.ask<QueuePlace>('PUT', `/api/waiting/${id}`, { studentId })
const names = async () => (await queue()).waiting.map(one => one.name)

/** Reads the events of a section until so many have come. */
async function events(visitor: Visitor, wanted: number, lastEventId?: string, meanwhile?: () => Promise<unknown>) {
  const stop = new AbortController()
  const response = await fetch(`${ADDRESS}/api/sections/${section.id}/live`, {
    headers: { ...visitor.headers, ...(lastEventId ? { 'last-event-id': lastEventId } : {}) },
    signal: stop.signal,
  })
  expect(response.headers.get('content-type')).toContain('text/event-stream')
  const ids: string[] = []
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
  void meanwhile?.()
  let text = ''
  while (ids.length < wanted) {
    const { value, done } = await reader.read()
    if (done) break
    text += value
    ids.splice(0, ids.length, ...[...text.matchAll(/id: (\d+)/g)].map(match => match[1]!))
  }
  stop.abort()
  return ids
}

describe('the queue', () => {
  it('a tablet says it for its own section’s students, an instructor for anybody; twice is once', async () => {
    const id = uuid()
    const { serial } = await queue()
    expect((await ready(tablet, first.id, id)).body.waiting).toMatchObject({ id, place: 1 })
    // A screen that has this serial need not ask for what it is told of by the same.
    const after = (await queue()).serial
    expect(after).toBeGreaterThan(serial)
    expect(await events(school.instructor, 1)).toEqual([String(after)])
    expect((await ready(tablet, first.id, id)).body.waiting).toMatchObject({ id, place: 1 })
    expect((await ready(school.instructor, first.id)).body.waiting).toMatchObject({ id, place: 1 })
    expect((await ready(school.instructor, second.id)).body.waiting).toMatchObject({ place: 2, minutes: 6 })
    expect(await queue()).toMatchObject({
      waiting: [
        { name: 'Anselm Rook', saidBy: 'student', readToday: false },
        { name: 'Berit Osk', saidBy: 'instructor' },
      ],
      minutesAReading: 3,
      readers: 1,
    })
    expect((await ready(tablet, school.other.id)).status).toBe(403)
    expect((await ready(tablet, uuid())).body).toMatchObject({ errors: [{ path: 'studentId' }] })
  })
  it('ten hands at once make one wait', async () => {
    await Promise.all(Array.from({ length: 10 }, () => ready(tablet, first.id)))
    expect(await names()).toEqual(['Anselm Rook', 'Berit Osk'])
  })
  it('a student says it for the own coupon alone, and sees the own place', async () => {
    expect((await ready(school.student, school.other.id)).status).toBe(403)
    const { body } = await ready(school.student, school.mine.id)
    expect(body.waiting).toMatchObject({ place: 1 })
    expect((await school.student.ask('GET', `/api/students/${school.other.id}/place`)).status).toBe(403)
    expect((await school.student.ask('GET', `/api/sections/${section.id}/queue`)).status).toBe(403)
    expect((await school.student.ask('DELETE', `/api/waiting/${body.waiting!.id}`)).status).toBe(204)
    expect((await school.student.ask<QueuePlace>('GET', `/api/students/${school.mine.id}/place`)).body).toEqual({
      waiting: null,
    })
  })
  it('is taken back as easily, and the student may come again', async () => {
    const place = (await tablet.ask<QueuePlace>('GET', `/api/students/${first.id}/place`)).body.waiting!
    expect((await tablet.ask('DELETE', `/api/waiting/${place.id}`)).status).toBe(204)
    expect((await tablet.ask('DELETE', `/api/waiting/${place.id}`)).status).toBe(204)
    expect(await names()).toEqual(['Berit Osk'])
    expect((await ready(tablet, first.id)).body.waiting).toMatchObject({ place: 2 })
  })
  it('nobody waits overnight, and whoever did may come again', async () => {
    await database().execute('UPDATE waiting SET since = since - INTERVAL 13 HOUR WHERE student_id = ?', [first.id])
    expect(await names()).toEqual(['Berit Osk'])
    expect((await ready(tablet, first.id)).body.waiting).toMatchObject({ place: 2 })
  })
  it('whoever opens a coupon holds it, the other sees who, and a hold taken over is not given back', async () => {
    const hold = (visitor: Visitor, method: string) => visitor.ask(method, `/api/students/${second.id}/hold`)
    await hold(school.instructor, 'PUT')
    expect((await queue(school.lead)).holds).toMatchObject([{ studentId: second.id, by: { name: 'tobias' } }])
    await hold(school.lead, 'PUT')
    await hold(school.instructor, 'DELETE')
    expect((await queue()).holds).toMatchObject([{ by: { name: 'Maren Holt' } }])
    await hold(school.lead, 'DELETE')
    expect((await queue()).holds).toEqual([])
  })
  it('a hold that nobody gave back is over after half an hour', async () => {
    const held = async (minutes: number) => {
      await school.instructor.ask('PUT', `/api/students/${second.id}/hold`)
      await database().execute(
        'UPDATE reading_hold SET since = UTC_TIMESTAMP(3) - INTERVAL ? MINUTE WHERE student_id = ?',
        [minutes, second.id],
      )
      return (await queue()).holds.length
    }
    expect([await held(29), await held(31)]).toEqual([1, 0])
  })
  it('a coupon that is read ends the wait and the hold; one graded again ends nothing', async () => {
    await school.instructor.ask('PUT', `/api/students/${second.id}/hold`)
    const id = uuid()
    const save = (baseVersion: number) =>
      school.instructor.ask('PUT', `/api/coupons/${id}`, {
        baseVersion,
        why: 'seen again',
        document: aCoupon({ studentId: second.id }),
      })
    expect((await save(0)).status).toBe(200)
    expect(await names()).toEqual(['Anselm Rook'])
    expect((await queue()).holds).toEqual([])
    await ready(tablet, second.id)
    expect((await save(1)).status).toBe(200)
    expect(await names()).toContain('Berit Osk')
  })
  it('stands in the order that the house goes by', async () => {
    const document = { ...aCoupon({ studentId: second.id }), classDay: classDayAt(new Date(), MACHINE_CLOCK) }
    await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document })
    await ready(tablet, second.id)
    const place = (await tablet.ask<QueuePlace>('GET', `/api/students/${first.id}/place`)).body.waiting!
    await tablet.ask('DELETE', `/api/waiting/${place.id}`)
    await ready(tablet, first.id)
    expect(await names()).toEqual(['Anselm Rook', 'Berit Osk'])
    const goBy = async (queueOrder: HouseRules['ways']['queueOrder']) => {
      const { version, rules } = await currentRules()
      const saver = { by: 'Maren Holt', why: 'the order of the queue', now: new Date() }
      await keepRules(version, { ...rules, ways: { ...rules.ways, queueOrder } }, saver)
    }
    await goBy('longest wait')
    expect(await names()).toEqual(['Berit Osk', 'Anselm Rook'])
    await goBy('unread first')
    expect(await names()).toEqual(['Anselm Rook', 'Berit Osk'])
  })
})

describe('live', () => {
  it('every change is told, to whichever screen', async () => {
    const told = await events(school.lead, 2, undefined, () => ready(tablet, school.mine.id).then(() => change()))
    expect(Number(told[1])).toBeGreaterThan(Number(told[0]))
  })
  it('a screen that comes back is told what it missed, and nothing when it missed nothing', async () => {
    const [now] = await events(school.instructor, 1)
    await change()
    const [later] = await events(school.instructor, 1, now)
    expect(Number(later)).toBeGreaterThan(Number(now))
    const [next] = await events(school.instructor, 1, later, () => change())
    expect(Number(next)).toBeGreaterThan(Number(later))
  })
  it('is told nothing more once its session was ended, though its stream is open', async () => {
    await addInstructor(school, 'ended-stream', 'Ended Stream')
    const visitor = await new Visitor().takeUp('ended-stream')
    const headers = { ...visitor.headers }
    const told = await events(visitor, 2, undefined, async () => {
      await fetch(`${ADDRESS}/api/sessions`, { method: 'DELETE', headers })
      await change()
    })
    // What there was when it came, and then the end of the stream.
    expect(told.length).toBeLessThanOrEqual(1)
  })
  it('is for staff and the section’s own tablet', async () => {
    expect((await fetch(`${ADDRESS}/api/sections/${section.id}/live`)).status).toBe(401)
    expect((await tablet.ask('GET', `/api/sections/${school.section.id}/queue`)).status).toBe(403)
    expect((await tablet.ask('GET', `/api/sections/${section.id}/queue`)).status).toBe(200)
  })
  async function change() {
    const place = (await tablet.ask<QueuePlace>('GET', `/api/students/${first.id}/place`)).body.waiting
    return place ? tablet.ask('DELETE', `/api/waiting/${place.id}`) : ready(tablet, first.id)
  }
})

it('a screen on the wall is shown who waits and who was read, to staff and to the section’s own tablet', async () => {
  const wall = (visitor: Visitor, id = section.id) => visitor.ask<WallClass>('GET', `/api/sections/${id}/wall`)
  for (const visitor of [school.instructor, tablet]) {
    const { status, body } = await wall(visitor)
    expect(status).toBe(200)
    expect(body.section).toBe('Evening W queue')
    expect(body.queue).toEqual(await queue())
    // Names, booths, and whether they were read: nothing else of anybody.
    for (const one of body.students) expect(Object.keys(one).sort()).toEqual(['booth', 'id', 'name', 'readToday'])
    expect(body.students.map(one => one.name).sort()).toEqual(['Anselm Rook', 'Berit Osk'])
  }
  expect((await wall(tablet, school.section.id)).status).toBe(403)
  expect((await wall(school.student)).status).toBe(403)
  expect((await wall(new Visitor())).status).toBe(401)
})
