import { beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { Problem } from '../../contract/problem'
import type { RodLotSave, RodRoom, RodsAhead, RodsUsed } from '../../contract/rodRoom'
import type { FloorBooths } from '../../contract/shop'
import { WAITED } from '../../contract/waited'
import { classDayAt, daysAfter } from '../../core/calendar'
import { usualPiece, type CouponDocument } from '../../core/coupon'
import { aCoupon, aJoint } from '../../core/coupon/example'
import type { SaidOfRods } from '../../core/rodRoom'
import type { WelderTest } from '../../core/welderTest'
import { aTest } from '../../core/welderTest/example'
import { database, run } from '../../server/store/database'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS, GIVEN, Visitor } from '../session'

let school: School
beforeAll(async () => {
  school = await foundTestSchool()
})

const LOT: RodLotSave = {
  classification: 'E7018',
  diameterMm: 3.175,
  makersLot: 'B-2291',
  resistant: false,
  receivedOn: '2026-09-01',
  openedOn: null,
  rodsInBox: 100,
  boxPriceCents: 3200,
  place: 'oven 1',
}
const aLot = async (more: Partial<RodLotSave> = {}) => {
  const id = uuid()
  expect((await school.instructor.ask('PUT', `/api/rod-lots/${id}`, { ...LOT, ...more })).status).toBe(204)
  return id
}
const rods = async (by = school.instructor) => (await by.ask<RodRoom>('GET', '/api/rods')).body
const write = (lotId: string, said: Partial<SaidOfRods>, id = uuid()) =>
  school.instructor.ask<Problem & { stock: number }>('PUT', `/api/rod-movements/${id}`, {
    lotId,
    kind: 'issued',
    count: 0,
    handfulId: null,
    studentId: null,
    booth: null,
    stubs: null,
    why: '',
    ...said,
  })
/** Moves a line of the book back. */
const longAgo = (line: string, hours: number) =>
  run(database(), 'UPDATE rod_movement SET noted_at = UTC_TIMESTAMP(3) - INTERVAL ? HOUR WHERE id = ?', [hours, line])
const wrongFields = (answer: { body: Problem }) => answer.body.errors?.map(error => error.path)

describe('a test', () => {
  it('is not kept that calls rods in date which are past their hours, unless it was so when it was done', async () => {
    const lotId = await aLot()
    const drawn = uuid()
    await write(lotId, { count: 6, studentId: school.mine.id }, drawn)
    await longAgo(drawn, 6)
    const document = { ...aTest(school.mine.id), couponId: uuid() }
    const inDate = { ...document, checks: { ...document.checks, 'whole rods, in date': true } }
    const id = uuid()
    const put = (next: WelderTest, baseVersion: number, headers = {}) =>
      school.instructor.ask<Problem>('PUT', `/api/tests/${id}`, { baseVersion, document: next }, headers)
    expect((await put(document, 0)).status).toBe(200)
    const refused = await put(inDate, 1)
    expect([refused.status, refused.body.errors?.[0]!.path]).toEqual([422, 'document.checks'])
    expect(refused.body.detail).toMatch(/past their hours: draw fresh ones first/)
    // Said three hours into those rods' four, and sent only now.
    expect((await put(inDate, 1, { [WAITED]: String(3 * 3_600_000) })).status).toBe(200)
    // Once said it stands: whatever is saved of the test after is not held up by it.
    expect((await put({ ...inDate, notes: 'windy' }, 2)).status).toBe(200)
    await write(lotId, { kind: 'returned', count: 0, handfulId: drawn })
  })
})

describe('lots', () => {
  it('are kept, changed, and listed', async () => {
    const id = await aLot()
    expect((await rods()).lots.find(lot => lot.id === id)).toEqual({ ...LOT, id })
    await school.instructor.ask('PUT', `/api/rod-lots/${id}`, { ...LOT, place: 'oven 2', boxPriceCents: null })
    expect((await rods()).lots.find(lot => lot.id === id)).toMatchObject({ place: 'oven 2', boxPriceCents: null })
  })

  it.each([
    ['classification', 'E9999'],
    ['diameterMm', 3.3],
    ['makersLot', ' '],
    ['receivedOn', '2026-02-30'],
    ['rodsInBox', 0],
    ['boxPriceCents', -1],
    ['place', null],
  ])('%s is named when it is %j', async (field, value) => {
    const answer = await school.instructor.ask<Problem>('PUT', `/api/rod-lots/${uuid()}`, { ...LOT, [field]: value })
    expect([answer.status, ...wrongFields(answer)!]).toEqual([422, field])
  })
})

describe('the book', () => {
  it('answers what the store then holds; the same line sent again is one line', async () => {
    const lotId = await aLot()
    expect((await write(lotId, { kind: 'received', count: 200 })).body.stock).toBe(200)
    const id = uuid()
    for (let again = 0; again < 2; again++)
      expect((await write(lotId, { count: 8, studentId: school.mine.id, booth: 1 }, id)).body.stock).toBe(192)
    expect((await write(lotId, { kind: 'returned', count: 2, handfulId: id, stubs: { 'to 2': 6 } })).body.stock).toBe(
      194,
    )
    const { stock, movements } = await rods()
    expect(stock[lotId]).toBe(194)
    expect(movements.filter(line => line.lotId === lotId).map(line => [line.kind, line.rods])).toEqual([
      ['received', 200],
      ['issued', -8],
      ['returned', 2],
    ])
    expect(movements.find(line => line.id === id)).toMatchObject({ studentId: school.mine.id, booth: 1, by: 'tobias' })
  })

  it('loses no rod when two tablets draw and bring back at once', async () => {
    const lotId = await aLot()
    await write(lotId, { kind: 'received', count: 500 })
    const drawn = Array.from({ length: 12 }, () => uuid())
    await Promise.all(drawn.map(id => write(lotId, { count: 10 }, id)))
    expect((await rods()).stock[lotId]).toBe(380)
    // Each handful is brought back from two tablets at the same moment: one of the two is told that it is back.
    const answers = await Promise.all(
      drawn.flatMap(handfulId => [1, 2].map(() => write(lotId, { kind: 'returned', count: 4, handfulId }))),
    )
    expect(answers.filter(answer => answer.status === 200)).toHaveLength(12)
    expect(answers.filter(answer => answer.status === 409)).toHaveLength(12)
    expect((await rods()).stock[lotId]).toBe(380 + 48)
  })

  it('has rods back once that were drawn on a whole second', async () => {
    const lotId = await aLot()
    const id = uuid()
    await write(lotId, { count: 8, studentId: school.mine.id }, id)
    await run(
      database(),
      'UPDATE rod_movement SET noted_at = DATE_FORMAT(noted_at, "%Y-%m-%d %H:%i:%s") WHERE id = ?',
      [id],
    )
    const back = () => write(lotId, { kind: 'returned', count: 2, handfulId: id })
    expect([(await back()).status, (await back()).status]).toEqual([200, 409])
  })

  it('lets the store go under nought, and a count puts it right with why', async () => {
    const lotId = await aLot()
    expect((await write(lotId, { count: 5 })).body.stock).toBe(-5)
    expect(wrongFields(await write(lotId, { kind: 'counted', count: 40 }))).toEqual(['why'])
    expect((await write(lotId, { kind: 'counted', count: 40, why: 'a box nobody wrote down' })).body.stock).toBe(40)
  })

  it('refuses rods past their hours until they are re-dried, once', async () => {
    const lotId = await aLot()
    const id = uuid()
    await write(lotId, { count: 8 }, id)
    await longAgo(id, 6)
    expect((await write(lotId, { kind: 'returned', count: 6, handfulId: id })).status).toBe(200)
    const refused = await write(lotId, { handfulId: id })
    expect([refused.status, refused.body.detail]).toEqual([409, 'They are past their hours: re-dry them first, once.'])
    expect((await write(lotId, { kind: 're-dried', handfulId: id })).status).toBe(200)
    const again = await write(lotId, { handfulId: id })
    expect([again.status, again.body.stock]).toEqual([200, -8])
  })

  it('tells the booth of rods past their hours, those too that were re-dried and are past them again', async () => {
    const { section, student } = await addClass(school, 'Rods past Z', 'Hedra Voss')
    const past = async () => {
      const { body } = await school.instructor.ask<FloorBooths>('GET', `/api/sections/${section.id}/booths`)
      return body.students.find(one => one.id === student.id)!.rodsPast
    }
    const lotId = await aLot()
    const [drawn, back, dried, again] = [uuid(), uuid(), uuid(), uuid()]
    await write(lotId, { count: 8, studentId: student.id }, drawn)
    expect(await past()).toBe(false)
    await longAgo(drawn, 12)
    expect(await past()).toBe(true)
    await write(lotId, { kind: 'returned', count: 6, handfulId: drawn }, back)
    await longAgo(back, 7)
    expect(await past()).toBe(false)
    expect((await write(lotId, { kind: 're-dried', handfulId: drawn }, dried)).status).toBe(200)
    await longAgo(dried, 6)
    expect((await write(lotId, { handfulId: drawn }, again)).status).toBe(200)
    expect(await past()).toBe(false)
    await longAgo(again, 5)
    expect(await past()).toBe(true)
    // All burnt: nothing is in the hand.
    await write(lotId, { kind: 'returned', handfulId: drawn })
    expect(await past()).toBe(false)
  })

  it.each([
    ['kind', { kind: 'lent' }],
    ['count', { count: 0 }],
    ['count', { count: 2.5 }],
    ['handfulId', { kind: 'returned', count: 1 }],
    ['why', { kind: 'binned', count: 3 }],
    ['stubs.to 3', { kind: 'returned', count: 1, handfulId: uuid(), stubs: { 'to 3': 1 } }],
  ] as const)('%s is named when it is %j', async (field, said) => {
    const lotId = await aLot()
    const answer = await write(lotId, said as Partial<SaidOfRods>)
    expect(answer.status).toBe(422)
    expect(JSON.stringify(answer.body.errors)).toContain(field.split('.').at(-1))
    expect((await rods()).stock[lotId]).toBe(0)
  })

  it('knows the lot and the student that it is about', async () => {
    expect(wrongFields(await write(uuid(), { count: 3 }))).toEqual(['lotId'])
    expect(wrongFields(await write(await aLot(), { count: 3, studentId: uuid() }))).toEqual(['studentId'])
  })

  it('names no student of a section that an instructor does not teach', async () => {
    const { section, student } = await addClass(school, 'Rods Z', 'Jago Trew')
    const account = { name: 'Rod Keeper', username: 'rod-keeper', role: 'instructor', studentId: null, active: true }
    const fields = { ...account, sectionIds: [section.id], password: GIVEN }
    expect((await school.lead.ask('POST', '/api/accounts', fields)).status).toBe(201)
    const other = await new Visitor().takeUp('rod-keeper')
    const lotId = await aLot()
    await write(lotId, { count: 3, studentId: school.mine.id })
    await write(lotId, { count: 4, studentId: student.id })
    const seen = (await rods(other)).movements.filter(line => line.lotId === lotId)
    expect(seen.map(line => line.studentId)).toEqual([undefined, student.id])
    expect((await rods(other)).names).toEqual({ [student.id]: 'Jago Trew' })
    expect((await rods(school.lead)).movements.find(line => line.lotId === lotId)?.studentId).toBe(school.mine.id)
  })
})

describe('what a screen is told of the book', () => {
  const lines = async (lotId: string) => (await rods()).movements.filter(line => line.lotId === lotId)
  const used = async () => (await school.instructor.ask<RodsUsed>('GET', '/api/rods/used')).body

  it('is all of what is out or apart, however long ago, and the last days; the weeks where they are asked for', async () => {
    const lotId = await aLot()
    const [came, out, apart, burnt, binned] = [uuid(), uuid(), uuid(), uuid(), uuid()]
    await write(lotId, { kind: 'received', count: 90 }, came)
    for (const id of [out, apart, burnt, binned]) await write(lotId, { count: 8, studentId: school.mine.id }, id)
    const [back, over, inBin] = [uuid(), uuid(), uuid()]
    await write(lotId, { kind: 'returned', handfulId: apart, count: 5 }, back)
    await write(lotId, { kind: 'returned', handfulId: burnt }, over)
    await write(lotId, { kind: 'binned', handfulId: binned, why: 'wet' }, inBin)
    const all = [came, out, apart, burnt, binned, back, over, inBin]
    expect((await lines(lotId)).map(line => line.id).sort()).toEqual([...all].sort())
    for (const id of all) await longAgo(id, 24 * 30)
    // A month out is past all hours: it stays apart, to be re-dried or binned.
    await longAgo(back, 24 * 29)
    expect((await lines(lotId)).map(line => line.id).sort()).toEqual([out, apart, back].sort())
    // An hour out and a month in the oven: it lies with the rest of its lot.
    await longAgo(back, 24 * 30 - 1)
    expect((await lines(lotId)).map(line => line.id)).toEqual([out])
    expect((await rods()).stock[lotId]).toBe(90 - 4 * 8 + 5)
    const book = (await used()).movements.filter(line => line.lotId === lotId)
    expect(book.map(line => line.id).sort()).toEqual([...all].sort())
    const { names, sections } = await used()
    expect([names[school.mine.id], sections[school.mine.id]]).toEqual([school.mine.name, school.section.name])
    expect(Object.keys(sections).sort()).toEqual(Object.keys(names).sort())
    // Past the weeks of the book nothing is told of it, and the stock stands.
    for (const id of all) await longAgo(id, 24 * 80)
    expect(await lines(lotId)).toEqual([])
    expect((await used()).movements.filter(line => line.lotId === lotId)).toEqual([])
    expect((await rods()).stock[lotId]).toBe(90 - 4 * 8 + 5)
  })
})

describe('what happened to rods, from a list', () => {
  const ago = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString()
  const nothing = { count: 0, handfulId: null, studentId: null, booth: null, stubs: null, why: '' }
  const bring = (lines: readonly object[]) =>
    school.instructor.ask<Problem>('POST', '/api/rod-movements/import', {
      lines: lines.map(line => ({ ...nothing, id: uuid(), ...line })),
    })
  const stock = async (lotId: string) => (await rods()).stock[lotId]

  it('comes in as of when it happened, in that order; the same list again changes nothing', async () => {
    const lotId = await aLot({ makersLot: 'Listed 1' })
    const drawn = uuid()
    const list = [
      { id: uuid(), lotId, kind: 'returned', handfulId: drawn, count: 2, stubs: { 'to 2': 6 }, at: ago(19.9) },
      { id: drawn, lotId, kind: 'issued', count: 8, studentId: school.mine.id, at: ago(20) },
      { id: uuid(), lotId, kind: 'received', count: 150, at: ago(30) },
    ]
    expect((await bring(list)).status).toBe(204)
    expect(await stock(lotId)).toBe(150 - 8 + 2)
    expect((await bring(list)).status).toBe(204)
    expect(await stock(lotId)).toBe(150 - 8 + 2)
    const { movements } = (await school.instructor.ask<RodsUsed>('GET', '/api/rods/used')).body
    const own = movements.filter(line => line.lotId === lotId)
    expect(own.map(line => [line.kind, line.rods, line.studentId ?? null])).toEqual([
      ['received', 150, null],
      ['issued', -8, school.mine.id],
      ['returned', 2, school.mine.id],
    ])
    expect(own[1]!.at.slice(0, 10)).toBe(ago(20).slice(0, 10))
    // Its first box was opened when it was first drawn from, not when that was written down.
    const opened = (await rods()).lots.find(lot => lot.id === lotId)!.openedOn
    expect(opened).toBe(own[1]!.at.slice(0, 10))
  })
  it('leaves what was counted since as it was counted, by whatever way it is written down', async () => {
    const lotId = await aLot({ makersLot: 'Listed 2' })
    await write(lotId, { kind: 'received', count: 100 })
    const counted = uuid()
    await write(lotId, { kind: 'counted', count: 80, why: 'shelf' }, counted)
    expect((await bring([{ lotId, kind: 'issued', count: 12, at: ago(3) }])).status).toBe(204)
    expect(await stock(lotId)).toBe(80)
    const late = await fetch(`${ADDRESS}/api/rod-movements/${uuid()}`, {
      method: 'PUT',
      headers: {
        ...school.instructor.headers,
        'content-type': 'application/json',
        [WAITED]: String(3_600_000),
      },
      body: JSON.stringify({ ...nothing, lotId, kind: 'issued', count: 5 }),
    })
    expect([late.status, await late.json()]).toEqual([200, { stock: 80 }])
    expect((await write(lotId, { count: 4 })).body.stock).toBe(76)
    const { movements } = (await school.instructor.ask<RodsUsed>('GET', '/api/rods/used')).body
    // Seventeen of the twenty that were missing are accounted for.
    expect(movements.find(line => line.id === counted)!.rods).toBe(-20 + 12 + 5)
    // A count of days ago is of what lay there then.
    expect((await bring([{ lotId, kind: 'counted', count: 3, why: 'old list', at: ago(2) }])).status).toBe(204)
    expect(await stock(lotId)).toBe(76)
  })
  it.each([
    ['a lot that is not kept', () => ({ lotId: uuid(), kind: 'issued', count: 2, at: ago(1) }), 'lines[1].lotId'],
    ['a student who is not', () => ({ kind: 'issued', count: 2, studentId: uuid(), at: ago(1) }), 'lines[1].studentId'],
    ['tomorrow', () => ({ kind: 'issued', count: 2, at: ago(-1) }), 'lines[1].at'],
    ['a handful that is back', () => ({ kind: 'returned', handfulId: uuid(), at: ago(1) }), 'lines[1].kind'],
    ['no moment', () => ({ kind: 'issued', count: 2, at: 'yesterday' }), 'lines[1].at'],
    ['less than nothing', () => ({ kind: 'received', count: -2, at: ago(1) }), 'lines[1].count'],
  ])('with %s none of it comes in, and the line is named', async (_, line, field) => {
    const lotId = await aLot({ makersLot: 'Listed 3' })
    const answer = await bring([
      { lotId, kind: 'received', count: 10, at: ago(5) },
      { lotId, ...line() },
    ])
    expect([answer.status, new Set(wrongFields(answer))]).toEqual([422, new Set([field])])
    expect(await stock(lotId)).toBe(0)
  })
  it('two lists at once both come in whole', async () => {
    const lots = [await aLot({ makersLot: 'Listed 4' }), await aLot({ makersLot: 'Listed 5' })]
    const list = (order: readonly string[]) =>
      order.flatMap(lotId =>
        Array.from({ length: 40 }, (_, n) => ({ lotId, kind: 'received', count: 1 + n, at: ago(9 - n / 10) })),
      )
    const answers = await Promise.all([bring(list(lots)), bring(list([...lots].reverse()))])
    expect(answers.map(answer => answer.status)).toEqual([204, 204])
    for (const lotId of lots) expect(await stock(lotId)).toBe(2 * 820)
  })
})

describe('coupons by the rods they were run with', () => {
  const today = new Date().toISOString().slice(0, 10)
  const save = async (document: CouponDocument) => {
    const body = { baseVersion: 0, why: '', document }
    expect((await school.lead.ask('PUT', `/api/coupons/${uuid()}`, body)).status).toBe(200)
  }
  const runs = async (by = school.instructor) => (await by.ask<RodsUsed>('GET', '/api/rods/used')).body.runs

  it('are counted alike where they were run alike: a joint by the rods of its passes, mock tests apart', async () => {
    const { section, student } = await addClass(school, 'Cost Z', 'Tamsin Quill')
    const pad = { ...aCoupon({ studentId: student.id }), classDay: today }
    await save(pad)
    await save(pad)
    await save({ ...pad, mock: true })
    // Nobody draws rods for a stub day.
    await save({ ...pad, ticket: { ...pad.ticket, rods: 'stubs' } })
    // Long before the book that a screen is given.
    await save({ ...pad, classDay: '2024-10-05' })
    const root = usualPiece('plate groove', true)
    const joint = { ...aJoint(root, { position: '3G', travel: 'up' }), studentId: student.id, classDay: today }
    const [first, ...fill] = joint.passes!
    await save({ ...joint, passes: [{ ...first!, classification: 'E6010', polarity: 'DCEP' }, ...fill] })
    const own = (await runs()).filter(row => row.studentId === student.id)
    const said = own.map(({ mock, kinds, coupons, classDay }) => [mock, kinds, coupons, classDay])
    expect(said).toHaveLength(4)
    expect(said).toEqual(
      expect.arrayContaining([
        [false, ['E7018 1/8 in'], 2, today],
        [true, ['E7018 1/8 in'], 1, today],
        [false, [], 1, today],
        [false, ['E6010 1/8 in', 'E7018 1/8 in'], 1, today],
      ]),
    )
    expect(new Set(own.map(row => row.rung))).toEqual(new Set([pad.ticket.rung]))
    // Who does not teach that section is told nothing of it; who teaches it alone, of it alone.
    const account = { name: 'Cost Keeper', username: 'cost-keeper', role: 'instructor', studentId: null, active: true }
    const fields = { ...account, sectionIds: [section.id], password: GIVEN }
    expect((await school.lead.ask('POST', '/api/accounts', fields)).status).toBe(201)
    const keeper = await new Visitor().takeUp('cost-keeper')
    const other = await addClass(school, 'Cost Y', 'Perran Dale')
    await save({ ...pad, studentId: other.student.id })
    expect(new Set((await runs(keeper)).map(row => row.studentId))).toEqual(new Set([student.id]))
    expect((await runs(school.lead)).some(row => row.studentId === other.student.id)).toBe(true)
  })

  it('are told for the coming weeks by what students are on, of the whole school, and nobody is named', async () => {
    const { section, student } = await addClass(school, 'Ahead Z', 'Wenna Pell')
    const { name, meetings, termFrom } = section
    const goesOn = { name, meetings, termFrom, termTo: daysAfter(today, 60) }
    expect((await school.lead.ask('PUT', `/api/sections/${section.id}`, goesOn)).status).toBe(200)
    const lotId = await aLot({ makersLot: 'AH-1', classification: 'E7024', diameterMm: 3.96875 })
    await write(lotId, { kind: 'received', count: 500 })
    const pad = { ...aCoupon({ studentId: student.id }), classDay: today }
    const ticket = { ...pad.ticket, classification: 'E7024', diameterMm: 3.96875, currentA: 190 }
    for (let n = 0; n < 3; n++) await save({ ...pad, ticket })
    await write(lotId, { count: 12, studentId: student.id })
    const ahead = await school.instructor.ask<RodsAhead>('GET', '/api/rods/ahead')
    const own = ahead.body.find(row => row.kind === 'E7024 5/32 in')!
    // Four rods a coupon, three coupons a week: at most so many in the four weeks that rods are to last, for most of
    // them are of the next rungs.
    expect(own.likely).toBeGreaterThan(0)
    expect(own.likely).toBeLessThan(4 * 3 * 4 + 12)
    expect([own.low <= own.likely, own.high >= own.likely]).toEqual([true, true])
    expect(JSON.stringify(ahead.body)).not.toContain(student.id)
  })
})

describe('ovens', () => {
  it('are as they were last read', async () => {
    const read = (celsius: unknown) =>
      school.instructor.ask<Problem>('PUT', `/api/oven-readings/${uuid()}`, {
        oven: 'Oven 9',
        celsius,
        doorOpen: false,
      })
    await read(121.5)
    await read(98)
    expect((await rods()).ovens.find(one => one.oven === 'Oven 9')).toMatchObject({ celsius: 98, by: 'tobias' })
    expect(wrongFields(await read('hot'))).toEqual(['celsius'])
    expect(wrongFields(await read(900))).toEqual(['celsius'])
  })
})

describe('a lot', () => {
  it('is opened by whoever draws from it first, and not on a day before it came', async () => {
    const opened = async (id: string) => (await rods()).lots.find(one => one.id === id)?.openedOn
    const [id, later] = [await aLot({ makersLot: 'O-1' }), await aLot({ makersLot: 'O-2', receivedOn: '2099-01-01' })]
    await write(id, { kind: 'received', count: 100 })
    expect(await opened(id)).toBeNull()
    await write(id, { count: 5, studentId: school.mine.id })
    expect(await opened(id)).toBe(classDayAt(new Date(), { zone: 'UTC', turnsAt: 0 }))
    await write(later, { kind: 'received', count: 100 })
    await write(later, { count: 5, booth: 2 })
    expect(await opened(later)).toBe('2099-01-01')
    const said = await aLot({ makersLot: 'O-3', openedOn: '2026-09-03' })
    await write(said, { kind: 'received', count: 100 })
    await write(said, { count: 5, booth: 2 })
    expect(await opened(said)).toBe('2026-09-03')
    const early = { ...LOT, openedOn: '2026-08-31' }
    expect(wrongFields(await school.instructor.ask('PUT', `/api/rod-lots/${uuid()}`, early))).toEqual(['openedOn'])
  })
})

describe('lots from a list', () => {
  const line = (more: Partial<RodLotSave> = {}, rods = 140) => ({
    id: uuid(),
    lineId: uuid(),
    lot: { ...LOT, ...more },
    rods,
    counted: false,
  })
  const bring = (lots: readonly unknown[]) => school.instructor.ask<Problem>('POST', '/api/rod-lots/import', { lots })

  it('come in with the rods that lie there, once however often they are sent', async () => {
    const lots = [line({ makersLot: 'L-1' }), line({ makersLot: 'L-2' }, 0)]
    for (let n = 0; n < 2; n++) expect((await bring(lots)).status).toBe(204)
    const { lots: kept, stock } = await rods()
    expect(lots.map(({ id }) => [kept.find(one => one.id === id)?.makersLot, stock[id] ?? 0])).toEqual([
      ['L-1', 140],
      ['L-2', 0],
    ])
    // A rod that was drawn since is not put back by the same list.
    await write(lots[0]!.id, { count: 10 })
    await bring(lots)
    expect((await rods()).stock[lots[0]!.id]).toBe(130)
  })
  it('of a lot that is kept is a count of it, once; its line says by how much, and that it is from a list', async () => {
    const kept = line({ makersLot: 'L-4' }, 140)
    await bring([kept])
    await write(kept.id, { count: 10 })
    const counted = { ...kept, lineId: uuid(), rods: 125, counted: true, lot: { ...kept.lot, place: 'oven 2' } }
    for (let n = 0; n < 2; n++) expect((await bring([counted])).status).toBe(204)
    const { lots, stock, movements } = await rods()
    expect([stock[kept.id], lots.find(one => one.id === kept.id)?.place]).toEqual([125, 'oven 2'])
    const own = movements.filter(one => one.lotId === kept.id)
    expect(own.at(-1)).toMatchObject({ id: counted.lineId, kind: 'counted', rods: -5, why: 'from a list' })
    // What is as the book says is no line of it.
    await bring([{ ...counted, lineId: uuid() }])
    expect((await rods()).movements.filter(one => one.lotId === kept.id)).toHaveLength(own.length)
    const { counted: _, ...unsaid } = counted
    expect(wrongFields(await bring([unsaid]))).toEqual(['lots[0].counted'])
  })
  it('all of them or none', async () => {
    const good = line({ makersLot: 'L-3' })
    const refused = await bring([good, line({ rodsInBox: 0 })])
    expect([refused.status, wrongFields(refused)]).toEqual([422, ['lots[1].lot.rodsInBox']])
    expect((await rods()).lots.some(one => one.id === good.id)).toBe(false)
    expect((await bring([])).status).toBe(422)
  })
})
