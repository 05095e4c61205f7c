import { DONE_MARK, SCHOOL_MARK } from '../../contract/marks'
import type { Problem } from '../../contract/problem'
import { RequestFailure } from './requestFailure'

/** What came back of a request, before anything of it is believed. */
export interface CameBack {
  readonly status: number
  readonly headers: Pick<Headers, 'get'>
  readonly body: unknown
}

/** What is known before it came back. */
interface Expected {
  /** The school that this browser belongs to; null where it has not met one. */
  readonly school: string | null
  /** The id of what was to be done; null where nothing was. */
  readonly done: string | null
}

const STRANGER = new RequestFailure(0, 'Something else answers in the place of the school’s server.')

const isProblem = (body: unknown): body is Problem =>
  typeof body === 'object' && body !== null && 'title' in body && 'detail' in body && 'status' in body

/**
 * The body of an answer, where it is the school's own server that answers, and that says it did what was asked. A
 * Wi-Fi's sign-in page answers 200 and a proxy 404: neither says anything of what was asked.
 * @throws RequestFailure of the server's own, or of one that is out of reach
 */
export function believed<T>({ status, headers, body }: CameBack, { school, done }: Expected): T {
  const mark = headers.get(SCHOOL_MARK)
  if (!mark || (school !== null && mark !== school)) throw STRANGER
  const isJson = /^application\/(problem\+)?json\b/.test(headers.get('content-type') ?? '')
  if (status >= 400) {
    if (!isJson || !isProblem(body)) throw STRANGER
    throw new RequestFailure(status, body.detail, body.errors ?? [], body)
  }
  if (status !== 204 && (!isJson || typeof body !== 'object')) throw STRANGER
  if (done !== null && headers.get(DONE_MARK) !== done) throw STRANGER
  return (status === 204 ? undefined : body) as T
}
