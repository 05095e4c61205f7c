import type { FieldError, Problem } from '~~/contract/problem'
import { UNTOUCHED } from '~~/contract/signIns'
import { secondsUntouched } from './lastTouch'

/** A request that was refused or never arrived, in words for the person at the screen. */
export class RequestFailure extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly fields: readonly FieldError[] = [],
    readonly body: unknown = null,
  ) {
    super(message)
  }

  /** True when the server was not reached or could not work; the same request may succeed later. */
  get away(): boolean {
    return this.status === 0 || this.status >= 500
  }

  /** What is wrong with a field, by the end of its path. */
  field(name: string): string | undefined {
    return this.fields.find(error => error.path === name || error.path.endsWith(`.${name}`))?.message
  }
}

type Method = 'GET' | 'POST' | 'PUT' | 'DELETE'

/** Asks the server; every failure comes back as a `RequestFailure`. */
export async function request<T>(method: Method, path: string, body?: unknown): Promise<T> {
  try {
    const headers = { [UNTOUCHED]: String(secondsUntouched()) }
    return (await $fetch<T>(path, {
      method,
      body: body as Record<string, unknown> | undefined,
      headers,
      retry: 0,
    })) as T
  } catch (error) {
    throw toFailure(error as { statusCode?: number; data?: Problem })
  }
}

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
