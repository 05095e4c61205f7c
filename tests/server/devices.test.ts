import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import type { Kiosk } from '../../contract/blindReadings'
import type { FloorQueue } from '../../contract/floor'
import { DONE_MARK, SCHOOL_MARK } from '../../contract/marks'
import type { Account } from '../../contract/people'
import type { HandedTablet } from '../../contract/tablets'
import { WAITED } from '../../contract/waited'
import { aCoupon } from '../../core/coupon/example'
import { closeDatabase, database, rows, run } from '../../server/store/database'
import { makeWayIn } from '../../server/store/waysIn'
import { addClass, addInstructor, foundTestSchool, type School } from '../school'
import { ADDRESS, GIVEN, PASSWORD, Visitor } from '../session'

let school: School
beforeAll(async () => {
  school = await foundTestSchool()
})
beforeEach(() => run(database(), 'DELETE FROM sign_in_turn'))
afterAll(closeDatabase)

const handOver = async (username = 'tobias') => {
  const tablet = await new Visitor().signIn(username)
  const asInstructor = { ...tablet.headers }
  expect((await tablet.ask('POST', '/api/kiosk', { sectionId: school.section.id })).status).toBe(204)
  return { tablet, asInstructor }
}
const giveCode = (id: string, code: string) => school.lead.ask('PUT', `/api/students/${id}/code`, { code })
const statusOf = async (visitor: Visitor, path: string, headers?: Record<string, string>) =>
  (await visitor.ask('GET', path, undefined, headers)).status

describe('a tablet in students’ hands', () => {
  it('is listed, and put out at once by whoever teaches its section', async () => {
    const { tablet } = await handOver()
    const listed = (await school.instructor.ask<HandedTablet[]>('GET', '/api/tablets')).body
    expect(listed[0]).toMatchObject({ section: 'Evening T', by: 'tobias' })
    expect(await statusOf(tablet, '/api/kiosk')).toBe(200)
    expect((await school.lead.ask('DELETE', `/api/tablets/${listed[0]!.id}`)).status).toBe(204)
    expect(await statusOf(tablet, '/api/kiosk')).toBe(401)
    expect((await tablet.ask('PUT', `/api/waiting/${uuid()}`, { studentId: school.mine.id })).status).toBe(401)
    expect((await school.lead.ask('DELETE', `/api/tablets/${listed[0]!.id}`)).status).toBe(404)
    expect(await statusOf(school.student, '/api/tablets')).toBe(403)
  })

  it('that was taken back is none any more, whoever kept its cookie', async () => {
    const { tablet } = await handOver()
    const kept = { ...tablet.headers }
    await tablet.signIn('tobias')
    expect(await statusOf(new Visitor(), '/api/kiosk', kept)).toBe(401)
  })

  it('leaves nothing of the instructor who handed it over', async () => {
    const { asInstructor } = await handOver()
    expect(await statusOf(new Visitor(), '/api/sections', asInstructor)).toBe(401)
  })

  it('goes out with “sign out everywhere” of whoever handed it over', async () => {
    await addInstructor(school, 'hands-over')
    await new Visitor().takeUp('hands-over')
    const { tablet } = await handOver('hands-over')
    const elsewhere = await new Visitor().signIn('hands-over')
    await elsewhere.ask('DELETE', '/api/sessions')
    expect(await statusOf(tablet, '/api/kiosk')).toBe(401)
  })

  it('is the next reader’s alone: who read before does no more there', async () => {
    await giveCode(school.mine.id, '4711')
    await giveCode(school.other.id, '4712')
    const { tablet } = await handOver()
    await tablet.ask('POST', '/api/kiosk/student', { studentId: school.mine.id, code: '4711' })
    const first = { ...tablet.headers }
    expect(await statusOf(new Visitor(), '/api/blind-readings/open', first)).toBe(200)
    await tablet.ask('DELETE', '/api/kiosk/student')
    expect(await statusOf(new Visitor(), '/api/blind-readings/open', first)).toBe(401)
    await tablet.ask('POST', '/api/kiosk/student', { studentId: school.other.id, code: '4712' })
    expect(await statusOf(new Visitor(), '/api/blind-readings/open', first)).toBe(401)
    expect((await tablet.ask<Kiosk>('GET', '/api/kiosk')).body.studentId).toBe(school.other.id)
  })

  it('where wrong codes are typed holds nobody up at another', async () => {
    await giveCode(school.mine.id, '4711')
    const [{ tablet: one }, { tablet: another }] = [await handOver(), await handOver()]
    const type = (at: Visitor, code: string) =>
      at.ask('POST', '/api/kiosk/student', { studentId: school.mine.id, code })
    for (let n = 0; n < 24; n++) await type(one, String(1000 + n))
    expect((await type(one, '4711')).status).toBe(429)
    expect((await type(another, '4711')).status).toBe(204)
    const waits = await rows<{ wait: number }>(
      database(),
      `SELECT TIMESTAMPDIFF(SECOND, UTC_TIMESTAMP(3), free_at) AS wait FROM sign_in_turn`,
    )
    expect(Math.max(...waits.map(row => row.wait))).toBeLessThanOrEqual(60)
  })
})

describe('a device where somebody has signed in before', () => {
  const guess = (username: string) =>
    new Visitor().ask('POST', '/api/session', { username, password: 'not the password' })

  it('lets its owner in while strangers guess, each time', async () => {
    const own = await new Visitor().signIn('tobias')
    for (let round = 0; round < 5; round++) {
      await Promise.all(Array.from({ length: 12 }, () => guess('tobias')))
      await own.ask('DELETE', '/api/session')
      expect((await own.ask('POST', '/api/session', { username: 'tobias', password: PASSWORD })).status).toBe(200)
    }
    // As shut to strangers as it may be, however long the guesses took.
    const shut = `UPDATE sign_in_turn SET free_at = UTC_TIMESTAMP(3) + INTERVAL 1 MINUTE WHERE subject = 'account tobias'`
    expect(await run(database(), shut)).toBe(1)
    expect((await new Visitor().ask('POST', '/api/session', { username: 'tobias', password: PASSWORD })).status).toBe(
      429,
    )
  })

  it('is in while a whole address is shut by wrong names', async () => {
    const own = await new Visitor().signIn('tobias')
    await Promise.all(Array.from({ length: 80 }, (_, n) => guess(`no-such-${n}`)))
    // As shut as it may be, however long the guesses took.
    const shut = `UPDATE sign_in_turn SET free_at = UTC_TIMESTAMP(3) + INTERVAL 1 MINUTE WHERE subject LIKE 'passwords from %'`
    expect(await run(database(), shut)).toBe(1)
    expect((await new Visitor().ask('POST', '/api/session', { username: 'maren', password: PASSWORD })).status).toBe(
      429,
    )
    expect((await own.ask('POST', '/api/session', { username: 'tobias', password: PASSWORD })).status).toBe(200)
  })

  it('has turns of its own, and they end too', async () => {
    const own = await new Visitor().signIn('tobias')
    const statuses: number[] = []
    for (let n = 0; n < 8; n++)
      statuses.push(
        (await own.ask('POST', '/api/session', { username: 'tobias', password: `wrong ${n} again` })).status,
      )
    expect(statuses).toContain(429)
    expect((await new Visitor().ask('POST', '/api/session', { username: 'tobias', password: PASSWORD })).status).toBe(
      200,
    )
  })

  it('is a stranger’s again after “sign out everywhere”, and one that was made up never was known', async () => {
    await addInstructor(school, 'forgets')
    const own = await new Visitor().takeUp('forgets')
    await own.ask('DELETE', '/api/sessions')
    for (let n = 0; n < 7; n++) await guess('forgets')
    expect((await own.ask('POST', '/api/session', { username: 'forgets', password: PASSWORD })).status).toBe(429)
    const { name } = own.cookies.find(cookie => cookie.name.endsWith('-device'))!
    const made = { cookie: `${name}=${uuid()}.x` }
    const answer = await new Visitor().ask('POST', '/api/session', { username: 'forgets', password: PASSWORD }, made)
    expect(answer.status).toBe(429)
  })
})

describe('a code from the server’s own console', () => {
  it('lets in once, in place of the password, whatever strangers do meanwhile', async () => {
    for (let n = 0; n < 8; n++)
      await new Visitor().ask('POST', '/api/session', { username: 'maren', password: 'not the password' })
    const code = (await makeWayIn('maren'))!
    expect(code).toMatch(/^[A-Z2-7]{4}(-[A-Z2-7]{4}){3}$/)
    const enter = (username: string) =>
      new Visitor().ask('POST', '/api/session', { username, password: code.toLowerCase() })
    expect((await enter('tobias')).status).toBe(401)
    expect((await enter('maren')).status).toBe(200)
    expect((await enter('maren')).status).toBe(429)
    expect(await makeWayIn('no-such')).toBeNull()
  })
  it('is over after a while, and none is made for an account that is off', async () => {
    const code = (await makeWayIn('maren'))!
    await run(database(), 'UPDATE way_in SET until = UTC_TIMESTAMP(3) - INTERVAL 1 SECOND')
    expect((await new Visitor().ask('POST', '/api/session', { username: 'maren', password: code })).status).toBe(401)
  })
})

describe('every answer', () => {
  it('says which school it is of, refusals and unknown addresses too, and what it did by its id', async () => {
    const marks = new Set<string | null>()
    for (const path of ['/api/welcome', '/api/session', '/api/no-such-thing', '/api/health'])
      marks.add((await fetch(`${ADDRESS}${path}`)).headers.get(SCHOOL_MARK))
    expect(marks.size).toBe(1)
    expect([...marks][0]).toMatch(/^[0-9a-f-]{36}$/)
    const id = uuid()
    const put = (body: unknown) =>
      fetch(`${ADDRESS}/api/remarks/${id}`, {
        method: 'PUT',
        headers: { ...school.lead.headers, 'content-type': 'application/json' },
        body: JSON.stringify(body),
      })
    const remark = { sectionId: school.section.id, studentId: null, booth: null, says: 'Bring gloves' }
    expect((await put({ ...remark, says: '' })).headers.get(DONE_MARK)).toBeNull()
    expect((await put(remark)).headers.get(DONE_MARK)).toBe(id)
  })
})

describe('an instructor who is tied to a section', () => {
  it('reaches no other by a list, nor by an id under whatever name', async () => {
    const { student } = await addClass(school, 'Night Z', 'Una Brandt')
    const fields = { name: 'Tied', username: 'tied', role: 'instructor', active: true, studentId: null }
    const made = await school.lead.ask<Account>('POST', '/api/accounts', {
      ...fields,
      sectionIds: [school.section.id],
      password: GIVEN,
    })
    expect(made.status).toBe(201)
    const tied = await new Visitor().takeUp('tied')
    const lotId = uuid()
    const line = { id: uuid(), at: '2026-11-01T10:00:00.000Z', lotId, kind: 'issued', count: 1, handfulId: null }
    const more = { booth: null, stubs: null, why: '' }
    const listed = await tied.ask('POST', '/api/rod-movements/import', {
      lines: [{ ...line, ...more, studentId: student.id }],
    })
    expect(listed.status).toBe(403)
    const deep = { couponId: uuid(), stage: 'after chipping', document: { ...aCoupon({ studentId: student.id }) } }
    expect((await tied.ask('PUT', `/api/blind-readings/${uuid()}`, deep)).status).toBe(403)
    const own = await tied.ask('PUT', `/api/remarks/${uuid()}`, {
      sectionId: school.section.id,
      studentId: null,
      booth: 3,
      says: 'Of my own',
    })
    expect(own.status).toBeLessThan(300)
  })
})

describe('what was done while no network was there', () => {
  const queue = async () =>
    (await school.instructor.ask<FloorQueue>('GET', `/api/sections/${school.section.id}/queue`)).body
  const ready = (by: Visitor, headers: Record<string, string> = {}, id = uuid()) =>
    by.ask('PUT', `/api/waiting/${id}`, { studentId: school.mine.id }, headers)

  it('a coupon that was read before ends no wait that was said after it', async () => {
    await ready(school.instructor)
    const read = (waitedMs: number) =>
      school.instructor.ask(
        'PUT',
        `/api/coupons/${uuid()}`,
        { baseVersion: 0, why: '', document: aCoupon({ studentId: school.mine.id }) },
        { [WAITED]: String(waitedMs) },
      )
    expect((await read(3_600_000)).status).toBe(200)
    expect((await queue()).waiting.map(one => one.studentId)).toEqual([school.mine.id])
    expect((await read(0)).status).toBe(200)
    expect((await queue()).waiting).toEqual([])
  })

  it('coupons that are sent together were not read together', async () => {
    for (let n = 10; n > 0; n--)
      await school.instructor.ask(
        'PUT',
        `/api/coupons/${uuid()}`,
        { baseVersion: 0, why: '', document: aCoupon({ studentId: school.other.id }) },
        { [WAITED]: String(n * 60_000) },
      )
    const { minutesAReading } = await queue()
    expect(minutesAReading === null || minutesAReading > 0.5).toBe(true)
  })

  it('a student who was heard of all along waits since now, whatever the phone says', async () => {
    const { status } = await ready(school.student, { [WAITED]: String(3 * 3_600_000) })
    expect(status).toBeLessThan(300)
    const [mine] = (await queue()).waiting
    expect(Date.now() - Date.parse(mine!.since)).toBeLessThan(2 * 60_000)
    await school.instructor.ask('DELETE', `/api/waiting/${mine!.id}`)
  })

  it('one whose phone was silent waits since it fell silent, and no longer than half an hour', async () => {
    const silentFor = (minutes: number) =>
      run(
        database(),
        `UPDATE sign_in JOIN account ON account.id = account_id SET seen_at = UTC_TIMESTAMP(3) - INTERVAL ? MINUTE
        WHERE username = 'oriel'`,
        [minutes],
      )
    for (const [silent, said, least, most] of [
      [10, 8, 7, 9],
      [10, 180, 9, 11],
      [120, 180, 29, 31],
    ] as const) {
      await silentFor(silent)
      await ready(school.student, { [WAITED]: String(said * 60_000) })
      const [mine] = (await queue()).waiting
      const minutes = (Date.now() - Date.parse(mine!.since)) / 60_000
      expect([silent, said, minutes > least && minutes < most]).toEqual([silent, said, true])
      await school.instructor.ask('DELETE', `/api/waiting/${mine!.id}`)
    }
  })
})

describe('a coupon whose student has seen how it was read', () => {
  it('is not read blind any more, nor offered for it', async () => {
    const id = uuid()
    const document = { ...aCoupon({ studentId: school.mine.id }), classDay: new Date().toISOString().slice(0, 10) }
    await school.instructor.ask('PUT', `/api/coupons/${id}`, { baseVersion: 0, why: '', document })
    const open = async () =>
      (
        await school.student.ask<{ coupons: { couponId: string }[] }>('GET', '/api/blind-readings/open')
      ).body.coupons.some(one => one.couponId === id)
    expect(await open()).toBe(true)
    expect((await school.student.ask('GET', `/api/coupons/${id}`)).status).toBe(200)
    expect(await open()).toBe(false)
    const reading = { couponId: id, stage: 'after chipping', document }
    expect((await school.student.ask('PUT', `/api/blind-readings/${uuid()}`, reading)).status).toBe(409)
  })
})
