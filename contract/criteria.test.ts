import { expect, it } from 'vitest'
import type { ValidationError } from 'yup'
import { SHIPPED_SETS } from '../core/criteria'
import { criteriaSaveSchema, type SchoolCriteria } from './criteria'

const [shipped] = SHIPPED_SETS
const own: SchoolCriteria = { ...shipped!, id: 'x', name: 'Ours', supersedes: shipped!.id, retired: false }
function wrong(set: unknown, why: unknown = 'our code book'): string {
  try {
    criteriaSaveSchema.validateSync({ baseVersion: 0, why, set }, { abortEarly: false })
    return ''
  } catch (error) {
    return (error as ValidationError).inner.map(one => `${one.path}: ${one.message}`).join('\n')
  }
}
const line = (change: object) => ({
  ...own,
  criteria: own.criteria.map((one, n) => (n === 2 ? { ...one, ...change } : one)),
})

it.each(SHIPPED_SETS.map(set => [set.name, set]))('%s can be copied, and comes back as it went', (_, set) => {
  const copy = { ...set, supersedes: set.id, retired: false }
  expect(wrong(copy)).toBe('')
  expect(
    criteriaSaveSchema.validateSync({ baseVersion: 0, why: 'x', set: JSON.parse(JSON.stringify(copy)) }).set,
  ).toEqual(copy)
})

it.each([
  [
    'a limit under nothing',
    line({ limit: { is: 'at most', in: -1, mm: 1 } }),
    /criteria\[2\].limit.in is a number of inches, 0 to 1000/,
  ],
  ['a limit nobody keeps', line({ limit: { is: 'roughly' } }), /is no limit that is kept/],
  ['something that is not observed', line({ observed: 'beauty' }), /is not an observation that is kept/],
  ['a line without a clause', line({ clause: ' ' }), /criteria\[2\].clause/],
  ['two lines of one id', line({ id: own.criteria[0]!.id }), /Two lines have the same id/],
  ['no lines', { ...own, criteria: [] }, /at least one line/],
  ['the place of a set that does not ship', { ...own, supersedes: 'mine' }, /is no shipped set/],
])('refuses %s, at its field', (_, set, said) => expect(wrong(set)).toMatch(said))

it('wants to know why', () => expect(wrong(own, '')).toContain('why is missing'))
