import { createStore, del, set, values } from 'idb-keyval'
import { keyOf, type Intent } from './intents'

/** Where intents wait; it outlives the page. */
export interface Shelf {
  readonly all: () => Promise<readonly Intent[]>
  readonly keep: (intent: Intent) => Promise<void>
  readonly drop: (key: string) => Promise<void>
}

/** The shelf of this browser, in IndexedDB. */
export function browserShelf(): Shelf {
  const store = createStore('fusilis', 'outbox')
  return {
    all: () => values<Intent>(store),
    // As JSON it is plain data, without the proxies of the page.
    keep: intent => set(keyOf(intent), JSON.parse(JSON.stringify(intent)), store),
    drop: key => del(key, store),
  }
}
