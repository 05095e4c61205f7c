import { beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { CausesSaid, ToldInSchool } from '../../contract/causes'
import type { FloorStudent } from '../../contract/people'
import type { StudentRecord } from '../../contract/record'
import { newFlaw, putMark, type CouponDocument } from '../../core/coupon'
import { aCoupon } from '../../core/coupon/example'
import { CAUSES, diagnose, expectedOn, type CauseCounts } from '../../core/diagnosis'
import { DEFAULT_HOUSE_RULES } from '../../core/house'
import { rebuildDerived } from '../../server/store/rebuild'
import { addClass, foundTestSchool, type School } from '../school'

let school: School
let studentId: string
let sectionId: string
beforeAll(async () => {
  school = await foundTestSchool()
  const { student, section } = await addClass(school, 'Evening told', 'Ivo Brandt')
  studentId = student.id
  sectionId = section.id
})

/** A pad undercut on so many of its beads. */
const undercut = (beads: number, more: Partial<CouponDocument> = {}): CouponDocument => {
  const blank = aCoupon({ studentId })
  return {
    ...blank.beads.slice(0, beads).reduce((coupon, bead) => {
      const flaw = newFlaw(coupon, `u-${bead.id}`, 'undercut', { beadId: bead.id, atMm: bead.fromMm })
      return putMark(coupon, { ...flaw, atMm: bead.fromMm, toMm: bead.toMm, side: 'both' })
    }, blank),
    ...more,
  }
}
const keep = async (document: CouponDocument, id = uuid(), baseVersion = 0) => {
  const why = baseVersion > 0 ? 'looked again' : ''
  const { status, body } = await school.instructor.ask('PUT', `/api/coupons/${id}`, { baseVersion, why, document })
  expect(status, JSON.stringify(body)).toBeLessThan(300)
  return id
}
const inSchool = async () => (await school.instructor.ask<ToldInSchool>('GET', '/api/causes/told')).body
const toldTo = async () =>
  (await school.instructor.ask<StudentRecord>('GET', `/api/students/${studentId}/record`)).body.told
const NONE = { seen: 0, gone: 0 }
const arcLong = ({ causes }: ToldInSchool) => causes.find(row => row.cause === 'arc long') ?? NONE
const tobias = ({ tellers }: ToldInSchool) => tellers.find(row => row.name === 'tobias') ?? NONE
const advice = { advised: 'Close the arc', advisedCause: 'arc long' }

const NEVER_SAID = { said: 0, expected: 0 }

describe('what came of what was told', () => {
  let first: string
  let second: string

  it('the floor says what it was told for', async () => {
    first = await keep(undercut(6, advice))
    const { body } = await school.instructor.ask<FloorStudent[]>('GET', `/api/sections/${sectionId}/floor`)
    expect(body.find(one => one.id === studentId)!.last).toMatchObject({
      couponId: first,
      nextRun: 'Close the arc',
      toldCause: 'arc long',
    })
    expect(await toldTo()).toEqual([])
  })

  it('is read off the next coupon of the kind, by cause and by who told it', async () => {
    const before = await inSchool()
    const toldBefore = { couponId: first, says: 'Close the arc', cause: 'arc long', done: 'yes' as const }
    second = await keep(undercut(1, { ...advice, toldBefore }))
    expect(await toldTo()).toEqual([{ cause: 'arc long', seen: 1, gone: 1, alone: null }])
    const now = await inSchool()
    expect([arcLong(now).seen - arcLong(before).seen, arcLong(now).gone - arcLong(before).gone]).toEqual([1, 1])
    expect([tobias(now).seen - tobias(before).seen, tobias(now).gone - tobias(before).gone]).toEqual([1, 1])
  })

  it('another kind of coupon shows nothing of it', async () => {
    await keep({ ...undercut(6), ticket: { ...undercut(6).ticket, position: '2G' } })
    expect(await toldTo()).toEqual([{ cause: 'arc long', seen: 1, gone: 1, alone: null }])
  })

  it('follows when either coupon is graded again', async () => {
    await keep(undercut(5, advice), second, 1)
    expect(await toldTo()).toEqual([{ cause: 'arc long', seen: 1, gone: 0, alone: null }])
    // Over the instructor's own words stands no cause of ours.
    await keep(undercut(6, { ...advice, nextRun: 'Watch the toes' }), first, 1)
    expect(await toldTo()).toEqual([])
    await keep(undercut(6, { ...advice, nextRun: 'Watch the toes', trueCause: 'arc long' }), first, 2)
    expect(await toldTo()).toEqual([{ cause: 'arc long', seen: 1, gone: 0, alone: null }])
  })

  it('is nothing again once the cause is taken off', async () => {
    await keep(undercut(6, { ...advice, nextRun: 'Watch the toes' }), first, 3)
    expect(await toldTo()).toEqual([])
    await keep(undercut(6, advice), first, 4)
    expect(await toldTo()).toEqual([{ cause: 'arc long', seen: 1, gone: 0, alone: null }])
  })

  it('follows a coupon that is entered late, between two that are kept, and one that is put on another day', async () => {
    const on = (classDay: string, beads: number, more: Partial<CouponDocument> = {}) =>
      undercut(beads, { ...more, classDay, studentId: late })
    const late = (await addClass(school, 'Evening late', 'Wren Hale')).student.id
    const arcLongTo = async () => {
      const { body } = await school.instructor.ask<StudentRecord>('GET', `/api/students/${late}/record`)
      const { seen, gone } = body.told.find(row => row.cause === 'arc long') ?? NONE
      return { seen, gone }
    }
    await keep(on('2026-10-05', 6, advice))
    const last = await keep(on('2026-10-19', 1))
    expect(await arcLongTo()).toEqual({ seen: 1, gone: 1 })
    // Read on a tablet that was away: in between it had not gone.
    const between = await keep(on('2026-10-12', 6))
    expect(await arcLongTo()).toEqual({ seen: 1, gone: 0 })
    await keep(on('2026-10-26', 6), between, 1)
    expect(await arcLongTo()).toEqual({ seen: 1, gone: 1 })
    await keep(on('2026-10-19', 6), last, 1)
    expect(await arcLongTo()).toEqual({ seen: 1, gone: 0 })
    const before = await arcLongTo()
    await rebuildDerived()
    expect(await arcLongTo()).toEqual(before)
  })

  it('a change that was made and helped moves the odds of its cause, for the school and the student', async () => {
    const { student } = await addClass(school, 'Evening helped', 'Wendel Aske')
    const said = async () => (await school.instructor.ask<CausesSaid>('GET', '/api/causes')).body
    const own = async () =>
      (await school.instructor.ask<CauseCounts>('GET', `/api/students/${student.id}/causes`)).body['arc long'] ??
      NEVER_SAID
    const of = (beads: number, more: Partial<CouponDocument> = {}) =>
      undercut(beads, { ...more, studentId: student.id })
    const made = async () => (await said()).made['arc long'] ?? { made: 0, helped: 0, ...NEVER_SAID }
    const before = await made()
    const told = await keep(of(6, advice))
    const toldBefore = (done: 'yes' | 'no') => ({
      toldBefore: { couponId: told, says: 'Close the arc', cause: 'arc long', done },
    })
    const next = await keep(of(1, toldBefore('no')))
    expect(await made()).toEqual(before)
    await keep(of(1, toldBefore('yes')), next, 1)
    const moved = await own()
    const odds = diagnose(of(6), DEFAULT_HOUSE_RULES).causes.find(row => row.cause.id === 'arc long')!.odds
    // Fewer than ten were left alone in this school: every other goes by itself.
    expect(moved.expected).toBeCloseTo(odds, 9)
    expect(moved.said).toBeCloseTo((1.8 * odds) / (1 - odds + 1.8 * odds), 9)
    expect(await made()).toEqual({
      made: before.made + 1,
      helped: before.helped + 1,
      said: expect.closeTo(before.said + moved.said, 9) as unknown,
      expected: expect.closeTo(before.expected + moved.expected, 9) as unknown,
    })
    // Where its cause is said, that is the evidence of it.
    await keep(of(6, { ...advice, trueCause: 'arc long' }), told, 1)
    const share = expectedOn(of(6), DEFAULT_HOUSE_RULES)[CAUSES.findIndex(cause => cause.id === 'arc long')]
    expect(await own()).toEqual({ said: 1, expected: expect.closeTo(share!, 9) as unknown })
    expect(await made()).toEqual(before)
    await keep(of(6, advice), told, 2)
    expect((await own()).said).toBeCloseTo(moved.said, 9)
    // One that did not help is held against its cause.
    await keep(of(6, toldBefore('yes')), next, 2)
    expect((await own()).said).toBeLessThan((await own()).expected)
    expect(await made()).toMatchObject({ made: before.made + 1, helped: before.helped })
  })

  it('comes out the same when all is derived again', async () => {
    const before = [await inSchool(), await toldTo()]
    await rebuildDerived()
    expect([await inSchool(), await toldTo()]).toEqual(before)
  })

  it('a coupon that says what was told of nothing kept is refused in words', async () => {
    const wrong = undercut(0, { toldBefore: { couponId: first, says: 'x', cause: 'the moon', done: 'yes' } })
    const { status, body } = await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, {
      baseVersion: 0,
      why: '',
      document: wrong,
    })
    expect([status, JSON.stringify(body)]).toEqual([422, expect.stringContaining('toldBefore.cause')])
  })

  it('is no student’s to ask about the school', async () => {
    expect((await school.student.ask('GET', '/api/causes/told')).status).toBe(403)
  })
})
