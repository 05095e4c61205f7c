import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { freePort } from '../../bin/mariadb.mjs'
import { serve } from '../../bin/serve.mjs'
import type { Account, Me } from '../../contract/people'
import type { Problem } from '../../contract/problem'
import type { Welcome } from '../../contract/record'
import { closeDatabase, database, rows } from '../../server/store/database'
import { addInstructor, foundTestSchool, type School } from '../school'
import { ADDRESS, GIVEN, Visitor } from '../session'
import { makeProvider, type AtTheDoor } from '../provider'

let school: School
let provider: Awaited<ReturnType<typeof makeProvider>>
let server: Awaited<ReturnType<typeof serve>>
let dir: string
beforeAll(async () => {
  school = await foundTestSchool()
  dir = await mkdtemp(`${tmpdir()}/fusilis-provider-`)
  const port = await freePort()
  const address = `http://127.0.0.1:${port}`
  const client = { id: 'fusilis', secret: 'a secret of the tests' }
  provider = await makeProvider({ ...client, back: `${address}/api/session/provider/back` })
  server = await serve({
    dir,
    url: process.env.FUSILIS_DB_URL,
    port,
    env: {
      FUSILIS_OIDC_ISSUER: provider.issuer,
      FUSILIS_OIDC_CLIENT: client.id,
      FUSILIS_OIDC_SECRET: client.secret,
      FUSILIS_OIDC_NAME: 'the college',
      FUSILIS_ADDRESS: address,
    },
  })
})
afterAll(async () => {
  await server?.stop()
  await provider?.stop()
  await rm(dir, { recursive: true, force: true })
  await closeDatabase()
})

/** A browser as far as this goes: it keeps cookies for each host, and goes where it is sent. */
function aBrowser() {
  const jars = new Map<string, Map<string, string>>()
  async function open(address: string, method = 'GET', body?: object): Promise<Response> {
    const { host } = new URL(address)
    const jar = jars.get(host) ?? new Map<string, string>()
    jars.set(host, jar)
    const cookie = [...jar].map(([name, value]) => `${name}=${value}`).join('; ')
    const headers = { origin: new URL(address).origin, ...(body && { 'content-type': 'application/json' }) }
    const answer = await fetch(address, {
      method,
      redirect: 'manual',
      headers: cookie ? { ...headers, cookie } : headers,
      body: body && JSON.stringify(body),
    })
    for (const kept of answer.headers.getSetCookie()) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(kept)!
      if (value === '') jar.delete(name!)
      else jar.set(name!, value!)
    }
    return answer
  }
  /** Goes on for as long as it is sent on, or until it is to open this; says where it came to. */
  async function follow(address: string, until: (address: string) => boolean = () => false): Promise<string> {
    for (let at = address, steps = 0; steps < 12; steps++) {
      if (until(at)) return at
      const answer = await open(at)
      const to = answer.headers.get('location')
      if (!to) return at
      at = new URL(to, at).href
    }
    throw new Error('It is sent on for ever')
  }
  return { open, follow }
}
const at = (path: string) => `${server.address}${path}`
/** Where somebody comes to who stands at the provider's door and signs in, and who that is here. */
async function comeIn(who: AtTheDoor): Promise<{ to: string; me: Me | null }> {
  provider.letIn(who)
  const browser = aBrowser()
  const to = (await browser.follow(at('/api/session/provider'))).slice(server.address.length)
  const session = await browser.open(at('/api/session'))
  return { to, me: session.ok ? ((await session.json()) as Me) : null }
}

describe('the school’s own identity provider', () => {
  it('lets in the account of that user name, which from then on is that person’s, without a password', async () => {
    const made: Account = await addInstructor(school, 'nerys')
    const first = await comeIn({ subject: 'p-17', username: 'Nerys' })
    expect([first.to, first.me?.id, first.me?.passwordGiven]).toEqual(['/', made.id, false])
    // The password that a lead gave is worth nothing any more.
    expect((await new Visitor().ask('POST', '/api/session', { username: 'nerys', password: GIVEN })).status).toBe(401)
    // It is neither asked for nor changed by whoever comes in so.
    const browser = aBrowser()
    await browser.follow(at('/api/session/provider'))
    const change = await browser.open(at('/api/session/password'), 'PUT', {
      current: GIVEN,
      next: 'another long secret',
    })
    expect([change.status, ((await change.json()) as Problem).errors]).toEqual([
      422,
      [{ path: 'current', message: 'You come in by the school’s own sign-in: there is no password here' }],
    ])
    // Renamed there, it is the same person; another who is given that name is not.
    expect((await comeIn({ subject: 'p-17', username: 'nerys.married' })).me?.id).toBe(made.id)
    expect(await comeIn({ subject: 'p-18', username: 'nerys' })).toEqual({ to: '/sign-in?provider=unknown', me: null })
    const did = await rows<{ did: string }>(database(), 'SELECT did FROM trail WHERE account_id = ?', [made.id])
    const came = (row: { did: string }) => row.did === 'signed in by the school’s provider'
    expect(did.filter(came)).toHaveLength(3)
    // Whoever was not let in has done nothing.
    const nobody = await rows<{ did: string }>(database(), 'SELECT did FROM trail WHERE account_id IS NULL')
    expect(nobody.filter(came)).toEqual([])
  })
  it('lets in nobody who has no account here, or whose account is switched off', async () => {
    expect(await comeIn({ subject: 'p-20', username: 'stranger' })).toEqual({
      to: '/sign-in?provider=unknown',
      me: null,
    })
    const made = await addInstructor(school, 'gone-away')
    expect((await comeIn({ subject: 'p-21', username: 'gone-away' })).me?.id).toBe(made.id)
    const { id, codes: _, ...fields } = made
    await school.lead.ask('PUT', `/api/accounts/${id}`, { ...fields, active: false })
    expect((await comeIn({ subject: 'p-21', username: 'gone-away' })).me).toBeNull()
  })
  it('an answer that nobody here asked for, or that was tampered with, lets nobody in', async () => {
    await addInstructor(school, 'careful')
    provider.letIn({ subject: 'p-30', username: 'careful' })
    const isBack = (address: string) => address.startsWith(at('/api/session/provider/back'))
    const theirs = await aBrowser().follow(at('/api/session/provider'), isBack)
    expect(await aBrowser().follow(theirs)).toBe(at('/sign-in?provider=again'))
    const own = aBrowser()
    const back = new URL(await own.follow(at('/api/session/provider'), isBack))
    back.searchParams.set('state', 'another')
    expect(await own.follow(back.href)).toBe(at('/sign-in?provider=refused'))
    // What was begun is over with it: the right answer comes too late.
    expect(await own.follow(theirs)).toBe(at('/sign-in?provider=again'))
    expect((await own.open(at('/api/session'))).status).toBe(401)
  })
  it('is named on the sign-in page, where there is one', async () => {
    const welcome = async (address: string) => (await (await fetch(`${address}/api/welcome`)).json()) as Welcome
    expect((await welcome(server.address)).provider).toBe('the college')
    expect((await welcome(ADDRESS)).provider).toBeNull()
    expect((await fetch(`${ADDRESS}/api/session/provider`)).status).toBe(404)
    expect((await fetch(`${ADDRESS}/api/session/provider/back`)).status).toBe(404)
  })
  it('that is away is said, and asked again the next time', async () => {
    const port = await freePort()
    const address = `http://127.0.0.1:${port}`
    const env = { FUSILIS_OIDC_ISSUER: 'http://127.0.0.1:9', FUSILIS_OIDC_CLIENT: 'x', FUSILIS_ADDRESS: address }
    const alone = await serve({ dir, url: process.env.FUSILIS_DB_URL, port, env })
    try {
      for (let n = 0; n < 2; n++)
        expect(await aBrowser().follow(`${address}/api/session/provider`)).toBe(`${address}/sign-in?provider=away`)
    } finally {
      await alone.stop()
    }
  })
})
