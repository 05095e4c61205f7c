import { beforeAll, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { SavedCriteria, SchoolCriteria } from '../../contract/criteria'
import { SHIPPED_SETS } from '../../core/criteria'
import { foundTestSchool, type School } from '../school'

let school: School
beforeAll(async () => {
  school = await foundTestSchool()
})

const own = (name: string): SchoolCriteria => ({
  ...SHIPPED_SETS[0]!,
  id: 'x',
  name,
  supersedes: SHIPPED_SETS[0]!.id,
  retired: false,
})
const save = (id: string, baseVersion: number, set: SchoolCriteria) =>
  school.lead.ask<SavedCriteria>('PUT', `/api/criteria/${id}`, { baseVersion, why: 'the book at hand', set })
const kept = async (id: string) =>
  (await school.student.ask<SavedCriteria[]>('GET', '/api/criteria')).body.find(one => one.set.id === id)

it('a school’s own set is kept in versions; a save over someone else’s is refused', async () => {
  const id = uuid()
  expect((await save(id, 0, own('Ours'))).body).toMatchObject({
    version: 1,
    savedBy: 'Maren Holt',
    set: { id, name: 'Ours' },
  })
  expect((await save(id, 1, own('Ours, stricter'))).body.version).toBe(2)
  const late = await save(id, 1, own('Too late'))
  expect(late.status).toBe(409)
  expect((await kept(id))!.set.name).toBe('Ours, stricter')
})

it('there is no version to change of a set that is not there', async () =>
  expect((await save(uuid(), 3, own('Nowhere'))).status).toBe(409))

it('a shipped set has no address to be changed at', async () => {
  expect(
    (
      await school.lead.ask('PUT', `/api/criteria/${encodeURIComponent(SHIPPED_SETS[0]!.id)}`, {
        baseVersion: 0,
        why: 'x',
        set: own('x'),
      })
    ).status,
  ).toBe(404)
})
