import { clear, createStore, get, set } from 'idb-keyval'
import { SIGN_IN_HOURS } from '../../contract/signIns'
import { isKeepable, type Keeper } from './keepable'

/** What the server said last of a path, and when. */
export interface KeptAnswer<T = unknown> {
  readonly at: string
  readonly body: T
}

/** Whose answers are kept, sealed by which key, since when. */
interface Owner {
  /** The account, or the section that a tablet was handed to. */
  readonly account: string
  readonly keeper: Keeper
  readonly key: CryptoKey
  readonly since: number
  /** The build of the application that kept them: another's pages may want more of an answer than lies there. */
  readonly build: string
}

/** Where sealed answers lie; it outlives the page. */
export interface AnswerShelf {
  readonly owner: () => Promise<Owner | undefined>
  readonly setOwner: (owner: Owner) => Promise<void>
  readonly get: (path: string) => Promise<Sealed | undefined>
  readonly set: (path: string, sealed: Sealed) => Promise<void>
  readonly clear: () => Promise<void>
}
export interface Sealed {
  /** When it was said, ISO 8601. */
  readonly at: string
  readonly iv: Uint8Array<ArrayBuffer>
  readonly sealed: ArrayBuffer
}

/** As long as a sign-in lasts; after it what was kept is wiped, as at a sign-out. */
const KEPT_HOURS = SIGN_IN_HOURS
const HOUR_MS = 3_600_000

/**
 * What the server said last, for a page that cannot reach it: kept for the account that is signed in alone, or for a
 * tablet that was handed over; sealed by AES-GCM with a key that no script can read out (Web Crypto), and wiped at
 * sign-out, for another account, after some hours, and by another build of the application.
 * @param seals Web Crypto; undefined where the page did not come through TLS: then nothing is kept
 */
export function createKeptAnswers(
  shelf: AnswerShelf,
  seals: SubtleCrypto | undefined,
  now: () => number,
  build: () => string,
) {
  let owner: Promise<Owner | null> | null = null

  /** Whose answers are kept; too old ones are wiped, and another build's. */
  const current = () => (owner ??= look())
  async function look(): Promise<Owner | null> {
    const found = await shelf.owner()
    if (found && found.build === build() && now() - found.since < KEPT_HOURS * HOUR_MS) return found
    if (found) await shelf.clear()
    return null
  }

  /** Begins to keep for an account: nothing of another's is left. */
  async function begin(account: string, keeper: Keeper): Promise<void> {
    if (!seals) return
    const found = await current()
    if (found?.account === account && found.keeper === keeper) return
    await shelf.clear()
    const key = await seals.generateKey({ name: 'AES-GCM', length: 256 }, false, ['encrypt', 'decrypt'])
    const next = { account, keeper, key, since: now(), build: build() }
    await shelf.setOwner(next)
    owner = Promise.resolve(next)
  }

  async function whoKeeps(path: string): Promise<Owner | null> {
    const found = await current()
    return found && isKeepable(path, found.keeper) ? found : null
  }

  async function keep(path: string, body: unknown): Promise<void> {
    const whose = await whoKeeps(path)
    if (!whose || !seals) return
    const iv = crypto.getRandomValues(new Uint8Array(12))
    const text = new TextEncoder().encode(JSON.stringify(body))
    const sealed = await seals.encrypt({ name: 'AES-GCM', iv }, whose.key, text)
    await shelf.set(path, { at: new Date(now()).toISOString(), iv, sealed })
  }

  async function find<T>(path: string): Promise<KeptAnswer<T> | null> {
    const whose = await whoKeeps(path)
    const found = whose && (await shelf.get(path))
    if (!found || !whose || !seals) return null
    const text = await seals.decrypt({ name: 'AES-GCM', iv: found.iv }, whose.key, found.sealed)
    return { at: found.at, body: JSON.parse(new TextDecoder().decode(text)) as T }
  }

  /** When a path was last answered, ISO 8601; null where that is not kept. Nothing is unsealed for it. */
  const saidAt = async (path: string): Promise<string | null> =>
    (await current()) ? ((await shelf.get(path))?.at ?? null) : null

  async function wipe(): Promise<void> {
    owner = null
    await shelf.clear()
  }

  // What a browser cannot keep is not kept: no page waits for it, or fails by it.
  return {
    begin: (account: string, keeper: Keeper) => begin(account, keeper).catch(() => {}),
    keep: (path: string, body: unknown) => keep(path, body).catch(() => {}),
    find: <T>(path: string) => find<T>(path).catch(() => null),
    saidAt: (path: string) => saidAt(path).catch(() => null),
    wipe: () => wipe().catch(() => {}),
  }
}

const OWNER = 'owner'

/** The shelf of this browser, in IndexedDB. */
export function browserAnswers(): AnswerShelf {
  const store = createStore('fusilis-answers', 'answers')
  return {
    owner: () => get<Owner>(OWNER, store),
    setOwner: owner => set(OWNER, owner, store),
    get: path => get<Sealed>(path, store),
    set: (path, sealed) => set(path, sealed, store),
    clear: () => clear(store),
  }
}
