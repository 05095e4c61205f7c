import { beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { CausesSaid } from '../../contract/causes'
import type { SavedCoupon } from '../../contract/coupon'
import type { CauseCounts } from '../../core/diagnosis'
import { aCoupon } from '../../core/coupon/example'
import { rebuildDerived } from '../../server/store/rebuild'
import { foundTestSchool, type School } from '../school'

let school: School
beforeAll(async () => {
  school = await foundTestSchool()
})

const said = async () => (await school.instructor.ask<CausesSaid>('GET', '/api/causes')).body
const save = (id: string, baseVersion: number, trueCause?: string) =>
  school.instructor.ask<SavedCoupon>('PUT', `/api/coupons/${id}`, {
    baseVersion,
    why: '',
    document: {
      ...aCoupon({ studentId: school.mine.id }),
      ...(trueCause ? { trueCause } : {}),
      advised: 'Close the arc',
    },
  })

describe('the cause that an instructor says', () => {
  it('is counted for the school and the student, changed with its coupon, and taken off again', async () => {
    const id = uuid()
    await save(id, 0, 'arc long')
    await save(uuid(), 0, 'arc long')
    expect(await said()).toMatchObject({
      said: { 'arc long': 2 },
      reset: null,
    })
    const own = async (id: string) => (await school.instructor.ask('GET', `/api/students/${id}/causes`)).body
    const counted = (await own(school.mine.id)) as CauseCounts
    expect(counted['arc long']!.said).toBe(2)
    // Each coupon's saying was expected to fall somewhere.
    const counts = Object.values((await said()).school)
    expect(counts.reduce((sum, one) => sum + one.said, 0)).toBe(2)
    expect(counts.reduce((sum, one) => sum + one.expected, 0)).toBeCloseTo(2, 1)
    expect((await said()).school).toEqual(counted)
    expect(await own(school.other.id)).toEqual({})
    await save(id, 1, 'bracing')
    expect((await said()).said).toMatchObject({ 'arc long': 1, 'bracing': 1 })
    await save(id, 2)
    expect((await said()).said).toEqual({ 'arc long': 1 })
    expect((await said()).school.bracing?.said ?? 0).toBe(0)
    expect(Object.values((await said()).school).reduce((sum, one) => sum + one.expected, 0)).toBeCloseTo(1, 1)
  })
  it('is refused when nobody keeps such a cause', async () => {
    const answer = await save(uuid(), 0, 'the moon')
    expect(answer.status).toBe(422)
    expect(JSON.stringify(answer.body)).toContain('is no cause that is kept')
  })
  it('comes out the same when all is derived again', async () => {
    const before = await said()
    await rebuildDerived()
    expect(await said()).toEqual(before)
  })
  it('what was advised that day is what the record keeps', async () => {
    const { body } = await school.instructor.ask<{ last: { nextRun: string } | null; id: string }[]>(
      'GET',
      `/api/sections/${school.section.id}/floor`,
    )
    expect(body.find(student => student.id === school.mine.id)!.last!.nextRun).toBe('Close the arc')
  })
  it('a lead begins to count anew, with a reason; the coupons keep theirs', async () => {
    expect((await school.lead.ask('POST', '/api/causes/reset', { why: ' ' })).status).toBe(422)
    const { status, body } = await school.lead.ask<CausesSaid>('POST', '/api/causes/reset', { why: 'new term' })
    expect(status).toBe(200)
    expect(body).toMatchObject({ school: {}, said: {}, reset: { by: 'Maren Holt', why: 'new term' } })
    await save(uuid(), 0, 'strike')
    expect((await said()).said).toEqual({ strike: 1 })
  })
})
