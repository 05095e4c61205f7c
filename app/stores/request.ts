import type { Problem } from '~~/contract/problem'
import { UNTOUCHED } from '~~/contract/signIns'
import { WAITED } from '~~/contract/waited'
import { browserAnswers, createKeptAnswers } from '~/sync/keptAnswers'
import { noteAnswered, noteAway, noteShown } from '~/sync/reach'
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
    const failure = toFailure(error as { statusCode?: number; data?: Problem })
    if (!failure.outOfReach) throw failure
    noteAway(new Date())
    const kept = method === 'GET' ? await keptAnswers.find<T>(path) : null
    if (!kept) throw failure
    noteShown(kept.at)
    return kept.body
  }
}

const ask = async <T>(method: Method, path: string, body: unknown, waitedMs: number): Promise<T> =>
  (await $fetch<T>(path, {
    method,
    body: body as Record<string, unknown> | undefined,
    headers: {
      [UNTOUCHED]: String(secondsUntouched()),
      ...(waitedMs > 0 && { [WAITED]: String(Math.round(waitedMs)) }),
    },
    retry: 0,
  })) as T

function toFailure({ statusCode, data }: { statusCode?: number; data?: Problem }): RequestFailure {
  if (!statusCode) return new RequestFailure(0, 'The server does not answer.')
  return new RequestFailure(statusCode, data?.detail ?? 'The server could not do this.', data?.errors ?? [], data)
}

/** A failure's message, whatever was thrown. */
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
