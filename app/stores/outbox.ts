import { createEventHook } from '@vueuse/core'
import { defineStore } from 'pinia'
import { createDelivery } from '~/sync/delivery'
import { browserKey, createSeal } from '~/sync/seal'
import { sealedShelf } from '~/sync/sealedShelf'
import { browserShelf } from '~/sync/shelf'
import { keyOf, type Intent, type MadeIntent, type Sent } from '~/sync/intents'
import { reach } from '~/sync/reach'
import { steadyAges } from '~/sync/steadyAges'
import { request } from './request'

const RETRY_MS = 10_000

/** Seals what waits for the account that made it. */
export const outboxSeal = createSeal(globalThis.crypto?.subtle, browserKey())
/** Tablets and their readers are owners by a word before their id. */
const ageOf = steadyAges()
const isAccount = (owner: string) => !owner.includes(' ')

/** What this account meant to save and the server has not answered yet, whichever page it was made on. */
export const useOutbox = defineStore('outbox', () => {
  const mine = shallowRef<readonly Intent[]>([])
  const keptAt = ref<'here' | 'nowhere'>('here')
  /** False until the browser was asked what waits: till then nothing can be said of it. */
  const looked = ref(false)
  const refused = computed(() => mine.value.filter(one => one.refused !== null))
  const saved = createEventHook<[intent: Intent, answer: unknown]>()

  /** What a page is sending for the first time, and holds itself until it is answered. */
  const beingSent = shallowRef<ReadonlySet<string>>(new Set())
  /** What was not taken when it was made: shown as done, until it is sent. */
  const left = computed(() => mine.value.filter(one => !beingSent.value.has(keyOf(one))))

  const { takeUp, retry, find, forget, sendAgain, ...delivery } = createDelivery({
    shelf: sealedShelf(browserShelf(), outboxSeal),
    ask: (method, path, intent) => request(method, path, intent.body, ageOf(intent)),
    changed: (waiting, at) => {
      mine.value = waiting
      keptAt.value = at
    },
    saved: (intent, answer) => void saved.trigger(intent, answer),
    now: () => new Date(),
  })

  async function send<Answer>(made: MadeIntent): Promise<Sent<Answer>> {
    const key = keyOf(made)
    beingSent.value = new Set([...beingSent.value, key])
    try {
      return await delivery.send<Answer>(made)
    } finally {
      beingSent.value = new Set([...beingSent.value].filter(one => one !== key))
    }
  }

  let account = ''
  let started: Promise<void> = Promise.resolve()
  /** Whether the key was out of reach when this account began: then it is asked for again. */
  let keyMissing = false
  const again = async () => {
    if (!account) return
    if (keyMissing) await openFor(account)
    else await takeUp(account)
    await retry()
  }

  /** Takes up what an account left, with the key that opens it; a tablet's class has nothing to hide from itself. */
  async function openFor(owner: string): Promise<void> {
    const ask = async () => (await request<{ key: string }>('GET', '/api/session/seal-key')).key
    keyMissing = isAccount(owner) && !(await outboxSeal.begin(owner, ask))
    await takeUp(owner)
  }

  /** Takes up what an account left waiting, and keeps trying while this page is open. */
  function start(owner: string): Promise<void> {
    if (account === owner) return started
    if (account === '') {
      window.setInterval(() => void again(), RETRY_MS)
      window.addEventListener('online', () => void again())
      window.addEventListener('beforeunload', warn)
    }
    account = owner
    looked.value = false
    started = openFor(owner).finally(() => {
      looked.value = true
    })
    void started.then(retry)
    return started
  }

  /** Only what this page alone holds is lost with it. */
  function warn(event: BeforeUnloadEvent): void {
    if (keptAt.value === 'nowhere') event.preventDefault()
  }

  const keptWords = computed(() => {
    const until = reach.signedOut ? 'you sign in again' : 'the server answers'
    return keptAt.value === 'here'
      ? `kept in this browser until ${until}`
      : `kept only in this open page until ${until}: leave it open`
  })

  return {
    mine,
    left,
    refused,
    keptAt,
    looked,
    keptWords,
    send,
    sendAgain,
    retry,
    find,
    forget,
    start,
    onSaved: saved.on,
  }
})
