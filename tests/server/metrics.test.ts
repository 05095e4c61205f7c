import { beforeAll, describe, expect, it } from 'vitest'
import { bearsToken } from '../../server/http/bearsToken'
import { routeOf } from '../../server/http/routeOf'
import { foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'

let school: School
beforeAll(async () => {
  school = await foundTestSchool()
})

describe('metrics', () => {
  it('count requests by route and status, with nobody in them', async () => {
    await school.lead.ask('GET', `/api/students/${school.mine.id}/record`)
    await fetch(`${ADDRESS}/api/no-such-thing-${Date.now()}`)
    const { status, type, body } = await school.lead.ask<string>('GET', '/api/metrics')
    expect([status, type]).toEqual([200, expect.stringContaining('application/openmetrics-text')])
    expect(body).toMatch(
      /fusilis_request_seconds_count\{method="GET",route="\/api\/students\/:id\/record",status="200"\} [1-9]/,
    )
    expect(body).toMatch(/fusilis_request_seconds_count\{method="GET",route="not found",status="404"\} [1-9]/)
    expect(body).toMatch(/^fusilis_progress_waiting \d+$/m)
    expect(body).toMatch(/^nodejs_eventloop_lag_p99_seconds /m)
    expect(body).not.toContain(school.mine.id)
    expect(body).not.toContain('no-such-thing')
    expect(body.trimEnd().endsWith('# EOF')).toBe(true)
  })

  it('every answer names its request', async () => {
    const names = await Promise.all(
      [1, 2].map(async () => (await fetch(`${ADDRESS}/api/health`)).headers.get('x-request-id')),
    )
    expect(names[0]).toMatch(/^[0-9a-f-]{36}$/)
    expect(names[0]).not.toBe(names[1])
  })
})

describe('a request as it is counted', () => {
  it.each([
    ['/api/students/01900000-0000-7000-8000-00000000dead/record?name=Una', '/api/students/:id/record'],
    ['/api/no-such-thing', '/api/**', 'not found'],
    ['/api/refused-before-it-was-routed', undefined, 'refused at the door'],
    ['/record/01900000-0000-7000-8000-00000000dead', '/**', 'a page or file'],
    ['/_nuxt/x.js', undefined, 'a page or file'],
  ])('%s by the route %s', (path, pattern, says = pattern) =>
    expect(routeOf({ path, context: pattern ? { matchedRoute: { path: pattern, handlers: {} } } : {} })).toBe(says),
  )

  it('has no more names than there are routes, whatever strangers ask for', async () => {
    const lines = async () => (await school.lead.ask<string>('GET', '/api/metrics')).body.split('\n').length
    const stranger = (n: number) =>
      Promise.all([
        fetch(`${ADDRESS}/api/x${n}`),
        fetch(`${ADDRESS}/api/coupons/x${n}`),
        fetch(`${ADDRESS}/api/students/x${n}/record`, { method: 'POST', headers: { origin: 'http://elsewhere' } }),
        fetch(`${ADDRESS}/api/sections/%2e%2e/${n}`, { method: 'DELETE' }),
      ])
    for (let n = 0; n < 5; n++) await stranger(n)
    const before = await lines()
    for (let n = 5; n < 100; n++) await stranger(n)
    expect(await lines()).toBe(before)
  })
})

describe('a monitoring machine', () => {
  const TOKEN = 'a long token of the school'
  it('is known by the token that was set, and by no other', () => {
    expect(bearsToken(`Bearer ${TOKEN}`, TOKEN)).toBe(true)
    for (const wrong of [`Bearer ${TOKEN.slice(1)}`, 'Bearer ', TOKEN, '', undefined])
      expect(bearsToken(wrong, TOKEN)).toBe(false)
  })

  it('is not known where none was set', () => {
    for (const unset of ['', undefined])
      for (const token of ['Bearer undefined', 'Bearer ', 'Bearer x', undefined])
        expect(bearsToken(token, unset)).toBe(false)
  })
})
