import { send, setResponseHeader, setResponseStatus } from 'h3'
import { defineNitroErrorHandler } from 'nitropack/runtime'
import type { Problem } from '../../contract/problem'
import { databaseTrouble, TooBusy } from '../store/databaseTrouble'
import { log } from './log'
import { routeOf } from './routeOf'

/** Every error leaves the server in one shape: problem+json. What went wrong inside is logged, not shown. */
export default defineNitroErrorHandler((error, event) => {
  const problem = toProblem(error)
  if (problem.status >= 500)
    log.error(
      {
        requestId: event.context.requestId,
        method: event.method,
        route: routeOf(event),
        err: error.cause ?? error,
      },
      problem.title,
    )
  setResponseStatus(event, problem.status)
  setResponseHeader(event, 'content-type', 'application/problem+json')
  return send(event, JSON.stringify(problem))
})

/** What was asked may have been done or not; asking again with the same id is safe either way. */
const IN_PLAIN_WORDS = {
  away: 'The database does not answer. Try again in a moment: the same save sent again is one save.',
  refused: 'The database takes no changes at the moment (it is full, or locked). Nothing you typed is lost: try again.',
} as const

const TOO_BUSY: Problem = {
  title: 'Too much at once',
  status: 503,
  detail: 'The server has more of this to do than it can soon. Nothing is lost: try again in a moment.',
}

function toProblem(error: { statusCode?: number; data?: unknown; cause?: unknown; message: string }): Problem {
  if (isProblem(error.data)) return error.data
  if ([error, error.cause].some(one => one instanceof TooBusy)) return TOO_BUSY
  const trouble = databaseTrouble(error.cause) ?? databaseTrouble(error)
  if (trouble)
    return {
      title: trouble === 'away' ? 'Database away' : 'Database full or locked',
      status: 503,
      detail: IN_PLAIN_WORDS[trouble],
    }
  const status = error.statusCode ?? 500
  if (status === 404) return { title: 'Not found', status, detail: 'There is nothing at this address.' }
  if (status < 500) return { title: 'Not understood', status, detail: error.message }
  return {
    title: 'Server error',
    status: 500,
    detail: 'Something went wrong on the server. Look whether it was kept before you try again.',
  }
}

function isProblem(data: unknown): data is Problem {
  return typeof data === 'object' && data !== null && 'title' in data && 'detail' in data && 'status' in data
}
