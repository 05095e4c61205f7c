import { setTimeout as sleep } from 'node:timers/promises'
import { Secret, TOTP } from 'otpauth'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { CodesOffer, OwnCodes, RecoveryCodes } from '../../contract/oneTimeCodes'
import type { Account, Me } from '../../contract/people'
import type { Problem } from '../../contract/problem'
import { closeDatabase, database, rows } from '../../server/store/database'
import { foundTestSchool, type School } from '../school'
import { GIVEN, PASSWORD, Visitor } from '../session'

const STEP_MS = 30_000

let school: School
beforeAll(async () => {
  school = await foundTestSchool()
})

afterAll(closeDatabase)

/** An instructor of this test alone. */
async function somebody(username: string): Promise<{ visitor: Visitor; id: string }> {
  const fields = { name: username, username, role: 'instructor', studentId: null, sectionIds: null, active: true }
  const made = await school.lead.ask<Account>('POST', '/api/accounts', { ...fields, password: GIVEN })
  return { visitor: await new Visitor().takeUp(username), id: made.body.id }
}

const codeAt = (secret: string, ms: number) =>
  new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: ms })
/** Codes of different steps that count at this moment: each is used once. */
const codesOf = (secret: string) => [-1, 0, 1].map(step => codeAt(secret, Date.now() + step * STEP_MS))

/** The oldest step that counts is over in a moment: what takes longer than that moment waits for the next. */
async function earlyInStep(): Promise<void> {
  const left = STEP_MS - (Date.now() % STEP_MS)
  if (left < 5_000) await sleep(left)
}

/** Turns codes on with the oldest step that counts, so that two more are left. */
async function turnOn(visitor: Visitor): Promise<{ secret: string; recovery: readonly string[] }> {
  const { secret } = (await visitor.ask<CodesOffer>('GET', '/api/session/codes/offer')).body
  await earlyInStep()
  const save = { password: PASSWORD, secret, code: codesOf(secret)[0]! }
  const answer = await visitor.ask<RecoveryCodes>('PUT', '/api/session/codes', save)
  expect(answer.status).toBe(200)
  return { secret, recovery: answer.body.recovery }
}
const signIn = (username: string, code?: string) =>
  new Visitor().ask<Problem>('POST', '/api/session', { username, password: PASSWORD, ...(code ? { code } : {}) })
const own = async (visitor: Visitor) => (await visitor.ask<OwnCodes>('GET', '/api/session/codes')).body

describe('one-time codes', () => {
  it('are what every authenticator reckons: the published vectors, cut to six digits', () => {
    // RFC 6238, appendix B, SHA-1; the secret is the ASCII of 12345678901234567890.
    const secret = 'GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ'
    const seconds = [59, 1_111_111_109, 1_111_111_111, 1_234_567_890, 2_000_000_000]
    expect(seconds.map(at => codeAt(secret, at * 1000))).toEqual(['287082', '081804', '050471', '005924', '279037'])
  })

  it('are offered by an address that an authenticator takes, and count for nothing until one is proved', async () => {
    const { visitor } = await somebody('offered')
    const offer = (await visitor.ask<CodesOffer>('GET', '/api/session/codes/offer')).body
    expect(offer.secret).toMatch(/^[A-Z2-7]{32}$/)
    expect(offer.address).toMatch(/^otpauth:\/\/totp\/Fusilis:offered\?/)
    const wrong = { password: PASSWORD, secret: offer.secret, code: '000000' }
    const refused = await visitor.ask<Problem>('PUT', '/api/session/codes', wrong)
    expect([refused.status, refused.body.errors?.[0]?.path]).toEqual([422, 'code'])
    expect(await own(visitor)).toEqual({ on: false, recoveryLeft: 0 })
    expect((await signIn('offered')).status).toBe(200)
  })

  it('are asked for after the password, and each lets in once', async () => {
    const { visitor } = await somebody('coded')
    const { secret } = await turnOn(visitor)
    const asked = await signIn('coded')
    expect([asked.status, asked.body.errors?.[0]?.path]).toEqual([401, 'code'])
    const [used, now] = codesOf(secret) as [string, string, string]
    expect((await signIn('coded', used)).status).toBe(401)
    expect((await signIn('coded', `${now.slice(0, 3)} ${now.slice(3)}`)).status).toBe(200)
    expect((await signIn('coded', now)).status).toBe(401)
  })

  it('being asked for one costs the shared address nothing, and the account a turn', async () => {
    const { visitor } = await somebody('two-steps')
    const { secret } = await turnOn(visitor)
    const failures = async (subject: string) => {
      const sql = 'SELECT COALESCE(SUM(failures), 0) AS n FROM sign_in_turn WHERE subject LIKE ?'
      return Number((await rows<{ n: number }>(database(), sql, [subject]))[0]!.n)
    }
    const before = await failures('passwords from %')
    await signIn('two-steps')
    expect([await failures('passwords from %'), await failures('account two-steps')]).toEqual([before, 1])
    expect((await signIn('two-steps', codesOf(secret)[1])).status).toBe(200)
    expect([await failures('passwords from %'), await failures('account two-steps')]).toEqual([before, 0])
  })

  it('are no way round the password', async () => {
    const { visitor } = await somebody('both')
    const { secret } = await turnOn(visitor)
    const answer = await new Visitor().ask('POST', '/api/session', {
      username: 'both',
      password: 'not the right one',
      code: codesOf(secret)[1]!,
    })
    expect([answer.status, answer.body.errors]).toEqual([401, undefined])
  })

  it('are guessed at no faster than passwords', async () => {
    const { visitor } = await somebody('guessed')
    await turnOn(visitor)
    const statuses: number[] = []
    for (let n = 0; n < 8; n++) statuses.push((await signIn('guessed', String(100_000 + n))).status)
    expect(statuses.slice(0, 5)).toEqual([401, 401, 401, 401, 401])
    expect(statuses.at(-1)).toBe(429)
  })

  it('recovery codes let in once each, however they are typed', async () => {
    const { visitor } = await somebody('lost-phone')
    const { recovery } = await turnOn(visitor)
    expect(new Set(recovery).size).toBe(10)
    expect((await signIn('lost-phone', recovery[0]!.toUpperCase().replace('-', ' '))).status).toBe(200)
    expect((await signIn('lost-phone', recovery[0])).status).toBe(401)
    expect(await own(visitor)).toEqual({ on: true, recoveryLeft: 9 })
  })

  it('are turned off with the password, and by a lead for a lost phone', async () => {
    const { visitor, id } = await somebody('turned-off')
    await turnOn(visitor)
    const off = (password: string) => visitor.ask('POST', '/api/session/codes/off', { password })
    expect((await off('not the right one')).status).toBe(422)
    expect((await own(visitor)).on).toBe(true)
    expect((await off(PASSWORD)).status).toBe(204)
    expect((await signIn('turned-off')).status).toBe(200)
    const { recovery } = await turnOn(visitor)
    expect((await school.lead.ask('DELETE', `/api/accounts/${id}/codes`)).status).toBe(204)
    expect((await signIn('turned-off')).status).toBe(200)
    expect(await own(visitor)).toEqual({ on: false, recoveryLeft: 0 })
    expect((await signIn('turned-off', recovery[0])).status).toBe(200)
  })
})

describe('a school that wants codes of its staff', () => {
  it('is asked for by a lead who has them; then nothing opens to staff without, and students go on as before', async () => {
    const fields = { name: 'Own First', username: 'own-first', role: 'lead', studentId: null, sectionIds: null }
    await school.lead.ask('POST', '/api/accounts', { ...fields, active: true, password: GIVEN })
    const lead = await new Visitor().takeUp('own-first')
    const want = (wanted: boolean) => lead.ask('PUT', '/api/school/codes', { wanted })
    expect((await want(true)).status).toBe(409)
    await turnOn(lead)
    try {
      expect((await want(true)).status).toBe(204)
      const shut = await school.instructor.ask('GET', '/api/sections')
      expect([shut.status, shut.body.title]).toEqual([403, 'Set up one-time codes'])
      expect((await school.instructor.ask<Me>('GET', '/api/session')).body).toMatchObject({ codesWanted: true })
      expect((await school.student.ask('GET', `/api/students/${school.mine.id}/record`)).status).toBe(200)
      expect((await lead.ask('GET', '/api/sections')).status).toBe(200)
    } finally {
      expect((await want(false)).status).toBe(204)
    }
    expect((await school.instructor.ask('GET', '/api/sections')).status).toBe(200)
  })
})
