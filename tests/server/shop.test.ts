import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { aCoupon } from '../../core/coupon/example'
import { classDayAt, MACHINE_CLOCK } from '../../core/calendar'
import { roomOfBooths, type ShopPlan } from '../../core/floor'
import type { Section, Student } from '../../contract/people'
import type { StudentHours } from '../../contract/hours'
import type { Problem } from '../../contract/problem'
import type { BoothFault, FloorBooths, ShopVersion } from '../../contract/shop'
import { closeDatabase } from '../../server/store/database'
import { floorSerials } from '../../server/store/floorSerial'
import { addClass, foundTestSchool, type School } from '../school'

const today = () => classDayAt(new Date(), MACHINE_CLOCK)
let school: School
let section: Section
let student: Student
beforeAll(async () => {
  school = await foundTestSchool()
  ;({ section, student } = await addClass(school, 'Shop Z', 'Ketil Moss'))
})
afterAll(closeDatabase)

const booths = async () => (await school.instructor.ask<FloorBooths>('GET', `/api/sections/${section.id}/booths`)).body
const own = async () => (await booths()).students.find(one => one.id === student.id)

describe('the shop', () => {
  const shop = async () => (await school.instructor.ask<ShopVersion>('GET', '/api/shop')).body
  const save = (baseVersion: number, plan: unknown) =>
    school.lead.ask<ShopVersion & Problem>('PUT', '/api/shop', { baseVersion, plan })
  const plan: ShopPlan = { rooms: [roomOfBooths([1, 2, 3, 4], 'Plate bay')] }

  it('is laid out by a lead over the newest version, or not at all', async () => {
    const before = await shop()
    const kept = await save(before.version, plan)
    expect(kept.status).toBe(200)
    expect(await shop()).toMatchObject({ version: before.version + 1, plan, saved: { by: 'Maren Holt' } })
    expect((await save(before.version, plan)).status).toBe(409)
    expect((await shop()).version).toBe(before.version + 1)
  })

  const [room] = plan.rooms as [ShopPlan['rooms'][number]]
  const first = room.fixtures[0]!
  it.each([
    ['plan.rooms', { rooms: [] }],
    ['plan.rooms', { rooms: Array.from({ length: 9 }, () => room) }],
    ['plan.rooms[0].name', { rooms: [{ ...room, name: ' ' }] }],
    ['plan.rooms[0].columns', { rooms: [{ ...room, columns: 13 }] }],
    ['plan.rooms[0].fixtures', { rooms: [{ ...room, fixtures: [...room.fixtures, first] }] }],
    ['plan.rooms[0].fixtures', { rooms: [{ ...room, fixtures: Array.from({ length: 121 }, () => first) }] }],
    ['plan.rooms[0].fixtures[0].booth', { rooms: [{ ...room, fixtures: [{ ...first, booth: 1.5 }] }] }],
    ['plan.rooms[0].fixtures[0].kind', { rooms: [{ ...room, fixtures: [{ ...first, kind: 'sofa' }] }] }],
    ['plan.rooms[0].fixtures[0].column', { rooms: [{ ...room, fixtures: [{ ...first, column: -1 }] }] }],
  ])('is refused at %s, and nothing is kept', async (path, wrong) => {
    const { version } = await shop()
    const { status, body } = await save(version, wrong)
    expect([status, body.errors?.[0]?.path]).toEqual([422, path])
    expect((await shop()).version).toBe(version)
  })
})

describe('a booth out of service', () => {
  const note = (says: string, id = uuid(), booth = 11) =>
    school.instructor.ask<Problem>('PUT', `/api/booth-faults/${id}`, { booth, says })
  const clear = (id: string) => school.lead.ask('POST', `/api/booth-faults/${id}/clear`)
  const open = async () => (await booths()).faults.filter(fault => fault.booth === 11)
  const serial = async () => (await floorSerials([section.id])).get(section.id)!

  it('is noted once however often it is sent, told to every floor, and cleared by anybody, once', async () => {
    const id = uuid()
    const before = await serial()
    for (let n = 0; n < 3; n++) expect((await note(' extraction fan stopped ', id)).status).toBe(204)
    expect(await open()).toMatchObject([{ id, booth: 11, says: 'extraction fan stopped', by: 'tobias' } as BoothFault])
    expect(await serial()).toBe(before + 1)
    expect((await clear(id)).status).toBe(204)
    expect(await open()).toEqual([])
    expect(await serial()).toBeGreaterThan(before + 1)
    // Sent late by a tablet that was out of reach, it does not come back.
    await note('extraction fan stopped', id)
    expect(await open()).toEqual([])
    expect((await clear(uuid())).status).toBe(404)
  })

  it.each([
    ['says', ' ', 3],
    ['says', 'x'.repeat(121), 3],
    ['booth', 'no booth', 0],
    ['booth', 'half a booth', 1.5],
  ])('is refused at %s: %s', async (path, says, booth) => {
    const { status, body } = await note(says, uuid(), booth)
    expect([status, body.errors?.[0]?.path]).toEqual([422, path])
  })
})

describe('hours of a programme', () => {
  const ask = (wanted: unknown) => school.lead.ask<Problem>('PUT', '/api/school/programme', { wanted })
  const hours = async () =>
    (await school.instructor.ask<StudentHours>('GET', `/api/students/${school.mine.id}/hours`)).body
  afterAll(() => ask([]))

  it('are a lead’s to say, and stand on the Record with what is done and what is left', async () => {
    expect((await school.instructor.ask('PUT', '/api/school/programme', { wanted: [] })).status).toBe(403)
    expect(
      (
        await ask([
          { of: '1G', hours: 40 },
          { of: 'all work', hours: 200 },
        ])
      ).status,
    ).toBe(204)
    const before = await hours()
    // Both days of a meeting from six to nine, of a section that meets on Mondays.
    for (const classDay of ['2026-09-14', '2026-09-21'])
      await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, {
        baseVersion: 0,
        why: '',
        document: { ...aCoupon({ studentId: school.mine.id }), classDay },
      })
    const after = await hours()
    expect(after.days).toBe(before.days + 2)
    expect(after.boothMinutes).toBe(before.boothMinutes + 360)
    const own = after.positions.find(one => one.position === '1G')!
    expect(after.programme).toEqual([
      { of: '1G', hours: 40, done: own.boothMinutes / 60, left: 40 - own.boothMinutes / 60 },
      { of: 'all work', hours: 200, done: after.boothMinutes / 60, left: 200 - after.boothMinutes / 60 },
    ])
    expect(own.boothMinutes).toBeGreaterThanOrEqual(360)
    expect((await school.student.ask('GET', `/api/students/${school.other.id}/hours`)).status).toBe(403)
  })

  it.each([
    [
      'wanted',
      [
        { of: '1G', hours: 4 },
        { of: '1G', hours: 5 },
      ],
    ],
    ['wanted[0].of', [{ of: '9G', hours: 4 }]],
    ['wanted[0].hours', [{ of: '1G', hours: 0 }]],
    ['wanted[0].hours', [{ of: '1G', hours: 2001 }]],
    ['wanted', Array.from({ length: 40 }, () => ({ of: '1G', hours: 4 }))],
    ['wanted', null],
  ])('are refused at %s', async (path, wanted) => {
    const { status, body } = await ask(wanted)
    expect([status, body.errors?.[0]?.path]).toEqual([422, path])
  })
})

describe('a class in its booths', () => {
  it('is away until somebody is seen, then here with coupons and minutes, and away again once gone home', async () => {
    expect(await own()).toEqual({ id: student.id, here: false, coupons: 0, arcMinutes: 0, rodsPast: false })
    const document = { ...aCoupon({ studentId: student.id }), classDay: today() }
    await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document })
    const there = await own()
    expect(there).toMatchObject({ here: true, coupons: 1 })
    // Six beads of six inches at eight inches a minute.
    expect(there!.arcMinutes).toBeCloseTo(4.5, 1)
    await school.instructor.ask('PUT', `/api/attendance/${uuid()}`, {
      studentId: student.id,
      classDay: today(),
      came: null,
      left: 'now',
      absent: false,
      why: '',
    })
    expect((await own())!.here).toBe(false)
  })
  it('is not there for a section that is not', async () =>
    expect((await school.lead.ask('GET', `/api/sections/${uuid()}/booths`)).status).toBe(404))
})

describe('a clamp meter held to a machine', () => {
  const BOOTH = 21
  const read = (more: object, id = uuid(), by = school.instructor) =>
    by.ask<Problem>('PUT', `/api/clamp-readings/${id}`, { booth: BOOTH, panelA: 120, clampA: 126, ...more })
  const newest = async () => (await booths()).machines.filter(one => one.booth === BOOTH)

  it('is kept once however often it is sent; the newest of a booth stands, and every floor is told', async () => {
    const id = uuid()
    const before = (await floorSerials([section.id])).get(section.id)!
    for (let n = 0; n < 2; n++) expect((await read({}, id)).status).toBe(204)
    expect((await floorSerials([section.id])).get(section.id)!).toBe(before + 1)
    expect(await newest()).toMatchObject([{ booth: BOOTH, panelA: 120, clampA: 126, by: 'tobias' }])
    await read({ clampA: 117 }, uuid(), school.lead)
    expect(await newest()).toMatchObject([{ panelA: 120, clampA: 117, by: 'Maren Holt' }])
  })
  it('goes with the coupon that is run there', async () => {
    const document = aCoupon({ studentId: student.id })
    const save = (panelOffsetA: unknown) =>
      school.instructor.ask<Problem>('PUT', `/api/coupons/${uuid()}`, {
        baseVersion: 0,
        why: '',
        document: { ...document, ticket: { ...document.ticket, panelOffsetA } },
      })
    expect((await save(-3)).status).toBe(200)
    const refused = await save(61)
    expect([refused.status, refused.body.errors?.[0]?.path]).toEqual([422, 'document.ticket.panelOffsetA'])
  })
  it.each([
    ['booth', { booth: 0 }],
    ['panelA', { panelA: 9 }],
    ['clampA', { clampA: 126.5 }],
    ['clampA', { clampA: 181 }],
    ['clampA', { clampA: '126' }],
  ])('that cannot be is refused at %s', async (path, wrong) => {
    const { status, body } = await read(wrong)
    expect([status, body.errors?.[0]?.path]).toEqual([422, path])
  })
})
