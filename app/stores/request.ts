import { useLocalStorage } from '@vueuse/core'
import { SCHOOL_MARK } from '~~/contract/marks'
import { UNTOUCHED } from '~~/contract/signIns'
import { WAITED } from '~~/contract/waited'
import { browserAnswers, createKeptAnswers } from '~/sync/keptAnswers'
import { believed } from '~/sync/believed'
import { noteAnswered, noteAway, noteShown, noteSignedIn } from '~/sync/reach'
import { RequestFailure } from '~/sync/requestFailure'
import { secondsUntouched } from './lastTouch'

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE'

/** What the server said last, for when it does not answer. */
export const keptAnswers = createKeptAnswers(
  browserAnswers(),
  globalThis.crypto?.subtle,
  Date.now,
  () => useRuntimeConfig().app.buildId,
)

/**
 * Asks the server; every failure comes back as a `RequestFailure`. What is asked for while it is away is answered with
 * what it said last, where that is kept.
 * @param waitedMs how long ago what is sent was done
 */
export async function request<T>(method: Method, path: string, body?: unknown, waitedMs = 0): Promise<T> {
  try {
    const answer = await ask<T>(method, path, body, waitedMs)
    noteAnswered()
    if (method === 'GET') void keptAnswers.keep(path, answer)
    return answer
  } catch (error) {
    const failure = error as RequestFailure
    if (!failure.outOfReach) {
      noteAnswered()
      if (failure.status === 401 && path !== SESSION) noteSignedIn(false)
      throw failure
    }
    noteAway(new Date())
    const kept = method === 'GET' ? await keptAnswers.find<T>(path) : null
    if (!kept) throw failure
    noteShown(kept.at)
    return kept.body
  }
}

const SESSION = '/api/session'

/** The school that this browser belongs to: the one that last let a person in here. */
const school = useLocalStorage<string | null>('fusilis.school', null)

/** Ways in are open to whichever school answers: the one that lets a person in is this browser's from then on. */
const isDoor = (path: string) => [SESSION, '/api/welcome', '/api/first-lead'].includes(path)

const ID_LAST = /\/([0-9a-f]{8}-[0-9a-f-]{27})$/

async function ask<T>(method: Method, path: string, body: unknown, waitedMs: number): Promise<T> {
  const came = await $fetch
    .raw<T>(path, {
      method,
      body: body as Record<string, unknown> | undefined,
      headers: {
        [UNTOUCHED]: String(secondsUntouched()),
        ...(waitedMs > 0 && { [WAITED]: String(Math.round(waitedMs)) }),
      },
      retry: 0,
      ignoreResponseError: true,
    })
    .catch(() => {
      throw new RequestFailure(0, 'The server does not answer.')
    })
  const done = method === 'PUT' || method === 'DELETE' ? (ID_LAST.exec(path)?.[1] ?? null) : null
  const { status, headers, _data: answered } = came
  const answer = believed<T>({ status, headers, body: answered }, { school: isDoor(path) ? null : school.value, done })
  if (isDoor(path)) {
    school.value = headers.get(SCHOOL_MARK)
    if (path !== '/api/welcome') noteSignedIn(true)
  }
  return answer
}

/** A failure's message, of anything that was thrown. */
export function messageOf(error: unknown): string {
  return error instanceof Error ? error.message : 'Something went wrong.'
}

/** What was asked for, or null where there is none; a server that is away is no answer, and is said. */
export async function orNotFound<T>(asked: Promise<T>): Promise<T | null> {
  try {
    return await asked
  } catch (error) {
    if (error instanceof RequestFailure && error.status === 404) return null
    throw error
  }
}
