import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { Me, OwnPassword, SchoolPlace, SchoolState } from '~~/contract/people'
import type { Welcome } from '~~/contract/record'
import type { SignIn } from '~~/contract/signIns'
import type { HandedTablet } from '~~/contract/tablets'
import { setShopClock } from '~/composables/shopClock'
import { reach } from '~/sync/reach'
import { touchedBefore } from './lastTouch'
import { outboxSeal } from './outbox'
import { keptAnswers, request } from './request'
import { RequestFailure } from '~/sync/requestFailure'

/** Nothing that can be read of the one who was signed in is left here: what waits is sealed until the next sign-in. */
const wipeBrowser = () => Promise.all([keptAnswers.wipe(), outboxSeal.end()])

/** Who is signed in. */
export const useSession = defineStore('session', () => {
  const me = ref<Me | null>(null)
  watch(
    me,
    now => {
      if (!now) return
      setShopClock(now)
      void keptAnswers.begin(now.id, 'account').then(() => keptAnswers.keep('/api/session', now))
    },
    { flush: 'sync' },
  )
  const asked = ref(false)
  /** Signed out here while the server was away. */
  const toEnd = useLocalStorage('fusilis.signedOut', false)

  const isStaff = computed(() => me.value !== null && me.value.role !== 'student')
  const isLead = computed(() => me.value?.role === 'lead')

  /** The server would have signed it out; while it is away no person is let in by what is kept. */
  const wasLeftAlone = ({ idleMinutes }: Me) =>
    idleMinutes !== null && Date.now() - touchedBefore > 60_000 * idleMinutes

  /** Finds out who is signed in, once a page load. A server that is away is not a sign-out. */
  async function ask(): Promise<void> {
    if (asked.value) return
    if (toEnd.value) await endSession()
    try {
      const found = await request<Me>('GET', '/api/session')
      if (reach.away !== null && wasLeftAlone(found)) await signOut()
      else me.value = found
    } catch (error) {
      if (!(error instanceof RequestFailure) || error.status !== 401) throw error
      await wipeBrowser()
      me.value = null
    }
    asked.value = true
  }

  const welcome = () => request<Welcome>('GET', '/api/welcome')

  /** Finds out anew, where something of the sign-in has changed. */
  async function askAgain(): Promise<void> {
    asked.value = false
    await ask()
  }

  /** @param code a one-time code, where the account asks for one */
  async function signIn(username: string, password: string, code?: string): Promise<void> {
    me.value = await request<Me>('POST', '/api/session', { username, password, ...(code ? { code } : {}) })
    // The sign-in that was to end is gone with its cookie.
    toEnd.value = false
    asked.value = true
  }

  async function foundSchool(fields: {
    school: string
    name: string
    username: string
    password: string
  }): Promise<void> {
    me.value = await request<Me>('POST', '/api/first-lead', fields)
    asked.value = true
  }

  /**
   * Signs out: nothing of what was kept is left. While the server is away its session ends when it answers again,
   * before anything else is asked.
   */
  async function signOut(): Promise<void> {
    await wipeBrowser()
    toEnd.value = true
    me.value = null
    await endSession().catch((error: unknown) => {
      if (!(error instanceof RequestFailure) || !error.away) throw error
    })
  }
  async function endSession(): Promise<void> {
    await request('DELETE', '/api/session')
    toEnd.value = false
  }

  /** Ends every session of this account, on any device. */
  async function signOutEverywhere(): Promise<void> {
    await request('DELETE', '/api/sessions')
    await wipeBrowser()
    me.value = null
  }

  const signIns = () => request<SignIn[]>('GET', '/api/sessions')
  /** Signs out of one other place. */
  const endSignIn = (id: string) => request<undefined>('DELETE', `/api/sessions/${id}`)

  /** Tablets that are in students' hands, and the end of one. */
  const tablets = () => request<HandedTablet[]>('GET', '/api/tablets')
  const endTablet = (id: string) => request<undefined>('DELETE', `/api/tablets/${id}`)

  const schoolState = () => request<SchoolState>('GET', '/api/school')

  /** Changes one's own password; every other device is signed out. @throws RequestFailure */
  const changePassword = async (save: OwnPassword): Promise<void> => {
    await request('PUT', '/api/session/password', save)
    if (me.value) me.value = { ...me.value, passwordGiven: false }
  }

  /** Says after how many minutes a screen that is not touched is signed out; null for never. */
  async function signOutIdle(minutes: number | null): Promise<void> {
    await request('PUT', '/api/school/idle', { minutes })
    if (me.value) me.value = { ...me.value, idleMinutes: minutes }
  }

  /** Says where the school stands, and when its days begin. @throws RequestFailure with the field that is wrong */
  async function setClock(clock: SchoolPlace): Promise<void> {
    await request('PUT', '/api/school', clock)
    if (me.value) me.value = { ...me.value, ...clock }
  }

  return {
    me,
    isStaff,
    isLead,
    ask,
    askAgain,
    welcome,
    signIn,
    foundSchool,
    signOut,
    signOutEverywhere,
    changePassword,
    signIns,
    endSignIn,
    tablets,
    endTablet,
    signOutIdle,
    setClock,
    schoolState,
  }
})
