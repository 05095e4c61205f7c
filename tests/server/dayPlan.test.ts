import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { USUAL_TERMS } from '../../core/dayPlan'
import { usualPiece } from '../../core/coupon'
import { aCoupon, aJoint } from '../../core/coupon/example'
import { ALL_MEANS, roomOfBooths } from '../../core/floor'
import { FULL_LADDER } from '../../core/ladder'
import type { SectionDay } from '../../contract/day'
import type { DayPlan, DayPlanVersion, DayToPlan } from '../../contract/dayPlan'
import type { PersonExport } from '../../contract/personData'
import type { Section, Student } from '../../contract/people'
import type { Problem } from '../../contract/problem'
import type { ShopVersion } from '../../contract/shop'
import { closeDatabase } from '../../server/store/database'
import { addClass, foundTestSchool, type School } from '../school'

const DAY = '2026-10-05'
let school: School
let section: Section
let student: Student
let other: Student
beforeAll(async () => {
  school = await foundTestSchool()
  ;({ section, student } = await addClass(school, 'Plan P', 'Hedra Pool'))
  ;({ student: other } = await addClass(school, 'Plan Q', 'Jory Vance'))
})
afterAll(closeDatabase)

const path = () => `/api/sections/${section.id}/plan`
const known = async (day = DAY) => (await school.instructor.ask<DayToPlan>('GET', `${path()}?day=${day}`)).body
const save = (body: unknown) => school.instructor.ask<DayPlanVersion & Problem>('PUT', path(), body)
const line = (more: object = {}) => ({
  studentId: student.id,
  rungId: FULL_LADDER.rungs[0]!.id,
  nth: 1,
  booth: 3,
  from: 30,
  minutes: 45,
  pinned: true,
  ...more,
})
const plan = (more: Partial<Record<keyof DayPlan, unknown>> = {}) => ({
  from: '18:00',
  minutes: 180,
  terms: {
    ...USUAL_TERMS,
    shown: [{ topic: 'Restarts', from: 0, minutes: 15 }],
    pieces: { pad: 4 },
    again: { 'plate groove': 2 },
  },
  lines: [line()],
  ...more,
})

describe('the plan of a day', () => {
  it('is planned from who is here, what each has run, the booths in service and the rods there are', async () => {
    const { version } = (await school.lead.ask<ShopVersion>('GET', '/api/shop')).body
    const laidOut = roomOfBooths([7, 8], 'Bay')
    const noStand = { ...ALL_MEANS, pipeStand: false, mostA: 160 }
    const rooms = [
      { ...laidOut, fixtures: laidOut.fixtures.map(one => (one.booth === 8 ? { ...one, means: noStand } : one)) },
    ]
    expect((await school.lead.ask('PUT', '/api/shop', { baseVersion: version, plan: { rooms } })).status).toBe(200)
    expect((await known()).booths).toEqual([
      { booth: 7, means: ALL_MEANS },
      { booth: 8, means: noStand },
    ])
    const fault = uuid()
    await school.instructor.ask('PUT', `/api/booth-faults/${fault}`, { booth: 7, says: 'no arc' })
    const day = await known()
    await school.instructor.ask('POST', `/api/booth-faults/${fault}/clear`)
    expect(day.booths.map(one => one.booth)).toEqual([8])
    expect(day.students).toMatchObject([{ student: { id: student.id }, absent: false, lately: [] }])
    expect(day.common?.ladder.ladder.rungs.length).toBeGreaterThan(10)
    expect(day.kept).toEqual({ version: 0, plan: null, saved: null })
  })
  it('counts the rods of a kind over its lots', async () => {
    const lot = (makersLot: string) => ({
      classification: 'E7014',
      diameterMm: 3.175,
      makersLot,
      resistant: false,
      receivedOn: '2026-09-01',
      openedOn: null,
      rodsInBox: 100,
      boxPriceCents: null,
      place: 'shelf',
    })
    for (const [makersLot, count] of [
      ['P 1', 60],
      ['P 2', 40],
    ] as const) {
      const lotId = uuid()
      await school.instructor.ask('PUT', `/api/rod-lots/${lotId}`, lot(makersLot))
      const said = {
        lotId,
        kind: 'received',
        count,
        handfulId: null,
        studentId: null,
        booth: null,
        stubs: null,
        why: '',
      }
      expect((await school.instructor.ask('PUT', `/api/rod-movements/${uuid()}`, said)).status).toBeLessThan(300)
    }
    expect((await known()).rods['E7014 1/8 in']).toBe(100)
  })
  it('knows what was welded on the class day before, by kind: what may be taken again', async () => {
    const made = await addClass(school, 'Plan again', 'Merryn Pascoe')
    const welded = async (day: string) =>
      (await school.instructor.ask<DayToPlan>('GET', `/api/sections/${made.section.id}/plan?day=${day}`)).body.welded
    expect(await welded(DAY)).toEqual({})
    const pad = aCoupon({ studentId: made.student.id })
    const joint = {
      ...aJoint(usualPiece('plate groove'), { position: '3G', travel: 'up' }),
      studentId: made.student.id,
    }
    for (const document of [
      { ...pad, classDay: '2026-09-28' },
      { ...pad, classDay: '2026-10-01' },
      { ...pad, classDay: '2026-10-01' },
      { ...joint, classDay: '2026-10-01' },
      { ...pad, classDay: DAY },
    ]) {
      const body = { baseVersion: 0, why: '', document }
      expect((await school.lead.ask('PUT', `/api/coupons/${uuid()}`, body)).status).toBe(200)
    }
    expect(await welded(DAY)).toEqual({ 'pad': 2, 'plate groove': 1 })
    expect(await welded('2026-10-01')).toEqual({ pad: 1 })
  })
  it('knows who is noted as missing that day, and not on another', async () => {
    const note = { came: null, left: null, absent: true, why: '', studentId: student.id }
    await school.instructor.ask('PUT', `/api/attendance/${uuid()}`, { ...note, classDay: DAY })
    expect((await known()).students[0]!.absent).toBe(true)
    expect((await known('2026-10-06')).students[0]!.absent).toBe(false)
  })

  it('is kept over the version it was made from, or not at all; a day has its own', async () => {
    const first = await save({ classDay: DAY, baseVersion: 0, plan: plan() })
    expect([first.status, first.body.version, first.body.plan]).toEqual([200, 1, plan()])
    expect((await known()).kept).toMatchObject({ version: 1, plan: plan(), saved: { by: 'tobias' } })
    expect((await save({ classDay: DAY, baseVersion: 0, plan: plan({ lines: [] }) })).status).toBe(409)
    expect((await save({ classDay: DAY, baseVersion: 1, plan: plan({ lines: [] }) })).body.version).toBe(2)
    expect((await known('2026-10-06')).kept.version).toBe(0)
  })
  it('stands on the page of its day, by the clock on the wall', async () => {
    await save({ classDay: DAY, baseVersion: 2, plan: plan({ lines: [line({ from: 90, booth: 4 }), line()] }) })
    const { students } = (await school.instructor.ask<SectionDay>('GET', `/api/sections/${section.id}/day?day=${DAY}`))
      .body
    const rung = FULL_LADDER.rungs[0]!.name
    expect(students.find(one => one.id === student.id)!.planned).toEqual([
      { at: '18:30', rung, booth: 3 },
      { at: '19:30', rung, booth: 4 },
    ])
    await save({ classDay: DAY, baseVersion: 3, plan: plan({ lines: [] }) })
  })
  it('is in what a student is given of the own data: the newest plan of each day', async () => {
    const told = async () =>
      (await school.lead.ask<PersonExport>('GET', `/api/students/${student.id}/export`)).body.planned
    expect(await told()).toEqual([])
    await save({ classDay: DAY, baseVersion: 4, plan: plan() })
    const { studentId: _, nth: __, pinned: ___, ...own } = line()
    expect(await told()).toEqual([{ classDay: DAY, ...own }])
  })

  it.each<[string, () => object]>([
    ['classDay', () => ({ classDay: 'Monday' })],
    ['baseVersion', () => ({ baseVersion: -1 })],
    ['plan.from', () => ({ plan: plan({ from: '25:00' }) })],
    ['plan.minutes', () => ({ plan: plan({ minutes: 5 }) })],
    ['plan.terms.stepMinutes', () => ({ plan: plan({ terms: { ...USUAL_TERMS, stepMinutes: 7 } }) })],
    ['plan.terms.readMinutes', () => ({ plan: plan({ terms: { ...USUAL_TERMS, readMinutes: 0 } }) })],
    ['plan.terms.pieces.pad', () => ({ plan: plan({ terms: { ...USUAL_TERMS, pieces: { pad: -1 } } }) })],
    ['plan.terms.again.pad', () => ({ plan: plan({ terms: { ...USUAL_TERMS, again: { pad: 1.5 } } }) })],
    ['plan.terms.pieces', () => ({ plan: plan({ terms: { ...USUAL_TERMS, pieces: { anvil: 1 } } }) })],
    ['plan.terms.pairs[0]', () => ({ plan: plan({ terms: { ...USUAL_TERMS, pairs: [[uuid()]] } }) })],
    ['plan.lines[0].booth', () => ({ plan: plan({ lines: [line({ booth: 0 })] }) })],
    ['plan.lines[0].rungId', () => ({ plan: plan({ lines: [line({ rungId: 'a b' })] }) })],
    ['plan.lines', () => ({ plan: plan({ lines: Array.from({ length: 401 }, () => line()) }) })],
  ])('is refused at %s, and nothing is kept', async (where, wrong) => {
    const { version } = (await known()).kept
    const { status, body } = await save({ classDay: DAY, baseVersion: version, plan: plan(), ...wrong() })
    expect([status, body.errors?.[0]?.path]).toEqual([422, where])
    expect((await known()).kept.version).toBe(version)
  })
  it('names nobody of another section', async () => {
    const { version } = (await known()).kept
    const wrong = plan({ lines: [line({ studentId: other.id })] })
    expect((await save({ classDay: DAY, baseVersion: version, plan: wrong })).status).toBe(422)
    const paired = plan({ terms: { ...USUAL_TERMS, pairs: [[student.id, other.id]] } })
    expect((await save({ classDay: DAY, baseVersion: version, plan: paired })).status).toBe(422)
  })
  it('is of a section that there is, on a day that there is', async () => {
    expect((await school.instructor.ask('GET', `/api/sections/${uuid()}/plan`)).status).toBe(404)
    expect((await school.instructor.ask('GET', `${path()}?day=2026-13-01`)).status).toBe(422)
  })
})
