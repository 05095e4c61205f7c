import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DONE_MARK, SCHOOL_MARK } from '../../contract/marks'
import { believed, type CameBack } from './believed'
import type { RequestFailure } from './requestFailure'

const SCHOOL = '5f0c'
const ID = '0190a0b0-0000-7000-8000-000000000000'
const expected = { school: SCHOOL, done: ID }
const answer = (status: number, headers: Record<string, string>, body: unknown = {}): CameBack => ({
  status,
  headers: new Headers(headers),
  body,
})
const own = { [SCHOOL_MARK]: SCHOOL, [DONE_MARK]: ID, 'content-type': 'application/json' }
const problem = {
  title: 'Not accepted',
  detail: 'why is missing.',
  status: 422,
  errors: [{ path: 'why', message: 'x' }],
}

const failureOf = (raw: CameBack, wanted = expected): RequestFailure | null => {
  try {
    believed(raw, wanted)
    return null
  } catch (error) {
    return error as RequestFailure
  }
}

describe('an answer is believed', () => {
  it('of the own server, that names what it did', () => {
    expect(believed(answer(200, own, { version: 2 }), expected)).toEqual({ version: 2 })
    expect(believed(answer(204, { [SCHOOL_MARK]: SCHOOL, [DONE_MARK]: ID }, undefined), expected)).toBeUndefined()
    expect(believed(answer(200, { ...own, [DONE_MARK]: '' }, []), { school: null, done: null })).toEqual([])
  })
  it('of a refusal, only where it is a problem of the own server', () => {
    const refused = failureOf(answer(422, { ...own, 'content-type': 'application/problem+json' }, problem))!
    expect([refused.status, refused.away, refused.field('why')]).toEqual([422, false, 'x'])
  })
})

describe('an answer of something else is no answer', () => {
  it.each([
    ['the sign-in page of a Wi-Fi', answer(200, { 'content-type': 'text/html' }, '<h1>Welcome</h1>')],
    ['JSON of nobody known', answer(200, { 'content-type': 'application/json' }, { version: 2 })],
    ['a proxy that knows no such address', answer(404, { 'content-type': 'application/json' }, problem)],
    ['a proxy that refuses', answer(403, { 'content-type': 'text/html' }, 'no')],
    ['another school at the same address', answer(200, { ...own, [SCHOOL_MARK]: 'other' })],
    ['a page in place of what the server said', answer(200, { ...own, 'content-type': 'text/html' }, '<p>')],
    ['text where a thing was promised', answer(200, own, '<p>')],
    ['a refusal whose words were replaced', answer(404, { ...own, 'content-type': 'text/html' }, '<p>')],
    ['an answer to something else', answer(200, { ...own, [DONE_MARK]: ID.replace('0190', '0191') })],
    ['an answer that does not say what it did', answer(204, { [SCHOOL_MARK]: SCHOOL }, undefined)],
  ])('%s', (_, raw) => {
    const failure = failureOf(raw)!
    expect([failure.status, failure.away, failure.outOfReach]).toEqual([0, true, true])
  })
  it('whatever its status, its headers and its body', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 200, max: 599 }),
        fc.dictionary(fc.constantFrom('content-type', 'server', DONE_MARK), fc.constantFrom(ID, 'application/json')),
        fc.jsonValue(),
        (status, headers, body) => {
          expect(failureOf(answer(status, { ...headers }, body))?.outOfReach).toBe(true)
        },
      ),
    )
  })
})
