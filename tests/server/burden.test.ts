import { request as httpRequest } from 'node:http'
import { beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { aCoupon, aFlaw } from '../../core/coupon/example'
import { seededRandom } from '../../core/statistics'
import { fuzzedRequest } from '../fuzzed'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS, Visitor } from '../session'

type Refused = { detail: string; errors?: { path: string; message: string }[] }

let school: School
/** A student of nobody else's tests. */
let student: string
beforeAll(async () => {
  school = await foundTestSchool()
  student = (await addClass(school, 'Evening V burden', 'Ivo Strand')).student.id
})

/** Sends a body in pieces without saying how long it is, and stops when the server has answered. */
function sendUnmeasured(path: string, pieces: number, piece: Buffer): Promise<{ status: number; sent: number }> {
  return new Promise((resolve, reject) => {
    let sent = 0
    let answered = false
    const request = httpRequest(`${ADDRESS}${path}`, {
      method: 'POST',
      headers: { 'origin': ADDRESS, 'content-type': 'application/json', 'transfer-encoding': 'chunked' },
    })
    request.on('response', response => {
      answered = true
      response.resume()
      resolve({ status: response.statusCode!, sent })
    })
    // The server hangs up on what it has refused; its answer may come just before or just after.
    request.on('error', error => setTimeout(() => (answered ? undefined : reject(error)), 500))
    const next = () => {
      if (answered || sent >= pieces) return void request.end()
      sent++
      if (request.write(piece)) setImmediate(next)
      else request.once('drain', next)
    }
    next()
  })
}

describe('a request that is too large', () => {
  it('is refused while it comes in, whatever it says of its length, and without signing in', async () => {
    const { status, sent } = await sendUnmeasured('/api/session', 2_000, Buffer.alloc(64 * 1024, 'x'))
    expect(status).toBe(413)
    expect(sent).toBeLessThan(500)
  })
  it('a coupon of all the marks it may have is taken; a form of that size is not', async () => {
    const whole = aCoupon({ studentId: student })
    const marks = Array.from({ length: 2_000 }, (_, n) => aFlaw({ id: `m${n}` }))
    const document = { ...whole, marks }
    const answer = await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document })
    expect(answer.status).toBe(200)
    expect((await school.lead.ask('POST', '/api/causes/reset', { why: 'x'.repeat(100_000) })).status).toBe(413)
  })
  it.each([
    ['beads', { beads: Array.from({ length: 100_000 }, () => ({})) }],
    ['beads', { beads: Array.from({ length: 1_900 }, () => ({})) }],
    ['passes', { passes: Array.from({ length: 1_900 }, () => ({})) }],
  ])('too many %s are refused before any of them is looked at', async (field, more) => {
    const document = { ...aCoupon({ studentId: school.mine.id }), ...more }
    const { status, body } = await school.student.ask<Refused>('PUT', `/api/blind-readings/${uuid()}`, {
      couponId: uuid(),
      stage: 'after chipping',
      document,
    })
    expect(status).toBe(422)
    expect(body.errors!.map(error => error.path)).toContain(`document.${field}`)
    expect(body.errors!.length).toBeLessThan(5)
  })
})

describe('what is out of all proportion names its field', () => {
  const send = (body: string) =>
    school.instructor.ask<Refused>('PUT', `/api/coupons/${uuid()}`, body, { 'content-type': 'application/json' })
  it.each([
    ['thousands of brackets', `{"document":${'['.repeat(5_000)}${']'.repeat(5_000)}}`, /inside one another/],
    ['a name of the language’s own', '{"document":{"__proto__":{"x":1}}}', /__proto__.*not a field/],
    ['half a character', '{"why":"\\ud800"}', /half of a character/],
    ['a number beyond all', '{"baseVersion":1e999}', /no number/],
  ])('%s', async (_, body, message) => {
    const answer = await send(body)
    expect(answer.status).toBe(422)
    expect(answer.body.errors![0]!.message).toMatch(message)
  })
  it('what is no JSON, or no UTF-8, is 400', async () => {
    expect((await send('{"why":')).status).toBe(400)
    const answer = await fetch(`${ADDRESS}/api/session`, {
      method: 'POST',
      headers: { 'origin': ADDRESS, 'content-type': 'application/json' },
      body: Buffer.from([0x7b, 0xff, 0xfe]),
    })
    expect(answer.status).toBe(400)
  })
})

it('no request that nobody meant brings a server error: 1,500 of a fixed seed over every route with a body', async () => {
  const random = seededRandom(20261127)
  const visitors = [school.lead, school.instructor, school.student, new Visitor()]
  const wrong: string[] = []
  for (let round = 0; round < 30; round++) {
    const asked = Array.from({ length: 50 }, () => fuzzedRequest(random, student, uuid))
    const answers = await Promise.all(
      asked.map(({ method, path, body }, n) =>
        visitors[n % visitors.length]!.ask(method, path, body, { 'content-type': 'application/json' }),
      ),
    )
    answers.forEach(({ status }, n) => {
      if (status >= 500) wrong.push(`${status} ${asked[n]!.method} ${asked[n]!.path} ${asked[n]!.body.slice(0, 300)}`)
    })
  }
  expect(wrong).toEqual([])
})
