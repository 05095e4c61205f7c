import { classDayAt, daysAfter } from '../../core/calendar'
import { beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { isTry, type CouponDocument } from '../../core/coupon'
import { aCoupon, aFlaw, exampleRead } from '../../core/coupon/example'
import { DEFAULT_HOUSE_RULES } from '../../core/house'
import type { FloorStudent, Me } from '../../contract/people'
import type { HandedIn, Kiosk, OpenToRead, ReadersAgreement, BlindReadingSummary } from '../../contract/blindReadings'
import type { StudentProgress } from '../../contract/progress'
import { fitHere, keepCurves } from '../../server/store/schoolCurves'
import { addClass, foundTestSchool, type School } from '../school'
import { Visitor } from '../session'

let school: School
let section: string
let student: string
beforeAll(async () => {
  school = await foundTestSchool()
  const made = await addClass(school, 'Evening V readings', 'Mirela Stroud')
  section = made.section.id
  student = made.student.id
})

const today = new Date().toISOString().slice(0, 10)
const own = (): CouponDocument => ({ ...exampleRead(DEFAULT_HOUSE_RULES), studentId: student, classDay: today })
const save = (id: string, document: CouponDocument) =>
  school.instructor.ask('PUT', `/api/coupons/${id}`, { baseVersion: 0, why: '', document })
const tablet = async () => {
  const visitor = await new Visitor().signIn('tobias')
  expect((await visitor.ask('POST', '/api/kiosk', { sectionId: section })).status).toBe(204)
  return visitor
}
const hand = (visitor: Visitor, couponId: string, document: CouponDocument, stage = 'after chipping', id = uuid()) =>
  visitor.ask<HandedIn>('PUT', `/api/blind-readings/${id}`, { couponId, stage, document })

describe('the tablet', () => {
  it('is handed over: nobody is signed in at it, and names are all it shows', async () => {
    const visitor = await tablet()
    expect((await visitor.ask('GET', `/api/students/${student}/record`)).status).toBe(401)
    expect((await visitor.ask('GET', '/api/sections')).status).toBe(401)
    expect((await visitor.ask('GET', '/api/blind-readings/open')).status).toBe(401)
    const { body } = await visitor.ask<Kiosk>('GET', '/api/kiosk')
    expect(body).toEqual({
      sectionId: section,
      section: 'Evening V readings',
      students: [{ id: student, name: 'Mirela Stroud', booth: 5, hasCode: false }],
      studentId: null,
      timeZone: '',
      dayTurnsAt: 0,
    })
  })
  it('lets a student in by the code, and nobody by a wrong one or with another section’s student', async () => {
    expect((await school.instructor.ask('PUT', `/api/students/${student}/code`, { code: '12a4' })).body.errors).toEqual(
      [{ path: 'code', message: 'code is four digits' }],
    )
    expect((await school.instructor.ask('PUT', `/api/students/${student}/code`, { code: '4711' })).status).toBe(204)
    const visitor = await tablet()
    const enter = (studentId: string, code: string) => visitor.ask('POST', '/api/kiosk/student', { studentId, code })
    expect((await enter(student, '4712')).body).toMatchObject({ detail: 'That is not your code.' })
    await school.instructor.ask('PUT', `/api/students/${school.other.id}/code`, { code: '4711' })
    expect((await enter(school.other.id, '4711')).status).toBe(422)
    expect((await enter(student, '4711')).status).toBe(204)
    expect((await visitor.ask<Kiosk>('GET', '/api/kiosk')).body.studentId).toBe(student)
    expect((await visitor.ask('DELETE', '/api/kiosk/student')).status).toBe(204)
    expect((await visitor.ask('GET', '/api/blind-readings/open')).status).toBe(401)
  })
  it('is taken back by signing in, and then nobody reads at it as a student', async () => {
    const visitor = await tablet()
    await visitor.ask('POST', '/api/kiosk/student', { studentId: student, code: '4711' })
    await visitor.signIn('tobias')
    expect((await visitor.ask('GET', '/api/kiosk')).status).toBe(401)
    expect((await visitor.ask('GET', '/api/blind-readings/open')).status).toBe(403)
    expect((await visitor.ask('GET', '/api/sections')).status).toBe(200)
  })
  it('has a name wait after five wrong codes', async () => {
    const target = (await addClass(school, 'Evening V codes', 'Dario Venn')).student.id
    const visitor = await new Visitor().signIn('tobias')
    const there = (
      await school.lead.ask<{ sectionId: string }[]>(
        'GET',
        `/api/sections/${(await school.lead.ask<{ id: string; name: string }[]>('GET', '/api/sections')).body.find(one => one.name === 'Evening V codes')!.id}/students`,
      )
    ).body[0]!
    await school.instructor.ask('PUT', `/api/students/${target}/code`, { code: '1111' })
    await visitor.ask('POST', '/api/kiosk', { sectionId: there.sectionId })
    for (let n = 0; n < 5; n++)
      expect((await visitor.ask('POST', '/api/kiosk/student', { studentId: target, code: '0000' })).status).toBe(422)
    expect((await visitor.ask('POST', '/api/kiosk/student', { studentId: target, code: '1111' })).status).toBe(429)
  })
})

describe('a student reads the own coupon', () => {
  const reader = async () => {
    const visitor = await tablet()
    await visitor.ask('POST', '/api/kiosk/student', { studentId: student, code: '4711' })
    return visitor
  }
  it('before the instructor, who gets the same coupon without the marks; afterwards both are laid over each other', async () => {
    const visitor = await reader()
    const couponId = uuid()
    const answers = { 'rod glows': 'yes' } as const
    const first = await hand(visitor, couponId, { ...own(), answers })
    expect(first.status).toBe(200)
    expect(first.body.reference).toBeNull()
    const floor = (await school.instructor.ask<FloorStudent[]>('GET', `/api/sections/${section}/floor`)).body
    const waiting = floor.find(one => one.id === student)!.selfRead!
    expect(waiting.couponId).toBe(couponId)
    expect(waiting.document.marks.every(mark => isTry(mark) && mark.degree === 'sound')).toBe(true)
    expect(waiting.document.answers).toEqual(answers)
    expect((await school.instructor.ask('GET', `/api/coupons/${couponId}/blind-readings`)).status).toBe(404)

    await save(couponId, { ...own(), marks: [...own().marks, aFlaw({ id: 'missed', beadId: 'b5' })] })
    expect(
      (await school.instructor.ask<FloorStudent[]>('GET', `/api/sections/${section}/floor`)).body.find(
        one => one.id === student,
      )!.selfRead,
    ).toBeNull()
    const [summary] = (
      await school.instructor.ask<BlindReadingSummary[]>('GET', `/api/students/${student}/blind-readings`)
    ).body
    expect(summary).toMatchObject({ couponId, outcomes: { found: 4, missed: 1, imagined: 0, misjudged: 0 } })
  })
  it('is one reading when it is sent twice, and cannot be read twice', async () => {
    const visitor = await reader()
    const [couponId, id] = [uuid(), uuid()]
    const once = await hand(visitor, couponId, own(), 'before chipping', id)
    expect((await hand(visitor, couponId, own(), 'before chipping', id)).body).toEqual(once.body)
    expect((await hand(visitor, couponId, own(), 'before chipping')).status).toBe(409)
    const open = (await visitor.ask<OpenToRead>('GET', '/api/blind-readings/open')).body
    expect(open.coupons[0]).toMatchObject({ couponId, read: ['before chipping'] })
    expect((await hand(visitor, couponId, own())).status).toBe(200)
    expect(
      (await visitor.ask<OpenToRead>('GET', '/api/blind-readings/open')).body.coupons.some(
        coupon => coupon.couponId === couponId,
      ),
    ).toBe(false)
  })
  it('not another student’s', async () => {
    const visitor = await reader()
    expect((await hand(visitor, uuid(), aCoupon({ studentId: school.other.id }))).status).toBe(403)
    const others = uuid()
    await save(others, aCoupon({ studentId: school.other.id }))
    expect((await hand(visitor, others, own())).status).toBe(422)
    expect((await school.student.ask('GET', `/api/students/${student}/blind-readings`)).status).toBe(403)
  })
  it('sees coupons of late without what the instructor saw', async () => {
    const visitor = await reader()
    const couponId = uuid()
    await save(couponId, { ...own(), notes: 'too hot' })
    const { coupons } = (await visitor.ask<OpenToRead>('GET', '/api/blind-readings/open')).body
    const found = coupons.find(coupon => coupon.couponId === couponId)!
    expect(JSON.stringify(found)).not.toMatch(/too hot|"poor"|"flaw"/)
    expect((await hand(visitor, couponId, found.document, 'before chipping')).body.reference).toBeNull()
    expect((await hand(visitor, couponId, found.document)).body.reference!.notes).toBe('too hot')
  })
})

describe('a second reader', () => {
  it('reads blind what another read, and the school sees how they agree', async () => {
    const couponId = uuid()
    await save(couponId, own())
    const blind = (await school.lead.ask<CouponDocument>('GET', `/api/coupons/${couponId}/blind`)).body
    expect(blind.marks.every(mark => isTry(mark) && mark.degree === 'sound')).toBe(true)
    expect(
      (await school.lead.ask<ReadersAgreement>('GET', '/api/blind-readings/agreement')).body.waiting.map(
        one => one.couponId,
      ),
    ).toContain(couponId)
    expect((await hand(school.instructor, couponId, blind)).body).toMatchObject({
      detail: 'You read this coupon yourself; somebody else reads it blind.',
    })
    expect((await hand(school.lead, couponId, own())).status).toBe(200)
    const { pairs, waiting } = (await school.lead.ask<ReadersAgreement>('GET', '/api/blind-readings/agreement')).body
    expect(waiting.map(one => one.couponId)).not.toContain(couponId)
    expect(pairs.find(pair => pair.second === 'Maren Holt')).toMatchObject({
      first: 'tobias',
      coupons: 1,
      tallies: {
        flaws: {
          undercut: [
            [
              [expect.any(Number), 0],
              [0, expect.any(Number)],
            ],
          ],
        },
      },
    })
    expect((await hand(school.lead, uuid(), own())).status).toBe(404)
  })
})

describe('how much each reader marks', () => {
  /** Eight undercuts beside what the example has, or none of its flaws. */
  const marked = (much: boolean): CouponDocument => {
    const document = own()
    const marks = document.marks.filter(isTry)
    const flaws = document.beads.map((bead, n) => aFlaw({ id: uuid(), beadId: bead.id, atMm: 20 + n, toMm: 90 }))
    return { ...document, marks: much ? [...marks, ...flaws] : marks }
  }

  it('is told to those who teach them, and to no student', async () => {
    for (let n = 0; n < 6; n++) {
      const couponId = uuid()
      expect((await save(couponId, marked(false))).status).toBe(200)
      expect((await hand(school.lead, couponId, marked(true))).status).toBe(200)
    }
    await keepCurves(new Date(), fitHere)
    const agreement = (who: Visitor) => who.ask<ReadersAgreement>('GET', '/api/blind-readings/agreement')
    const { marks } = (await agreement(school.lead)).body
    const of = (name: string) => marks.find(one => one.name === name)!
    expect(of('tobias').all.share).toBeLessThan(of('Maren Holt').all.share)
    const toes = (name: string) => of(name).elements.find(({ element }) => element === 'toes')!
    expect(toes('tobias').high).toBeLessThan(toes('Maren Holt').share)
    const { body } = await school.instructor.ask<StudentProgress>('GET', `/api/students/${student}/progress`)
    for (const curve of Object.values(body.curves)) expect(curve.readers).toEqual({})
  })
})

describe('the school’s own day', () => {
  /** Twenty-five hours apart: whatever the hour, the two never have the same day. */
  const [EARLIEST, LATEST] = ['Pacific/Pago_Pago', 'Pacific/Kiritimati']
  const move = (timeZone: string, as = school.lead) => as.ask('PUT', '/api/school', { timeZone, dayTurnsAt: 0 })
  it('decides what is still open to be read, not the day of the server', async () => {
    const made = await addClass(school, 'Evening V zones', 'Isaura Penn')
    const couponId = uuid()
    // Eight days old where the day comes last, seven or fewer where it comes first.
    const classDay = daysAfter(classDayAt(new Date(), { zone: LATEST, turnsAt: 0 }), -8)
    const document = { ...own(), studentId: made.student.id, classDay }
    await school.instructor.ask('PUT', `/api/students/${made.student.id}/code`, { code: '2580' })
    await school.instructor.ask('PUT', `/api/coupons/${couponId}`, { baseVersion: 0, why: '', document })
    const visitor = await new Visitor().signIn('tobias')
    await visitor.ask('POST', '/api/kiosk', { sectionId: made.section.id })
    await visitor.ask('POST', '/api/kiosk/student', { studentId: made.student.id, code: '2580' })
    const open = async () =>
      (await visitor.ask<OpenToRead>('GET', '/api/blind-readings/open')).body.coupons.map(one => one.couponId)
    expect((await move(LATEST)).status).toBe(200)
    expect(await open()).toEqual([])
    await move(EARLIEST)
    expect(await open()).toEqual([couponId])
    expect((await visitor.ask<Kiosk>('GET', '/api/kiosk')).body.timeZone).toBe(EARLIEST)
    expect((await school.lead.ask<Me>('GET', '/api/session')).body.timeZone).toBe(EARLIEST)
    await move('UTC')
  })
  it('is the lead’s to say, and a place that nobody knows is refused by name', async () => {
    expect((await move('UTC', school.instructor)).status).toBe(403)
    const refused = await school.lead.ask<{ errors: { path: string; message: string }[] }>('PUT', '/api/school', {
      timeZone: 'Gannet/Quay',
      dayTurnsAt: 0,
    })
    expect(refused.status).toBe(422)
    expect(refused.body.errors).toEqual([
      { path: 'timeZone', message: 'Gannet/Quay is no time zone that is known, like Europe/Lisbon' },
    ])
  })
})
