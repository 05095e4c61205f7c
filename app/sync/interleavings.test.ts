import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { DONE_MARK, SCHOOL_MARK } from '../../contract/marks'
import { believed, type CameBack } from './believed'
import { createDelivery } from './delivery'
import { keyOf, type Intent, type IntentKind } from './intents'
import type { Shelf } from './shelf'

/** How the way to the server is: open, or with something in it. */
const WAYS = [
  'open',
  'offline',
  'the answer is lost',
  'a sign-in page answers',
  'a proxy says 404',
  'a proxy says 502',
  'another school answers',
  'the database is away',
  'signed out',
] as const
type Way = (typeof WAYS)[number]

type Act =
  | { readonly is: 'save'; readonly tab: 0 | 1; readonly id: string }
  | { readonly is: 'way'; readonly way: Way }
  | { readonly is: 'retry'; readonly tab: 0 | 1 }
  | { readonly is: 'restart'; readonly tab: 0 | 1 }
  | { readonly is: 'account'; readonly tab: 0 | 1; readonly who: string }
  | { readonly is: 'clock'; readonly byMs: number }

const tab = fc.constantFrom(0 as const, 1 as const)
const act: fc.Arbitrary<Act> = fc.oneof(
  { weight: 5, arbitrary: fc.record({ is: fc.constant('save' as const), tab, id: fc.constantFrom('a', 'b', 'bad') }) },
  { weight: 3, arbitrary: fc.record({ is: fc.constant('way' as const), way: fc.constantFrom(...WAYS) }) },
  { weight: 2, arbitrary: fc.record({ is: fc.constant('retry' as const), tab }) },
  { weight: 2, arbitrary: fc.record({ is: fc.constant('restart' as const), tab }) },
  {
    weight: 1,
    arbitrary: fc.record({ is: fc.constant('account' as const), tab, who: fc.constantFrom('maren', 'tobias') }),
  },
  {
    weight: 1,
    arbitrary: fc.record({ is: fc.constant('clock' as const), byMs: fc.constantFrom(-7_200_000, 3_600_000, 5) }),
  },
)

const SCHOOL = 'gannet'
const raw = (status: number, headers: Record<string, string>, body: unknown = undefined): CameBack => ({
  status,
  headers: new Headers(headers),
  body,
})
const html = { 'content-type': 'text/html' }
const json = { [SCHOOL_MARK]: SCHOOL, 'content-type': 'application/json' }
const problem = (status: number) =>
  raw(status, { ...json, 'content-type': 'application/problem+json' }, { title: 'x', detail: 'no', status })

/** A server that keeps each thing under its id, with all that ever stood there, and a way to it that changes. */
function aWorld() {
  const rows = new Map<string, string[]>()
  const world = { way: 'open' as Way, rows }
  const done = (path: string, body: unknown): CameBack => {
    if (path.endsWith('bad')) return problem(422)
    const said = rows.get(path) ?? []
    const text = JSON.stringify(body)
    // The same again is one.
    if (said.at(-1) !== text) rows.set(path, [...said, text])
    return raw(204, { ...json, [DONE_MARK]: path.split('/').at(-1)! })
  }
  const answer: Record<Way, (path: string, body: unknown) => CameBack | 'nothing'> = {
    'open': done,
    'offline': () => 'nothing',
    'the answer is lost': (path, body) => {
      done(path, body)
      return 'nothing'
    },
    'a sign-in page answers': () => raw(200, html, '<h1>Welcome</h1>'),
    'a proxy says 404': () => raw(404, html, 'no such page'),
    'a proxy says 502': () => raw(502, html, 'bad gateway'),
    'another school answers': path => raw(204, { [SCHOOL_MARK]: 'elsewhere', [DONE_MARK]: path.split('/').at(-1)! }),
    'the database is away': () => problem(503),
    'signed out': () => problem(401),
  }
  return { world, ask: (path: string, body: unknown) => answer[world.way](path, body) }
}

/** One browser, with two pages of it open, and whoever is signed in at each. */
function aBrowser({ ask }: ReturnType<typeof aWorld>) {
  const held = new Map<string, Intent>()
  const shelf: Shelf = {
    all: async () => [...held.values()],
    keep: async intent => void held.set(keyOf(intent), intent),
    drop: async key => void held.delete(key),
  }
  const clock = { ms: 1_800_000_000_000 }
  const refusedToPage = new Set<string>()
  const open = () =>
    createDelivery({
      shelf,
      ask: async (_, path, { body }) => {
        await Promise.resolve()
        const came = ask(path, body)
        const id = path.split('/').at(-1)!
        return believed(came === 'nothing' ? raw(0, {}) : came, { school: SCHOOL, done: id })
      },
      changed: () => {},
      saved: () => {},
      now: () => new Date(clock.ms++),
    })
  const tabs = [open(), open()]
  return { held, clock, refusedToPage, tabs, open }
}

const KIND: IntentKind = 'remark'

async function play(acts: readonly Act[]) {
  const parts = aWorld()
  const { world } = parts
  const browser = aBrowser(parts)
  const who = ['maren', 'maren']
  await Promise.all(browser.tabs.map((one, n) => one.takeUp(who[n]!)))
  const sent = new Map<string, string>()
  let nth = 0
  for (const one of acts) {
    if (one.is === 'way') world.way = one.way
    else if (one.is === 'clock') browser.clock.ms += one.byMs
    else if (one.is === 'restart') {
      browser.tabs[one.tab] = browser.open()
      await browser.tabs[one.tab]!.takeUp(who[one.tab]!)
    } else if (one.is === 'account') {
      // One browser has one session: both pages are whoever signed in last.
      who.fill(one.who)
      await Promise.all(browser.tabs.map(page => page.takeUp(one.who)))
    } else if (one.is === 'retry') {
      await browser.tabs[one.tab]!.takeUp(who[one.tab]!)
      await browser.tabs[one.tab]!.retry()
    } else {
      const body = { says: nth++ }
      const id = `${who[one.tab]}-${one.id}`
      const made = { kind: KIND, id, body, student: '', about: '' }
      sent.set(id, JSON.stringify(body))
      await browser.tabs[one.tab]!.send(made).catch(() => browser.refusedToPage.add(id))
    }
  }
  // The way is open again, and each account comes back to this browser.
  world.way = 'open'
  const end = browser.open()
  for (const account of ['maren', 'tobias']) {
    await end.takeUp(account)
    await end.retry()
  }
  return { sent, rows: world.rows, held: browser.held, refusedToPage: browser.refusedToPage }
}

/** What once lost something: the clock is set back between a change and the next of the same thing by another page. */
const FOUND_BEFORE: readonly (readonly Act[])[] = [
  [
    { is: 'way', way: 'a sign-in page answers' },
    { is: 'save', tab: 0, id: 'a' },
    { is: 'way', way: 'open' },
    { is: 'restart', tab: 1 },
    { is: 'clock', byMs: -7_200_000 },
    { is: 'save', tab: 0, id: 'a' },
    { is: 'retry', tab: 1 },
  ],
]

const TIMES = Number(process.env.FUSILIS_INTERLEAVINGS ?? 2_000)

describe('whatever comes between a page and its school', () => {
  it('each thing that was done arrives once, as it was last, or its owner still sees it', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(act, { maxLength: 24 }), async acts => {
        const { sent, rows, held, refusedToPage } = await play(acts)
        for (const [id, body] of sent) {
          const there = rows.get(`/api/remarks/${id}`) ?? []
          const kept = held.get(keyOf({ kind: KIND, id }))
          // Refused by the school itself: its page has said so, or it lies there with the reason.
          if (id.endsWith('bad')) {
            expect(there).toEqual([])
            expect(refusedToPage.has(id) || kept?.refused).toBeTruthy()
            continue
          }
          const said = there.at(-1) === body || JSON.stringify(kept?.body) === body
          expect(said, `${id} ${body} of ${JSON.stringify(there)}`).toBe(true)
          // No content stands there twice: what was sent again is the same one.
          expect(new Set(there).size).toBe(there.length)
        }
      }),
      { numRuns: TIMES, examples: FOUND_BEFORE.map(acts => [[...acts]]) },
    )
  })
})
