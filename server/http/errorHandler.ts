import { send, setResponseHeader, setResponseStatus } from 'h3'
import { defineNitroErrorHandler } from 'nitropack/runtime'
import type { Problem } from '../../contract/problem'

const DATABASE_AWAY = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ETIMEDOUT',
  'ENOENT',
  'PROTOCOL_CONNECTION_LOST',
  'ER_CON_COUNT_ERROR',
  'EPIPE',
])

/** Every error leaves the server in one shape: problem+json. What went wrong inside is logged, not shown. */
export default defineNitroErrorHandler((error, event) => {
  const problem = toProblem(error)
  if (problem.status >= 500) console.error(error)
  setResponseStatus(event, problem.status)
  setResponseHeader(event, 'content-type', 'application/problem+json')
  return send(event, JSON.stringify(problem))
})

function toProblem(error: { statusCode?: number; data?: unknown; cause?: unknown; message: string }): Problem {
  if (isProblem(error.data)) return error.data
  const code = (error.cause as { code?: string } | undefined)?.code ?? (error as { code?: string }).code ?? ''
  if (DATABASE_AWAY.has(code))
    return {
      title: 'Database away',
      status: 503,
      detail: 'The database does not answer. Nothing was changed; try again in a moment.',
    }
  const status = error.statusCode ?? 500
  if (status === 404) return { title: 'Not found', status, detail: 'There is nothing at this address.' }
  if (status < 500) return { title: 'Not understood', status, detail: error.message }
  return { title: 'Server error', status: 500, detail: 'Something went wrong on the server. Nothing was changed.' }
}

function isProblem(data: unknown): data is Problem {
  return typeof data === 'object' && data !== null && 'title' in data && 'detail' in data && 'status' in data
}
