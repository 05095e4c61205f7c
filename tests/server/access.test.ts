import { readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { aCoupon } from '../../core/coupon/example'
import { aTest } from '../../core/welderTest/example'
import { foundTestSchool, type School } from '../school'
import { ADDRESS, GIVEN, PASSWORD, Visitor } from '../session'

const NOBODY = '01900000-0000-7000-8000-00000000dead'

type Who = 'anyone' | 'signed in' | 'own' | 'staff' | 'lead' | 'tablet'

/** Who may use each route. A route that is not on this list fails the test. */
const ROUTES: Readonly<Record<string, Who>> = {
  'GET /api/health': 'anyone',
  'GET /api/welcome': 'anyone',
  'POST /api/first-lead': 'anyone',
  'POST /api/session': 'anyone',
  'DELETE /api/session': 'anyone',
  'GET /api/session': 'signed in',
  'GET /api/house-rules': 'signed in',
  'GET /api/criteria': 'signed in',
  'GET /api/kiosk': 'tablet',
  'POST /api/kiosk/student': 'tablet',
  'DELETE /api/kiosk/student': 'tablet',
  'GET /api/blind-readings/open': 'tablet',
  'PUT /api/blind-readings/[id]': 'tablet',
  'GET /api/reading-room': 'tablet',
  'PUT /api/waiting/[id]': 'tablet',
  'DELETE /api/waiting/[id]': 'tablet',
  'GET /api/students/[id]/place': 'tablet',
  'GET /api/sections/[id]/queue': 'tablet',
  'GET /api/sections/[id]/live': 'tablet',
  'PUT /api/students/[id]/hold': 'staff',
  'DELETE /api/students/[id]/hold': 'staff',
  'PUT /api/reading-room/[id]': 'tablet',
  'GET /api/students/[id]/reading-room': 'own',
  'GET /api/students/[id]/progress': 'own',
  'GET /api/students/[id]/causes': 'staff',
  'DELETE /api/sessions': 'anyone',
  'PUT /api/session/password': 'anyone',
  'GET /api/students/[id]/tests': 'own',
  'GET /api/tests': 'staff',
  'GET /api/recalibration': 'staff',
  'GET /api/causes/told': 'staff',
  'GET /api/trail': 'lead',
  'GET /api/tests/[id]': 'staff',
  'PUT /api/tests/[id]': 'staff',
  'POST /api/tests/[id]/call-off': 'staff',
  'PUT /api/process-uses/[id]': 'staff',
  'GET /api/code-books': 'signed in',
  'PUT /api/code-books/[id]': 'lead',
  'PUT /api/school': 'lead',
  'GET /api/ladder': 'signed in',
  'POST /api/ladder': 'lead',
  'GET /api/sections/[id]/board': 'staff',
  'GET /api/sections/[id]/report': 'staff',
  'PUT /api/students/[id]/pin': 'staff',
  'PUT /api/sign-offs/[id]': 'staff',
  'POST /api/sign-offs/[id]/take-back': 'staff',
  'POST /api/kiosk': 'staff',
  'GET /api/blind-readings/agreement': 'staff',
  'GET /api/coupons/[id]/blind': 'staff',
  'PUT /api/students/[id]/code': 'staff',
  'GET /api/coupons/[id]/blind-readings': 'own',
  'GET /api/students/[id]/blind-readings': 'own',
  'GET /api/students/[id]/record': 'own',
  'GET /api/students/[id]/coupons': 'own',
  'GET /api/coupons/[id]': 'own',
  'GET /api/causes': 'staff',
  'GET /api/sections': 'staff',
  'GET /api/sections/[id]/floor': 'staff',
  'GET /api/sections/[id]/students': 'staff',
  'POST /api/students': 'staff',
  'POST /api/students/import': 'staff',
  'PUT /api/students/[id]': 'staff',
  'PUT /api/coupons/[id]': 'staff',
  'GET /api/coupons/[id]/revisions': 'staff',
  'POST /api/sections': 'lead',
  'POST /api/house-rules': 'lead',
  'POST /api/causes/reset': 'lead',
  'PUT /api/criteria/[id]': 'lead',
  'PUT /api/sections/[id]': 'lead',
  'GET /api/accounts': 'lead',
  'POST /api/accounts': 'lead',
  'PUT /api/accounts/[id]': 'lead',
}

const found = readdirSync(fileURLToPath(new URL('../../server/api', import.meta.url)), {
  recursive: true,
  encoding: 'utf8',
})
  .filter(file => file.endsWith('.ts') && !file.startsWith('[...'))
  .map(file => {
    const [, path, method] = /^(.*?)\.(get|post|put|delete)\.ts$/.exec(file)!
    return `${method!.toUpperCase()} /api/${path!.replace(/(^|\/)index$/, '')}`
  })

let school: School
let otherCoupon: string
let otherTest: string
beforeAll(async () => {
  school = await foundTestSchool()
  otherCoupon = uuid()
  const saved = await school.instructor.ask('PUT', `/api/coupons/${otherCoupon}`, {
    baseVersion: 0,
    why: '',
    document: aCoupon({ studentId: school.other.id }),
  })
  expect(saved.status).toBe(200)
  otherTest = uuid()
  expect(
    (
      await school.instructor.ask('PUT', `/api/tests/${otherTest}`, {
        baseVersion: 0,
        document: aTest(school.other.id),
      })
    ).status,
  ).toBe(200)
})

it('knows every route there is, and no other', () => expect([...found].sort()).toEqual(Object.keys(ROUTES).sort()))

const LOOKS_ONLY = ['GET']
/** Routes that take no body, and have nothing to say. */
const TAKES_NOTHING = ['PUT /api/students/[id]/hold', 'DELETE /api/students/[id]/hold']
describe.each(Object.entries(ROUTES).filter(([, who]) => who !== 'anyone' && who !== 'tablet'))(
  '%s is for: %s',
  (route, who) => {
    const [method, pattern] = route.split(' ') as [string, string]
    const path = (id: string) => pattern.replace('[id]', id)
    /** The record or coupon of the other student: what a student must not see. */
    const others = () =>
      path(
        pattern.startsWith('/api/coupons')
          ? otherCoupon
          : pattern.startsWith('/api/tests')
            ? otherTest
            : pattern.startsWith('/api/students')
              ? school.other.id
              : school.section.id,
      )
    const body = method === 'GET' ? undefined : {}
    const allowed = LOOKS_ONLY.includes(method) ? 200 : TAKES_NOTHING.includes(route) ? 204 : 422

    it('is closed to whoever is not signed in', async () =>
      expect((await new Visitor().ask(method, others(), body)).status).toBe(401))

    it('a student gets no further than the own record', async () => {
      const { status } = await school.student.ask(method, others(), body)
      expect(status).toBe(who === 'signed in' ? 200 : 403)
    })

    it('an instructor may do what staff may', async () => {
      const { status } = await school.instructor.ask(method, others(), body)
      if (who === 'lead') expect(status).toBe(403)
      else expect(status).toBe(allowed)
    })

    it('a lead may do it', async () => expect((await school.lead.ask(method, others(), body)).status).toBe(allowed))
  },
)

it.each(
  Object.entries(ROUTES)
    .filter(([, who]) => who === 'tablet')
    .map(([route]) => route),
)('%s is closed to whoever holds no tablet and is not signed in', async route => {
  const [method, pattern] = route.split(' ') as [string, string]
  expect(
    (await new Visitor().ask(method, pattern.replace('[id]', otherCoupon), method === 'GET' ? undefined : {})).status,
  ).toBe(401)
})

it('a student sees the own record and coupons', async () => {
  expect((await school.student.ask('GET', `/api/students/${school.mine.id}/record`)).status).toBe(200)
  expect((await school.student.ask('GET', `/api/students/${school.mine.id}/coupons`)).status).toBe(200)
  expect((await school.student.ask('GET', `/api/students/${NOBODY}/record`)).status).toBe(403)
})

describe('signing in', () => {
  it('answers the same for a wrong password and for nobody', async () => {
    const wrong = await new Visitor().ask('POST', '/api/session', { username: 'tobias', password: 'not this one' })
    const nobody = await new Visitor().ask('POST', '/api/session', {
      username: 'nobody-here',
      password: 'not this one',
    })
    expect([wrong.status, wrong.body]).toEqual([nobody.status, nobody.body])
    expect(wrong.status).toBe(401)
    expect(wrong.type).toContain('application/problem+json')
  })

  it('names the field that is missing', async () => {
    const { status, body } = await new Visitor().ask('POST', '/api/session', { username: '', password: 'x' })
    expect(status).toBe(422)
    expect(body.errors).toEqual([{ path: 'username', message: 'Type your user name' }])
  })

  it('has an account wait after five failed tries, and only that account', async () => {
    await school.lead.ask('POST', '/api/accounts', {
      name: 'Guess Target',
      username: 'guess-target',
      role: 'instructor',
      studentId: null,
      active: true,
      password: PASSWORD,
    })
    const guess = () =>
      new Visitor().ask('POST', '/api/session', { username: 'guess-target', password: 'a wild guess' })
    for (let n = 0; n < 5; n++) expect((await guess()).status).toBe(401)
    expect((await guess()).status).toBe(429)
    await expect(new Visitor().signIn('guess-target')).rejects.toThrow('429')
    await expect(new Visitor().signIn('maren')).resolves.toBeDefined()
  })

  it('puts out an account that is switched off at its next request', async () => {
    const { body } = await school.lead.ask<{ id: string }>('POST', '/api/accounts', {
      name: 'Short Stay',
      username: 'short-stay',
      role: 'instructor',
      studentId: null,
      active: true,
      password: GIVEN,
    })
    const visitor = await new Visitor().takeUp('short-stay')
    expect((await visitor.ask('GET', '/api/sections')).status).toBe(200)
    await school.lead.ask('PUT', `/api/accounts/${body.id}`, {
      name: 'Short Stay',
      username: 'short-stay',
      role: 'instructor',
      studentId: null,
      active: false,
    })
    expect((await visitor.ask('GET', '/api/sections')).status).toBe(401)
  })

  it('founds the school once', async () => {
    const { status } = await new Visitor().ask('POST', '/api/first-lead', {
      school: 'Another',
      name: 'Some One',
      username: 'someone',
      password: PASSWORD,
    })
    expect(status).toBe(409)
  })

  it('keeps the last lead', async () => {
    const accounts = (await school.lead.ask<{ id: string; username: string }[]>('GET', '/api/accounts')).body
    const maren = accounts.find(account => account.username === 'maren')!
    const { status } = await school.lead.ask('PUT', `/api/accounts/${maren.id}`, {
      name: 'Maren Holt',
      username: 'maren',
      role: 'instructor',
      studentId: null,
      active: true,
    })
    expect(status).toBe(409)
  })
})

describe('a request that changes something', () => {
  it.each([
    ['another site', { origin: 'http://elsewhere.example' }],
    ['no page at all', { origin: '' }],
  ])('is refused from %s', async (_, headers) => {
    const { status } = await school.instructor.ask('POST', '/api/students', {}, headers as Record<string, string>)
    expect(status).toBe(403)
  })
})

it('says how it is', async () => {
  const { status, body } = await new Visitor().ask('GET', '/api/health')
  expect([status, body]).toEqual([200, { ok: true, version: expect.stringMatching(/^\d+\.\d+\.\d+$/), database: true }])
})

it('sends no page to another origin, and asks for no TLS it does not have', async () => {
  const { headers } = await fetch(`${ADDRESS}/api/health`)
  expect(headers.get('access-control-allow-origin')).toBeNull()
  expect(headers.get('strict-transport-security')).toBeNull()
  expect((await fetch(`${ADDRESS}/sign-in`)).headers.get('content-security-policy')).not.toContain(
    'upgrade-insecure-requests',
  )
})

it('answers an unknown address as a problem', async () => {
  const { status, type } = await school.lead.ask('GET', '/api/nothing')
  expect([status, type]).toEqual([404, 'application/problem+json'])
})
