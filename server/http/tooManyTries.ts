import { setResponseHeader, type H3Error, type H3Event } from 'h3'
import type { Problem } from '../../contract/problem'
import { refuse } from './refuse'

/** Refuses a try that comes too soon after others that failed, and says how long to wait. */
export function tooManyTries(event: H3Event, seconds: number, instead: string): H3Error<Problem> {
  setResponseHeader(event, 'retry-after', seconds)
  const wait =
    seconds < 90 ? `${seconds} ${seconds === 1 ? 'second' : 'seconds'}` : `${Math.ceil(seconds / 60)} minutes`
  return refuse(429, 'Too many tries', `Too many tries that failed. Wait ${wait}, or ${instead}.`)
}
