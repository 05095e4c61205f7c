import { createError, type H3Error } from 'h3'
import type { FieldError, Problem } from '../../contract/problem'

/** A refusal in plain words, answered as RFC 9457 problem details. */
export function refuse(
  status: number,
  title: string,
  detail: string,
  errors?: readonly FieldError[],
): H3Error<Problem> {
  return createError<Problem>({
    statusCode: status,
    statusMessage: title,
    message: detail,
    data: { title, status, detail, ...(errors ? { errors } : {}) },
  })
}

/** Refuses one field of what was sent, and says what would be right. */
export const wrongField = (path: string, message: string) =>
  refuse(422, 'Not accepted', `${message}.`, [{ path, message }])

export const notFound = (what: string) => refuse(404, 'Not found', `There is no such ${what}.`)

/** What was looked for; refused when it is not there. */
export function found<T>(value: T | null, what: string): T {
  if (value === null) throw notFound(what)
  return value
}
