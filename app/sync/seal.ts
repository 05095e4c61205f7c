import { createStore, del, get, set } from 'idb-keyval'

/** Whose key lies in this browser. */
interface KeptKey {
  readonly account: string
  readonly key: CryptoKey
}

/** Where the key lies while a person is signed in; it outlives the page. */
export interface KeyShelf {
  readonly get: () => Promise<KeptKey | undefined>
  readonly set: (kept: KeptKey) => Promise<void>
  readonly clear: () => Promise<void>
}

/** Something that only its account's sign-in opens: base64, as a shelf keeps plain data alone. */
export interface Sealed {
  readonly iv: string
  readonly data: string
}

const toText = (bytes: Uint8Array): string => btoa(Array.from(bytes, byte => String.fromCharCode(byte)).join(''))
const toBytes = (text: string) => Uint8Array.from(atob(text), letter => letter.charCodeAt(0))

/**
 * Seals what an account leaves in a browser that others use too, by AES-GCM with a key that the server gives to that
 * account alone. No script can read the key out; it is gone from the browser with the sign-out, and comes back with the
 * next sign-in.
 * @param seals Web Crypto; undefined where the page did not come through TLS: then nothing is sealed
 */
export function createSeal(seals: SubtleCrypto | undefined, shelf: KeyShelf) {
  let current: KeptKey | null = null

  /** Takes up an account's key. @param ask asks the server for it, base64 @returns whether it is there */
  async function begin(account: string, ask: () => Promise<string>): Promise<boolean> {
    if (!seals) return false
    const kept = await shelf.get().catch(() => undefined)
    if (kept?.account === account) current = kept
    if (current?.account === account) return true
    try {
      const key = await seals.importKey('raw', toBytes(await ask()), 'AES-GCM', false, ['encrypt', 'decrypt'])
      current = { account, key }
      await shelf.set(current).catch(() => {})
      return true
    } catch {
      return false
    }
  }

  async function end(): Promise<void> {
    current = null
    await shelf.clear().catch(() => {})
  }

  async function seal(account: string, value: unknown): Promise<Sealed | null> {
    if (!seals || current?.account !== account) return null
    const iv = crypto.getRandomValues(new Uint8Array(12))
    const text = new TextEncoder().encode(JSON.stringify(value))
    const data = await seals.encrypt({ name: 'AES-GCM', iv }, current.key, text)
    return { iv: toText(iv), data: toText(new Uint8Array(data)) }
  }

  /** What was sealed; null where this browser has not its key now. */
  async function open<T>(account: string, { iv, data }: Sealed): Promise<T | null> {
    if (!seals || current?.account !== account) return null
    try {
      const text = await seals.decrypt({ name: 'AES-GCM', iv: toBytes(iv) }, current.key, toBytes(data))
      return JSON.parse(new TextDecoder().decode(text)) as T
    } catch {
      return null
    }
  }

  return { begin, end, seal, open }
}

const KEY = 'key'

/** The shelf of this browser, in IndexedDB. */
export function browserKey(): KeyShelf {
  const store = createStore('fusilis-seal', 'key')
  return {
    get: () => get<KeptKey>(KEY, store),
    set: kept => set(KEY, kept, store),
    clear: () => del(KEY, store),
  }
}
