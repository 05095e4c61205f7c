import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Account, Me } from '../../contract/people'
import { UNTOUCHED, type SignIn } from '../../contract/signIns'
import { closeDatabase, database, run } from '../../server/store/database'
import { giveTurnBack, takeTurn, waitAfter } from '../../server/store/turns'
import { addInstructor, foundTestSchool, type School } from '../school'
import { ADDRESS, GIVEN, PASSWORD, Visitor } from '../session'

let school: School
beforeAll(async () => {
  school = await foundTestSchool()
})
afterAll(closeDatabase)

/** The address is everybody's here: what one test guesses must not shut another out. */
const forgetAll = () => run(database(), 'DELETE FROM sign_in_turn')

async function account(username: string): Promise<Account> {
  const made = await addInstructor(school, username)
  await new Visitor().takeUp(username)
  return made
}
const guess = (username: string, password: string) =>
  new Visitor().ask<{ detail: string }>('POST', '/api/session', { username, password })

/**
 * So many tries at once, and how many of them may have been checked: five, and where a slow machine takes seconds over
 * them one more after 1, 3, 7, … s, as the waits end.
 */
async function atOnce<Answer>(tries: number, ask: (n: number) => Promise<Answer>) {
  const since = performance.now()
  const answers = await Promise.all(Array.from({ length: tries }, (_, n) => ask(n)))
  return { answers, due: 5 + Math.floor(Math.log2(1 + (performance.now() - since) / 1000)) }
}

describe('waiting', () => {
  const subject = { name: 'x', free: 5, longestSeconds: 300 }
  it('begins after the free tries and doubles to its longest', () => {
    expect([1, 4, 5, 6, 7, 8, 40].map(failures => waitAfter(failures, subject))).toEqual([0, 0, 1, 2, 4, 8, 300])
  })
  it('is taken one at a time: of many at once no more get through than are free', async () => {
    const { answers, due } = await atOnce(60, () => takeTurn([{ ...subject, name: 'many at once' }]))
    const taken = answers.filter(wait => wait === 0).length
    expect(taken).toBeGreaterThanOrEqual(5)
    expect(taken).toBeLessThanOrEqual(due)
  })
  it('a right try gives back what it took of a shared address', async () => {
    const own = { ...subject, name: 'right' }
    const shared = { name: 'shared', free: 2, longestSeconds: 60 }
    for (let n = 0; n < 12; n++) {
      expect(await takeTurn([own, shared])).toBe(0)
      await giveTurnBack([own, shared])
    }
  })
  it('an hour of quiet forgets', async () => {
    const quiet = { name: 'quiet', free: 1, longestSeconds: 600 }
    expect(await takeTurn([quiet])).toBe(0)
    expect(await takeTurn([quiet])).toBeGreaterThan(0)
    await run(
      database(),
      `UPDATE sign_in_turn SET last_at = last_at - INTERVAL 2 HOUR, free_at = free_at - INTERVAL 2 HOUR, failures = 9
      WHERE subject = 'quiet'`,
    )
    expect(await takeTurn([quiet])).toBe(0)
    expect(await takeTurn([quiet])).toBeLessThanOrEqual(1)
  })
})

describe('passwords', () => {
  it('a hundred guessed at once are the same few tries, and the right one waits with them', async () => {
    await account('guessed-at')
    await forgetAll()
    const { answers, due } = await atOnce(100, n => guess('guessed-at', `not this ${n}`))
    const checked = answers.filter(answer => answer.status === 401).length
    expect(checked).toBeGreaterThanOrEqual(5)
    expect(checked).toBeLessThanOrEqual(due)
    const refused = answers.find(answer => answer.status === 429)!
    expect(refused.body.detail).toMatch(/Wait \d+ seconds?, or ask a lead instructor for a new password/)
    await forgetAll()
  })
  it('somebody who mistypes is let in, and starts afresh', async () => {
    await account('mistypes')
    for (let round = 0; round < 3; round++) {
      for (let n = 0; n < 4; n++) expect((await guess('mistypes', 'wrong one here')).status).toBe(401)
      expect((await guess('mistypes', PASSWORD)).status).toBe(200)
    }
  })
  it('a new one from a lead lets in at once, and ends what was begun by the old one', async () => {
    const { id, codes: _, ...fields } = await account('forgetful')
    const signedIn = await new Visitor().signIn('forgetful')
    for (let n = 0; n < 7; n++) await guess('forgetful', 'wrong one here')
    expect((await guess('forgetful', PASSWORD)).status).toBe(429)
    const changed = await school.lead.ask('PUT', `/api/accounts/${id}`, { ...fields, password: 'quite another secret' })
    expect(changed.status).toBe(200)
    expect((await signedIn.ask('GET', '/api/session')).status).toBe(401)
    expect((await guess('forgetful', 'quite another secret')).status).toBe(200)
  })
})

describe('a password that is soon guessed', () => {
  const account = (username: string, password: string) =>
    school.lead.ask<{ errors: { path: string; message: string }[] }>('POST', '/api/accounts', {
      name: 'Verena Stoll',
      username,
      role: 'instructor',
      studentId: null,
      sectionIds: null,
      active: true,
      password,
    })
  it.each(['password12', 'qwertyuiop', 'Password123!', 'aaaaaaaaaaaa', 'letmein2026', 'verena.stoll', 'stoll-verena'])(
    '%s is refused, and nobody is made',
    async password => {
      const refused = await account('verena.stoll', password)
      expect(refused.status).toBe(422)
      expect(refused.body.errors).toEqual([{ path: 'password', message: expect.stringContaining('soon guessed') }])
    },
  )
  it('words that do not belong together are taken, short or as long as may be', async () => {
    expect((await account('verena.one', 'anvil teacup river')).status).toBe(201)
    expect((await account('verena.two', 'anvil teacup river '.repeat(10).trim())).status).toBe(201)
  })
})

describe('one’s own password', () => {
  type Refused = { errors: { path: string; message: string }[] }
  const change = (visitor: Visitor, current: string, next: string) =>
    visitor.ask<Refused>('PUT', '/api/session/password', { current, next })
  it('is changed by whoever knows it; every other device is signed out, this one goes on', async () => {
    await account('changes')
    const [here, there] = [await new Visitor().signIn('changes'), await new Visitor().signIn('changes')]
    expect((await change(here, PASSWORD, 'bead on plate in 4G')).status).toBe(204)
    expect((await here.ask('GET', '/api/session')).status).toBe(200)
    expect((await there.ask('GET', '/api/session')).status).toBe(401)
    expect((await guess('changes', PASSWORD)).status).toBe(401)
    expect((await guess('changes', 'bead on plate in 4G')).status).toBe(200)
  })
  it('is not guessed at from a device left signed in, and is refused by field', async () => {
    await account('left-lying')
    const visitor = await new Visitor().signIn('left-lying')
    expect((await change(visitor, 'not the one', 'bead on plate in 4G')).body.errors).toEqual([
      { path: 'current', message: 'That is not your password' },
    ])
    expect((await change(visitor, PASSWORD, 'short')).body.errors).toEqual([
      { path: 'next', message: 'The new password is at least 10 characters' },
    ])
    expect((await change(visitor, PASSWORD, PASSWORD)).body.errors[0]!.message).toBe('The new password is the old one')
    expect((await change(visitor, PASSWORD, 'qwertyuiop123')).body.errors[0]!.message).toContain('soon guessed')
    const statuses: number[] = []
    for (let n = 0; n < 8; n++) statuses.push((await change(visitor, `guess number ${n}`, 'bead on plate 4G')).status)
    expect(statuses).toContain(429)
    expect((await new Visitor().ask('PUT', '/api/session/password', { current: 'a', next: 'b' })).status).toBe(401)
  })
})

describe('sessions end', () => {
  it('everywhere at once, when asked', async () => {
    await account('everywhere')
    const [here, there] = [await new Visitor().signIn('everywhere'), await new Visitor().signIn('everywhere')]
    expect((await here.ask('DELETE', '/api/sessions')).status).toBe(204)
    expect((await there.ask('GET', '/api/session')).status).toBe(401)
    expect((await guess('everywhere', PASSWORD)).status).toBe(200)
  })
  it('with the account, and stay ended when it is let in again', async () => {
    const { id, codes: _, ...fields } = await account('leaves')
    const visitor = await new Visitor().signIn('leaves')
    await school.lead.ask('PUT', `/api/accounts/${id}`, { ...fields, active: false })
    expect((await visitor.ask('GET', '/api/session')).status).toBe(401)
    await school.lead.ask('PUT', `/api/accounts/${id}`, { ...fields, active: true })
    expect((await visitor.ask('GET', '/api/session')).status).toBe(401)
  })
  it('of a student at the tablet, with a new code; the tablet stays the class’s', async () => {
    const code = (digits: string) => school.lead.ask('PUT', `/api/students/${school.mine.id}/code`, { code: digits })
    await code('4711')
    const tablet = await new Visitor().signIn('tobias')
    await tablet.ask('POST', '/api/kiosk', { sectionId: school.section.id })
    const take = (digits: string) =>
      tablet.ask('POST', '/api/kiosk/student', { studentId: school.mine.id, code: digits })
    expect((await take('4711')).status).toBe(204)
    expect((await tablet.ask('GET', '/api/blind-readings/open')).status).toBe(200)
    await code('4712')
    expect((await tablet.ask('GET', '/api/blind-readings/open')).status).toBe(401)
    expect((await tablet.ask<{ studentId: string | null }>('GET', '/api/kiosk')).body.studentId).toBeNull()
    expect((await take('4712')).status).toBe(204)
  })
})

it('codes guessed at once are the same few tries, and no password waits for them', async () => {
  const tablet = await new Visitor().signIn('tobias')
  await tablet.ask('POST', '/api/kiosk', { sectionId: school.section.id })
  await school.lead.ask('PUT', `/api/students/${school.other.id}/code`, { code: '4711' })
  const { answers, due } = await atOnce(60, n =>
    tablet.ask('POST', '/api/kiosk/student', { studentId: school.other.id, code: String(1000 + n) }),
  )
  const checked = answers.filter(answer => answer.status === 422).length
  expect(checked).toBeLessThanOrEqual(due)
  expect(answers.filter(answer => answer.status === 429).length).toBe(60 - checked)
  expect((await guess('tobias', PASSWORD)).status).toBe(200)
  await forgetAll()
})

describe('two leads', () => {
  it('cannot demote each other at once', async () => {
    const second = await school.lead.ask<Account>('POST', '/api/accounts', {
      name: 'Second Lead',
      username: 'second-lead',
      role: 'lead',
      studentId: null,
      sectionIds: null,
      password: GIVEN,
      active: true,
    })
    const accounts = (await school.lead.ask<Account[]>('GET', '/api/accounts')).body.filter(one => one.role === 'lead')
    const other = await new Visitor().takeUp('second-lead')
    const demote = (by: Visitor, { id, codes: _, ...fields }: Account) =>
      by.ask('PUT', `/api/accounts/${id}`, { ...fields, role: 'instructor' })
    const first = accounts.find(one => one.id !== second.body.id)!
    const answers = await Promise.all([demote(school.lead, second.body), demote(other, first)])
    const leads = (await Promise.all([school.lead, other].map(one => one.ask<Account[]>('GET', '/api/accounts')))).find(
      answer => answer.status === 200,
    )!.body
    expect(leads.filter(one => one.role === 'lead' && one.active).length).toBeGreaterThan(0)
    expect(answers.filter(answer => answer.status === 200).length).toBe(1)
    // The school of the other tests keeps its first lead.
    await run(database(), `UPDATE account SET role = 'lead' WHERE username = 'maren'`)
    await run(database(), `UPDATE account SET role = 'instructor' WHERE username = 'second-lead'`)
  })
})

it('answers are private, no page is framed, and only our own page may change anything', async () => {
  const answer = await fetch(`${ADDRESS}/api/session`)
  expect(answer.headers.get('cache-control')).toBe('no-store')
  const page = await fetch(`${ADDRESS}/`)
  expect(page.headers.get('x-frame-options')).toBe('DENY')
  for (const origin of [ADDRESS.replace('http:', 'https:'), `${ADDRESS}.evil.example`, 'null'])
    expect((await new Visitor().ask('POST', '/api/session', {}, { origin })).status).toBe(403)
})

describe('a password that a lead gave', () => {
  const fields = {
    name: 'By Hand',
    username: 'by-hand',
    role: 'instructor',
    studentId: null,
    sectionIds: null,
    active: true,
  }
  let id: string

  it('opens nothing but the way to change it, and the way out', async () => {
    const made = await school.lead.ask<Account>('POST', '/api/accounts', { ...fields, password: GIVEN })
    id = made.body.id
    const visitor = await new Visitor().signIn('by-hand', GIVEN)
    expect((await visitor.ask('GET', '/api/session')).body).toMatchObject({ name: 'By Hand', passwordGiven: true })
    for (const path of ['/api/sections', '/api/blind-readings/open', `/api/sections/${school.section.id}/queue`]) {
      const { status, body } = await visitor.ask<{ title: string }>('GET', path)
      expect([path, status, body.title]).toEqual([path, 403, 'Choose your own password'])
    }
    const ready = await visitor.ask('PUT', `/api/waiting/${uuid()}`, { studentId: school.mine.id })
    expect(ready.status).toBe(403)
    const same = await visitor.ask('PUT', '/api/session/password', { current: GIVEN, next: GIVEN })
    expect(same.status).toBe(422)
    expect((await visitor.ask('GET', '/api/sections')).status).toBe(403)
    await visitor.ask('DELETE', '/api/session')
    await forgetAll()
  })

  it('is over once it is changed, and back when a lead gives another', async () => {
    const visitor = await new Visitor().takeUp('by-hand')
    expect((await visitor.ask('GET', '/api/session')).body).toMatchObject({ passwordGiven: false })
    expect((await visitor.ask('GET', '/api/sections')).status).toBe(200)
    await school.lead.ask('PUT', `/api/accounts/${id}`, { ...fields, name: 'By Own Hand' })
    expect((await visitor.ask('GET', '/api/sections')).status).toBe(200)
    await school.lead.ask('PUT', `/api/accounts/${id}`, { ...fields, password: `${GIVEN}, again` })
    const again = await new Visitor().signIn('by-hand', `${GIVEN}, again`)
    expect((await again.ask('GET', '/api/sections')).status).toBe(403)
    await forgetAll()
  })
})

describe('where one is signed in', () => {
  const PHONE = 'Mozilla/5.0 (Linux; Android 14; Pixel 8) AppleWebKit/537.36 Chrome/126.0.0.0 Mobile Safari/537.36'
  const places = async (visitor: Visitor) => (await visitor.ask<SignIn[]>('GET', '/api/sessions')).body
  const isIn = async (visitor: Visitor) => (await visitor.ask('GET', '/api/session')).status === 200
  const phone = async (username: string) => {
    const visitor = new Visitor()
    await visitor.ask('POST', '/api/session', { username, password: PASSWORD }, { 'user-agent': PHONE })
    return visitor
  }

  it('is listed with what it is, and one place is signed out from another; nobody else’s is', async () => {
    await account('two-places')
    const [here, there] = [await new Visitor().signIn('two-places'), await phone('two-places')]
    const listed = await places(here)
    expect(listed.filter(place => place.here)).toHaveLength(1)
    expect(listed.find(place => place.device === 'Chrome on Android')).toMatchObject({ here: false })
    const theirs = listed.find(place => !place.here && place.device === 'Chrome on Android')!
    expect((await school.lead.ask('DELETE', `/api/sessions/${theirs.id}`)).status).toBe(404)
    expect(await isIn(there)).toBe(true)
    expect((await here.ask('DELETE', `/api/sessions/${theirs.id}`)).status).toBe(204)
    expect([await isIn(here), await isIn(there)]).toEqual([true, false])
    expect((await places(here)).some(place => place.id === theirs.id)).toBe(false)
  })
  it('a cookie that was kept is worth nothing once it was signed out', async () => {
    await account('signs-out')
    const visitor = await new Visitor().signIn('signs-out')
    const kept = { ...visitor.headers }
    await visitor.ask('DELETE', '/api/session')
    expect((await new Visitor().ask('GET', '/api/session', undefined, kept)).status).toBe(401)
  })
  it('another password leaves only the place where it was changed', async () => {
    await account('one-place')
    const [here] = [await new Visitor().signIn('one-place'), await phone('one-place')]
    await here.ask('PUT', '/api/session/password', { current: PASSWORD, next: 'bead on plate in 4G' })
    expect((await places(here)).map(place => place.here)).toEqual([true])
  })

  describe('a screen that nobody touches', () => {
    const idle = (minutes: number | null) => school.lead.ask('PUT', '/api/school/idle', { minutes })
    const later = (minutes: number) =>
      run(
        database(),
        `UPDATE sign_in JOIN account ON account.id = account_id SET seen_at = seen_at - INTERVAL ? MINUTE
        WHERE username = 'left-alone'`,
        [minutes],
      )
    const untouched = { [UNTOUCHED]: '700' }
    beforeAll(async () => {
      await account('left-alone')
    })
    afterAll(() => idle(null))

    it('stays in where the school does not mind', async () => {
      const visitor = await new Visitor().signIn('left-alone')
      await later(11)
      expect(await isIn(visitor)).toBe(true)
    })
    it('is out after as long as the school allows, though it goes on asking by itself; not one that is used', async () => {
      expect((await idle(10)).status).toBe(204)
      const visitor = await new Visitor().signIn('left-alone')
      expect((await visitor.ask<Me>('GET', '/api/session')).body.idleMinutes).toBe(10)
      await later(6)
      // It follows what others do: nobody is there.
      expect((await visitor.ask('GET', '/api/session', undefined, untouched)).status).toBe(200)
      await later(6)
      expect((await visitor.ask('GET', '/api/session', undefined, untouched)).status).toBe(401)
      const used = await new Visitor().signIn('left-alone')
      for (let n = 0; n < 3; n++) {
        await later(6)
        expect(await isIn(used)).toBe(true)
      }
    })
    it('only as the form offers, and only by a lead', async () => {
      expect((await idle(7)).body.errors).toEqual([
        { path: 'minutes', message: 'minutes is 10, 30, 60 or 240, or null for never' },
      ])
      expect((await school.instructor.ask('PUT', '/api/school/idle', { minutes: 10 })).status).toBe(403)
    })
  })
})
