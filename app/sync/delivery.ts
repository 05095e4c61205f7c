import { RequestFailure } from './requestFailure'
import { INTENT_KINDS, keyOf, type Intent, type MadeIntent, type Sent } from './intents'
import type { Shelf } from './shelf'

/** Out of reach, or signed out: nothing else would get through either. */
const isCutOff = (error: RequestFailure) => error.outOfReach || error.status === 401

export interface DeliveryParts {
  readonly shelf: Shelf
  /** Puts a body at a path, or takes away what is there, and says when that was meant. @throws RequestFailure */
  readonly ask: (method: 'PUT' | 'DELETE', path: string, intent: Intent) => Promise<unknown>
  /** Told whenever what waits has changed, and whether the browser keeps all of it. */
  readonly changed: (waiting: readonly Intent[], keptAt: 'here' | 'nowhere') => void
  /** Told of each that was saved, from any page. */
  readonly saved: (intent: Intent, answer: unknown) => void
  readonly now: () => Date
}

/**
 * Sends what people meant to save, each under its own id: kept in the browser before it is sent, and cleared by the
 * server's answer only. What the browser will not keep is held in memory as long as the page is open.
 */
export function createDelivery({ shelf, ask, changed, saved, now }: DeliveryParts) {
  const waiting = new Map<string, Intent>()
  const unkept = new Set<string>()
  /** What is on its way to the shelf: not there yet, and not gone. */
  const beingKept = new Set<string>()
  /** How often the shelf was looked at, and during or after which look this page last kept or cleared each thing. */
  let looks = 0
  const touchedIn = new Map<string, number>()
  const underway = new Map<string, Promise<unknown>>()
  let owner = ''
  let turns = 0
  let retrying: Promise<void> | null = null

  const mine = () => [...waiting.values()].filter(one => one.owner === owner)
  const tell = () => changed(mine(), unkept.size > 0 ? 'nowhere' : 'here')

  async function keep(intent: Intent): Promise<void> {
    const key = keyOf(intent)
    waiting.set(key, intent)
    touchedIn.set(key, looks)
    beingKept.add(key)
    try {
      await shelf.keep(intent)
      unkept.delete(key)
    } catch {
      unkept.add(key)
    } finally {
      beingKept.delete(key)
    }
    tell()
  }

  async function forget(key: string): Promise<void> {
    waiting.delete(key)
    touchedIn.set(key, looks)
    unkept.delete(key)
    tell()
    await shelf.drop(key).catch(() => {})
  }

  /**
   * Takes up what this account left waiting, and what its other pages have kept meanwhile. Each change is on the shelf
   * before it is sent: what lies there is the last one, and what does not was sent by another page. No clock says
   * which came first, as a tablet's is set back now and then; what this page has touched since it began to look is as
   * this page has it.
   */
  async function takeUp(account: string): Promise<void> {
    owner = account
    const look = ++looks
    const kept = await shelf.all().catch(() => null)
    if (kept === null) return tell()
    const isOurs = (key: string) => (touchedIn.get(key) ?? 0) >= look || unkept.has(key) || beingKept.has(key)
    const there = new Set(kept.map(keyOf))
    for (const key of [...waiting.keys()])
      if (!there.has(key) && !underway.has(key) && !isOurs(key)) waiting.delete(key)
    for (const one of kept) {
      if (!isOurs(keyOf(one))) waiting.set(keyOf(one), one)
      turns = Math.max(turns, one.turn)
    }
    tell()
  }

  /** Keeps it, then sends it. @throws RequestFailure when the server will not take it */
  async function send<Answer>(made: MadeIntent): Promise<Sent<Answer>> {
    const intent: Intent = { ...made, owner, madeAt: now().toISOString(), turn: ++turns, refused: null }
    await keep(intent)
    try {
      return { is: 'saved', answer: (await deliver(keyOf(intent))) as Answer }
    } catch (error) {
      return notTaken<Answer>(intent, error)
    }
  }

  /** One sending at a time of each; a caller who asks meanwhile waits for it. */
  function deliver(key: string): Promise<unknown> {
    const going = underway.get(key) ?? sendUntilDone(key).finally(() => underway.delete(key))
    underway.set(key, going)
    return going
  }

  /** What was changed while it was on its way goes after it, on top of the version that was just saved. */
  async function sendUntilDone(key: string): Promise<unknown> {
    let answer: unknown = null
    for (let intent = waiting.get(key); intent; intent = waiting.get(key)) {
      const { path, takesAway } = INTENT_KINDS[intent.kind]
      answer = await ask(takesAway ? 'DELETE' : 'PUT', `${path}/${intent.id}`, intent)
      saved(intent, answer)
      const after = waiting.get(key)
      if (after && !isSameChange(after, intent)) await keep(rebased(after, answer))
      else await forget(key)
    }
    return answer
  }

  async function notTaken<Answer>({ kind, id }: Intent, error: unknown): Promise<Sent<Answer>> {
    if (!(error instanceof RequestFailure)) throw error
    const { pageHolds } = INTENT_KINDS[kind]
    if (isCutOff(error) || error.away) return { is: 'kept here' }
    if (pageHolds) await forget(keyOf({ kind, id }))
    else await refuse(keyOf({ kind, id }), error.message)
    if (error.status === 409 && hasTheirs(error.body)) return { is: 'conflict', theirs: error.body.theirs as Answer }
    throw error
  }

  const refuse = async (key: string, why: string) => {
    const intent = waiting.get(key)
    if (intent) await keep({ ...intent, refused: why })
  }

  /** Sends again what the server did not take, put right or as it was. @throws RequestFailure when it will not still */
  async function sendAgain(one: Pick<Intent, 'kind' | 'id'>, body: unknown): Promise<void> {
    const intent = waiting.get(keyOf(one))
    if (!intent) return
    await keep({ ...intent, body, turn: ++turns, refused: null })
    try {
      await deliver(keyOf(one))
    } catch (error) {
      if (!(error instanceof RequestFailure)) throw error
      if (error.away || isCutOff(error)) return
      await refuse(keyOf(one), error.message)
    }
  }

  /**
   * Tries everything that waits again, oldest first; stops at the first sign that the server is still away. One that
   * it will not take stays, with the reason, and holds up nothing behind it.
   */
  function retry(): Promise<void> {
    retrying ??= tryAll().finally(() => {
      retrying = null
    })
    return retrying
  }

  async function tryAll(): Promise<void> {
    for (const { kind, id } of mine().sort((a, b) => a.turn - b.turn)) {
      const key = keyOf({ kind, id })
      const intent = waiting.get(key)
      // What is only being kept is sent by its page as soon as it is, and answered there.
      if (!intent || intent.refused !== null || beingKept.has(key)) continue
      try {
        await deliver(key)
      } catch (error) {
        if (!(error instanceof RequestFailure) || isCutOff(error)) return
        if (!error.away) await refuse(key, error.message)
      }
    }
  }

  const find = <Body>(wanted: Pick<Intent, 'kind' | 'id'>): Intent<Body> | null => {
    const found = waiting.get(keyOf(wanted))
    return found && found.owner === owner ? (found as Intent<Body>) : null
  }

  return { takeUp, send, sendAgain, retry, find, forget: (one: Pick<Intent, 'kind' | 'id'>) => forget(keyOf(one)) }
}

/** Two pages may count to the same turn. */
const isSameChange = (one: Intent, other: Intent) => one.turn === other.turn && one.madeAt === other.madeAt

/** A later change of what was just saved stands on the version that it became. */
function rebased(intent: Intent, answer: unknown): Intent {
  const version = (answer as { version?: unknown } | null)?.version
  if (typeof version !== 'number' || !isVersioned(intent.body)) return intent
  return { ...intent, body: { ...intent.body, baseVersion: version } }
}

const isVersioned = (body: unknown): body is { baseVersion: number } =>
  typeof body === 'object' && body !== null && 'baseVersion' in body

const hasTheirs = (body: unknown): body is { theirs: unknown } =>
  typeof body === 'object' && body !== null && 'theirs' in body
