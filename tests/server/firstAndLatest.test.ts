import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { FirstAndLatest } from '../../contract/record'
import { aCoupon } from '../../core/coupon/example'
import { rows } from '../../server/store/database'
import { openDatabase } from '../../server/store/nodes'
import { foundTestSchool, type School } from '../school'

const pool = openDatabase(process.env.FUSILIS_DB_URL!)
afterAll(() => pool.end())

let school: School
/** Coupons by the order of their saves: a later save may be of an earlier day. */
const SAVED = [
  ['middle of the pads', 'flat pad', '2026-10-06'],
  ['first pad', 'flat pad', '2026-09-28'],
  ['latest pad', 'flat pad', '2026-10-12'],
  ['first of two of a day', '2F T', '2026-10-08'],
  ['second of two of a day', '2F T', '2026-10-08'],
  ['the only one', '3F T', '2026-10-13'],
] as const
const ids = new Map<string, string>()
beforeAll(async () => {
  school = await foundTestSchool()
  for (const [name, rung, classDay] of SAVED) {
    const id = uuid()
    ids.set(name, id)
    const document = { ...aCoupon({ studentId: school.mine.id, ticket: { rung } }), classDay }
    const { status } = await school.instructor.ask('PUT', `/api/coupons/${id}`, { baseVersion: 0, why: '', document })
    expect(status).toBe(200)
  }
})

const asked = async (rung = '', by = school.instructor) =>
  (await by.ask<FirstAndLatest>('GET', `/api/students/${school.mine.id}/first-and-latest?rung=${rung}`)).body
const told = ({ pair }: FirstAndLatest) =>
  pair && [pair.rung, ...[pair.first, pair.latest].map(one => SAVED.find(([name]) => ids.get(name) === one.id)![0])]

describe('the first and the latest coupon', () => {
  it('are those of the rung run last; a rung with one coupon has none to lay beside it', async () => {
    const found = await asked()
    expect(found.rungs).toEqual(['flat pad', '2F T'])
    expect(told(found)).toEqual(['flat pad', 'first pad', 'latest pad'])
    expect(found.pair!.first).toMatchObject({ classDay: '2026-09-28', pictures: 0 })
  })
  it('are of the rung asked for; of one day, the one read later is the latest', async () => {
    expect(told(await asked('2F T'))).toEqual(['2F T', 'first of two of a day', 'second of two of a day'])
    expect(told(await asked('3F T'))).toBeNull()
    expect(told(await asked('no such rung'))).toBeNull()
  })
  it('are seen by their student, who from then on is no blind reader of them', async () => {
    const saw = async () =>
      (
        await rows<{ id: string }>(
          pool,
          'SELECT CAST(id AS CHAR(36)) AS id FROM coupon WHERE student_id = ? AND student_saw_at IS NOT NULL',
          [school.mine.id],
        )
      ).map(row => row.id)
    expect(await saw()).toEqual([])
    await asked('2F T', school.student)
    expect((await saw()).toSorted()).toEqual(
      [ids.get('first of two of a day')!, ids.get('second of two of a day')!].toSorted(),
    )
  })
  it('of a student without coupons are none', async () => {
    const { body } = await school.instructor.ask('GET', `/api/students/${school.other.id}/first-and-latest`)
    expect(body).toEqual({ rungs: [], pair: null })
  })
})
