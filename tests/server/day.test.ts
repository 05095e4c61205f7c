import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { classDayAt, MACHINE_CLOCK } from '../../core/calendar'
import { isTry, setDegree } from '../../core/coupon'
import { aCoupon } from '../../core/coupon/example'
import type { StudentCautions } from '../../contract/cautions'
import type { SectionDay } from '../../contract/day'
import type { RulesVersion } from '../../contract/record'
import type { Section, Student } from '../../contract/people'
import type { Problem } from '../../contract/problem'
import { closeDatabase, database, rows, run } from '../../server/store/database'
import { addClass, foundTestSchool, type School } from '../school'
import { Visitor } from '../session'

/** A Tuesday of the term, on which the class meets from 18:00 to 21:00, and long over. */
const DAY = '2026-10-06'
let school: School
let section: Section
let student: Student
beforeAll(async () => {
  school = await foundTestSchool()
  ;({ section, student } = await addClass(school, 'Day Z', 'Hedda Solm'))
})
afterAll(closeDatabase)

/** The server and this test stand in one zone. */
const today = () => classDayAt(new Date(), MACHINE_CLOCK)
const dayOf = async (day = DAY) =>
  (await school.instructor.ask<SectionDay>('GET', `/api/sections/${section.id}/day?day=${day}`)).body
const note = (more: object = {}, id = uuid(), by = school.instructor) =>
  by.ask<Problem>('PUT', `/api/attendance/${id}`, {
    studentId: student.id,
    classDay: DAY,
    came: null,
    left: null,
    absent: false,
    why: '',
    ...more,
  })
const own = async (day = DAY) => (await dayOf(day)).students.find(one => one.id === student.id)!

describe('who was there', () => {
  it('is not known of a day on which nothing happened', async () => {
    expect(await dayOf()).toMatchObject({
      section: 'Day Z',
      meeting: { from: '18:00', to: '21:00' },
      before: '2026-09-29',
      after: '2026-10-13',
      wrongMost: null,
      demonstrations: [],
    })
    expect(await own()).toMatchObject({ attendance: { state: 'not seen', minutes: 0 }, note: null, coupons: 0 })
  })
  it('is whoever was noted; the newest note stands, and those before it are kept with who and when', async () => {
    const id = uuid()
    for (let n = 0; n < 2; n++) expect((await note({ absent: true, why: '  doctor ' }, id)).status).toBe(204)
    expect(await own()).toMatchObject({ attendance: { state: 'absent' }, note: { why: 'doctor', by: 'tobias' } })
    expect((await note({ came: '18:25', left: '20:30', why: 'bus' }, uuid(), school.lead)).status).toBe(204)
    expect(await own()).toMatchObject({
      attendance: { state: 'here', came: '18:25', late: true, left: '20:30', leftEarly: true, minutes: 125 },
      note: { why: 'bus', by: 'Maren Holt' },
    })
    const kept = await rows(database(), 'SELECT noted_by FROM attendance_note WHERE student_id = ? ORDER BY noted_at', [
      student.id,
    ])
    expect(kept).toMatchObject([{ noted_by: 'tobias' }, { noted_by: 'Maren Holt' }])
  })
  it('is whoever had a coupon read, whenever it was graded, and not longer for it', async () => {
    const couponId = uuid()
    const document = { ...aCoupon({ studentId: student.id, beadCount: 4 }), classDay: '2026-10-13' }
    // Read on another day: it was run, and says nothing of when its student came and went.
    await school.instructor.ask('PUT', `/api/coupons/${couponId}`, { baseVersion: 0, why: '', document })
    expect(await own('2026-10-13')).toMatchObject({
      attendance: { state: 'here', came: '18:00', late: false, minutes: 180 },
      coupons: 1,
    })
    // Read at 21:20 that evening, by the clock on the wall, and graded again next morning.
    const moved = (table: string, at: string) =>
      run(database(), `UPDATE ${table} SET saved_at = ? WHERE ${table === 'coupon' ? 'id' : 'coupon_id'} = ?`, [
        at,
        couponId,
      ])
    const wall = new Date('2026-10-13T21:20:00').toISOString().slice(0, 19).replace('T', ' ')
    await moved('coupon', wall)
    expect((await own('2026-10-13')).attendance.minutes).toBe(200)
    const again = { baseVersion: 1, why: 'looked again', document: { ...document, notes: 'again' } }
    await school.instructor.ask('PUT', `/api/coupons/${couponId}`, again)
    await moved('coupon_revision', wall)
    expect((await own('2026-10-13')).attendance.minutes).toBe(200)
    // Four beads at eight inches in a minute.
    const lengths = document.beads.reduce((sum, bead) => sum + bead.toMm - bead.fromMm, 0)
    expect((await own('2026-10-13')).arcMinutes).toBeCloseTo(lengths / 203.2, 6)
  })
  it('came now is by the clock on the shop’s wall, whatever a tablet’s own says', async () => {
    const made = await addClass(school, 'Day Z now', 'Nils Ard')
    const noted = await note({ studentId: made.student.id, classDay: today(), came: 'now' })
    expect(noted.status).toBe(204)
    const { body } = await school.instructor.ask<SectionDay>('GET', `/api/sections/${made.section.id}/day`)
    expect(body.students[0]!.note!.came).toMatch(/^\d\d:\d\d$/)
    expect(body.students[0]!.attendance.state).toBe('here')
    const before = await note({ studentId: made.student.id, classDay: today(), came: 'now', left: '00:00' })
    expect([before.status, before.body.errors?.[0]?.path]).toEqual([422, 'left'])
  })
  it('is whoever waited to be read', async () => {
    const made = await addClass(school, 'Day Z waits', 'Ilse Marn')
    expect((await school.instructor.ask('PUT', `/api/waiting/${uuid()}`, { studentId: made.student.id })).status).toBe(
      200,
    )
    const { body } = await school.instructor.ask<SectionDay>('GET', `/api/sections/${made.section.id}/day`)
    expect(body.students[0]!.attendance.state).toBe('here')
  })
  it.each([
    ['left', { came: '18:00', left: '17:00' }],
    ['absent', { came: '18:00', absent: true }],
    ['came', { came: '25:00' }],
    ['why', { why: 'x'.repeat(121) }],
    ['classDay', { classDay: '2026-02-30' }],
    ['studentId', { studentId: '01900000-0000-7000-8000-00000000dead' }],
  ])('what cannot be is refused at the field %s, and nothing is kept', async (path, more) => {
    const before = await own()
    const { status, body } = await note(more)
    expect([status, body.errors?.[0]?.path]).toEqual([422, path])
    expect(await own()).toEqual(before)
  })
  it('a day that is none is refused', async () => {
    const asked = await school.instructor.ask<Problem>('GET', `/api/sections/${section.id}/day?day=today`)
    expect([asked.status, asked.body.errors?.[0]?.path]).toEqual([422, 'day'])
  })
  it('counts on the report: days there, and hours in the booth', async () => {
    const { body } = await school.instructor.ask<{ rows: { days: number; boothMinutes: number }[] }>(
      'GET',
      `/api/sections/${section.id}/report`,
    )
    expect(body.rows).toMatchObject([{ days: 2, boothMinutes: 125 + 200 }])
  })
})

describe('what the day came to', () => {
  it('is what the section got wrong most, and the cautions of what was run', async () => {
    const made = await addClass(school, 'Day Z wrong', 'Jorun Tale')
    const document = { ...aCoupon({ studentId: made.student.id }), classDay: DAY }
    const marks = document.marks.map(mark => (isTry(mark) && mark.kind === 'restart' ? setDegree(mark, 3) : mark))
    const saved = await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, {
      baseVersion: 0,
      why: '',
      document: { ...document, marks },
    })
    expect(saved.status).toBe(200)
    const { body } = await school.instructor.ask<SectionDay>('GET', `/api/sections/${made.section.id}/day?day=${DAY}`)
    expect(body.wrongMost).toEqual({ element: 'restart', unsound: 1, students: 1, of: 1 })
    expect(body.cautions.map(one => one.topic)).toContain('low hydrogen')
  })
  it('keeps what was shown, once however often it is sent, until it is taken back', async () => {
    const id = uuid()
    const shown = { sectionId: section.id, classDay: DAY, topic: ' Restarts ', minutes: 10, students: 9 }
    for (let n = 0; n < 2; n++)
      expect((await school.instructor.ask('PUT', `/api/demonstrations/${id}`, shown)).status).toBe(204)
    expect((await dayOf()).demonstrations).toMatchObject([{ id, topic: 'Restarts', minutes: 10, by: 'tobias' }])
    expect((await school.lead.ask('DELETE', `/api/demonstrations/${id}`)).status).toBe(204)
    expect((await dayOf()).demonstrations).toEqual([])
  })
  it.each([
    ['topic', { topic: ' ' }],
    ['minutes', { minutes: 0 }],
    ['minutes', { minutes: 2.5 }],
    ['sectionId', { sectionId: '01900000-0000-7000-8000-00000000dead' }],
  ])('a demonstration that cannot be is refused at %s', async (path, more) => {
    const shown = { sectionId: section.id, classDay: DAY, topic: 'Restarts', minutes: 10, students: 9, ...more }
    const { status, body } = await school.instructor.ask<Problem>('PUT', `/api/demonstrations/${uuid()}`, shown)
    expect([status, body.errors?.[0]?.path]).toEqual([422, path])
  })
})

describe('a class over midnight', () => {
  const NIGHT = '2026-10-06'
  const clock = (dayTurnsAt: number) => school.lead.ask<Problem>('PUT', '/api/school', { timeZone: 'UTC', dayTurnsAt })
  const meets = (from: string, to: string) => ({
    name: 'Day Z night',
    meetings: [{ weekday: 'Tue', from, to }],
    termFrom: '2026-09-01',
    termTo: '2026-12-18',
  })
  afterAll(async () => {
    // The section meets by day again: other tests' class days begin at midnight.
    await run(database(), 'UPDATE section SET meetings = JSON_ARRAY() WHERE name = ?', ['Day Z night'])
    await run(database(), "UPDATE school SET time_zone = '', day_turns_at = 0")
  })

  it('is one class day, once the school says that its days begin later', async () => {
    const refused = await school.lead.ask<Problem>('POST', '/api/sections', meets('21:00', '01:00'))
    expect([refused.status, refused.body.errors]).toEqual([
      422,
      [
        {
          path: 'meetings[0].to',
          message: 'A class that goes on past midnight: say first, in House > People, that class days begin later',
        },
      ],
    ])
    expect((await clock(4)).status).toBe(200)
    const made = (await school.lead.ask<Section>('POST', '/api/sections', meets('21:00', '01:00'))).body
    const fields = { name: 'Tamsin Rove', hand: 'right', startDate: '2026-09-01', booth: 3, active: true }
    const late = (await school.lead.ask<Student>('POST', '/api/students', { ...fields, sectionId: made.id })).body
    // Ready at half past midnight: that is the evening before.
    await run(
      database(),
      `INSERT INTO waiting (id, student_id, since, said_by, ended, how)
      VALUES (?, ?, '2026-10-07 00:30:00', 'student', '2026-10-07 00:40:00', 'read')`,
      [uuid(), late.id],
    )
    const dayAt = async (day: string) =>
      (await school.instructor.ask<SectionDay>('GET', `/api/sections/${made.id}/day?day=${day}`)).body.students[0]!
    expect((await dayAt(NIGHT)).attendance).toMatchObject({ state: 'here', came: '21:00', minutes: 240 })
    expect((await dayAt('2026-10-07')).attendance).toMatchObject({ state: 'not seen' })
    const left = { studentId: late.id, classDay: NIGHT, came: '21:30', left: '00:45', absent: false, why: '' }
    expect((await school.instructor.ask('PUT', `/api/attendance/${uuid()}`, left)).status).toBe(204)
    expect((await dayAt(NIGHT)).attendance).toMatchObject({ came: '21:30', left: '00:45', minutes: 195, late: true })
    // What such a class stands on is not taken from under it.
    const { status, body } = await clock(0)
    expect([status, body.errors?.[0]]).toEqual([
      422,
      { path: 'dayTurnsAt', message: 'Day Z night meets from 21:00 to 01:00: its class day must not turn then' },
    ])
  })
  it.each([
    ['a class that begins before the day does', '03:00', '05:00'],
    ['one that would last into the next', '21:00', '04:30'],
  ])('%s is refused', async (_, from, to) => {
    await clock(4)
    expect((await school.lead.ask('POST', '/api/sections', { ...meets(from, to), name: 'Day Z else' })).status).toBe(
      422,
    )
  })
  it('an hour that no class day can begin at is refused by name', async () => {
    const { status, body } = await clock(12)
    expect([status, body.errors]).toEqual([
      422,
      [{ path: 'dayTurnsAt', message: 'dayTurnsAt is the hour at which a class day begins, 0 to 9' }],
    ])
  })
})

describe('cautions that each student says were read', () => {
  async function house(cautions: string) {
    const { version, rules } = (await school.lead.ask<RulesVersion[]>('GET', '/api/house-rules')).body.at(-1)!
    const changed = { ...rules, ways: { ...rules.ways, cautions } }
    const save = { baseVersion: version, why: 'cautions', rules: changed }
    expect((await school.lead.ask('POST', '/api/house-rules', save)).status).toBe(201)
  }
  const of = async (by = school.instructor) =>
    (await by.ask<StudentCautions>('GET', `/api/students/${student.id}/cautions`)).body
  const say = (texts: readonly string[], by = school.instructor) =>
    by.ask<Problem>('PUT', `/api/students/${student.id}/cautions`, { texts })
  afterAll(() => house('to the class'))

  it('are asked for where the house wants it, each text once, with who said so', async () => {
    expect((await of()).left).toEqual([])
    await house('by each student')
    const { left } = await of()
    expect(left.length).toBeGreaterThanOrEqual(4)
    expect((await own(today())).cautionsLeft).toBe(left.length)
    const [first, ...others] = left.map(caution => caution.text)
    for (let n = 0; n < 2; n++) expect((await say([first!])).status).toBe(200)
    expect((await say([first!], school.lead)).status).toBe(200)
    expect(await of()).toMatchObject({ left: others.map(text => ({ text })), read: [{ text: first, by: 'tobias' }] })
    await say(others)
    expect((await own(today())).cautionsLeft).toBe(0)
    // A text that was changed since is another text: it is asked about again.
    await run(
      database(),
      "UPDATE caution_read SET says = 'as it was', text_sha = UNHEX(SHA2('as it was', 256)) WHERE says = ?",
      [first!],
    )
    expect((await of()).left.map(caution => caution.text)).toEqual([first])
  })
  it('by the student at the tablet, for nobody else', async () => {
    await house('by each student')
    await school.instructor.ask('PUT', `/api/students/${student.id}/code`, { code: '4711' })
    const tablet = await new Visitor().signIn('tobias')
    await tablet.ask('POST', '/api/kiosk', { sectionId: section.id })
    const { left } = await of()
    expect((await say([left[0]!.text], tablet)).status).toBe(401)
    await tablet.ask('POST', '/api/kiosk/student', { studentId: student.id, code: '4711' })
    expect((await say([left[0]!.text], tablet)).status).toBe(200)
    expect((await of(tablet)).read[0]).toMatchObject({ by: 'Hedda Solm' })
    const other = await tablet.ask('GET', `/api/students/${school.other.id}/cautions`)
    expect(other.status).toBe(403)
  })
  it('what is no caution is not kept', async () => {
    const { status, body } = await say(['Weld on.'])
    expect([status, body.errors?.[0]?.path]).toEqual([422, 'texts[0]'])
    expect((await say([])).status).toBe(422)
  })
})
