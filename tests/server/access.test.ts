import { beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { aCoupon } from '../../core/coupon/example'
import { aJpeg } from '../../core/picture/exampleJpeg'
import { aTest } from '../../core/welderTest/example'
import type { ReadersAgreement } from '../../contract/blindReadings'
import type { Account, Section } from '../../contract/people'
import type { TestBay } from '../../contract/welderTests'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS, GIVEN, PASSWORD, Visitor } from '../session'
import { FOUND_ROUTES, ROUTES } from './whoMay'

const NOBODY = '01900000-0000-7000-8000-00000000dead'

let school: School
let otherCoupon: string
let otherTest: string
let otherPicture: string
/** A picture of the other student's coupon. */
async function takePicture(): Promise<string> {
  const id = uuid()
  const shows = { side: 'face', state: 'slag off', lies: null, widthPx: 400, heightPx: 300 }
  const data = Buffer.from(aJpeg(400, 300)).toString('base64')
  const picture = { couponId: otherCoupon, studentId: school.other.id, ...shows, data }
  expect((await school.instructor.ask('PUT', `/api/pictures/${id}`, picture)).status).toBe(204)
  return id
}
beforeAll(async () => {
  school = await foundTestSchool()
  otherCoupon = uuid()
  const saved = await school.instructor.ask('PUT', `/api/coupons/${otherCoupon}`, {
    baseVersion: 0,
    why: '',
    document: aCoupon({ studentId: school.other.id }),
  })
  expect(saved.status).toBe(200)
  otherPicture = await takePicture()
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

it('knows every route there is, and no other', () =>
  expect(FOUND_ROUTES.map(found => found.route).sort()).toEqual(Object.keys(ROUTES).sort()))

const LOOKS_ONLY = ['GET']
/** Routes that take no body, and have nothing to say. */
/** What the matrix names is no account, and no remark. */
const NOT_THERE = [
  'DELETE /api/tablets/[id]',
  'DELETE /api/accounts/[id]/codes',
  'POST /api/remarks/[id]/tick',
  'POST /api/booth-faults/[id]/clear',
  'DELETE /api/demonstrations/[id]',
]
const TAKES_NOTHING = ['PUT /api/students/[id]/hold', 'DELETE /api/students/[id]/hold', 'DELETE /api/pictures/[id]']
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
            : pattern.startsWith('/api/pictures')
              ? otherPicture
              : pattern.startsWith('/api/students')
                ? school.other.id
                : school.section.id,
      )
    const body = method === 'GET' ? undefined : {}
    const allowed = NOT_THERE.includes(route)
      ? 404
      : LOOKS_ONLY.includes(method)
        ? 200
        : TAKES_NOTHING.includes(route)
          ? 204
          : 422

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

describe('an instructor who is tied to another section', () => {
  const AWAY = 'ansa'
  let away: Visitor
  let own: { sectionId: string; studentId: string }
  let tie: (sectionIds: string[]) => Promise<unknown>
  beforeAll(async () => {
    otherPicture = await takePicture()
    const { section, student } = await addClass(school, 'Far T', 'Wenda Orrin')
    own = { sectionId: section.id, studentId: student.id }
    const fields = { name: AWAY, username: AWAY, role: 'instructor', studentId: null, active: true }
    const made = await school.lead.ask<Account>('POST', '/api/accounts', {
      ...fields,
      sectionIds: [section.id],
      password: GIVEN,
    })
    away = await new Visitor().takeUp(AWAY)
    tie = sectionIds => school.lead.ask('PUT', `/api/accounts/${made.body.id}`, { ...fields, sectionIds })
  })

  const OF_A_SECTION = Object.entries(ROUTES).filter(
    ([route, who]) => who !== 'lead' && /\/(sections|students|coupons|tests|pictures)\/\[id\]/.test(route),
  )
  it('has routes to be kept from', () => expect(OF_A_SECTION.length).toBeGreaterThan(20))
  it.each(OF_A_SECTION.map(([route]) => route))('%s: sees and changes nothing there', async route => {
    const [method, pattern] = route.split(' ') as [string, string]
    const of = {
      sections: school.section.id,
      students: school.other.id,
      coupons: otherCoupon,
      tests: otherTest,
      pictures: otherPicture,
    }
    const id = of[pattern.split('/')[2] as keyof typeof of]
    const answer = await away.ask(method, pattern.replace('[id]', id), method === 'GET' ? undefined : {})
    expect([answer.status, (answer.body as { title?: string }).title]).toEqual([403, 'Not your section'])
  })

  it('nor by what a body names', async () => {
    const document = aCoupon({ studentId: school.other.id })
    const student = { name: 'Nova', hand: 'right', startDate: '2026-09-01', booth: null }
    const tried = await Promise.all([
      away.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document }),
      away.ask('PUT', `/api/waiting/${uuid()}`, { studentId: school.other.id }),
      away.ask('PUT', `/api/blind-readings/${uuid()}`, { couponId: otherCoupon, stage: 'after chipping', document }),
      away.ask('PUT', `/api/tests/${uuid()}`, { baseVersion: 0, document: aTest(school.other.id) }),
      away.ask('POST', '/api/students', { ...student, sectionId: school.section.id, active: true }),
      away.ask('POST', '/api/students/import', { sectionId: school.section.id, students: [student] }),
      away.ask('PUT', `/api/students/${own.studentId}`, { ...student, sectionId: school.section.id, active: true }),
    ])
    expect(tried.map(one => one.status)).toEqual(tried.map(() => 403))
  })

  it('nor in a list', async () => {
    const sections = await away.ask<Section[]>('GET', '/api/sections')
    expect(sections.body.map(one => one.id)).toEqual([own.sectionId])
    expect((await away.ask<TestBay>('GET', '/api/tests')).body).toEqual({ tests: [], uses: [] })
    expect((await school.instructor.ask<TestBay>('GET', '/api/tests')).body.tests.length).toBeGreaterThan(0)
    expect((await away.ask<ReadersAgreement>('GET', '/api/blind-readings/agreement')).body.waiting).toEqual([])
    expect(
      (await school.lead.ask<ReadersAgreement>('GET', '/api/blind-readings/agreement')).body.waiting.length,
    ).toBeGreaterThan(0)
  })

  it('works in the own section as anybody does, and in another from the moment that it is added', async () => {
    const document = aCoupon({ studentId: own.studentId })
    expect((await away.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document })).status).toBe(200)
    expect((await away.ask('GET', `/api/sections/${own.sectionId}/floor`)).status).toBe(200)
    await tie([own.sectionId, school.section.id])
    expect((await away.ask('GET', `/api/coupons/${otherCoupon}`)).status).toBe(200)
    await tie([])
    expect((await away.ask<Section[]>('GET', '/api/sections')).body).toEqual([])
    expect((await away.ask('GET', `/api/sections/${own.sectionId}/floor`)).status).toBe(403)
  })

  it('is tied to sections that there are, and a lead to none', async () => {
    const fields = { name: 'X', username: 'x-tied', studentId: null, active: true, password: GIVEN }
    const tied = (role: string, sectionIds: string[]) =>
      school.lead.ask('POST', '/api/accounts', { ...fields, role, sectionIds })
    expect((await tied('instructor', [NOBODY])).body.errors).toEqual([
      { path: 'sectionIds', message: 'There is no such section' },
    ])
    expect((await tied('lead', [own.sectionId])).body.errors).toEqual([
      { path: 'sectionIds', message: 'Only an instructor is tied to sections: a lead teaches all' },
    ])
  })
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
      sectionIds: null,
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
      sectionIds: null,
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
      sectionIds: null,
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
      sectionIds: null,
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
  expect([status, body]).toEqual([
    200,
    { ok: true, version: expect.stringMatching(/^\d+\.\d+\.\d+$/), database: true, saves: true, signIns: true },
  ])
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
