import { getHeader, type H3Event } from 'h3'
import { ValidationError, type Schema } from 'yup'
import type { FieldError } from '../../contract/problem'
import { readText } from './readText'
import { refuse } from './refuse'
import { shapeFault } from './shapeFault'

/** A form; and the largest legal document, a coupon of two thousand marks, is about 270 kB. */
export const FORM_BYTES = 64 * 1024
export const DOCUMENT_BYTES = 512 * 1024

/**
 * The body of a request, held against a schema of the contract.
 * @throws 413, 400 or 422 with the fields that are wrong and what would be right
 */
export async function readAs<T>(event: H3Event, schema: Schema, mostBytes: number): Promise<T> {
  if (!(getHeader(event, 'content-type') ?? '').startsWith('application/json'))
    throw refuse(415, 'Not understood', 'Send JSON, as application/json.')
  const value = parseJson(await readText(event, mostBytes))
  const fault = shapeFault(value)
  if (fault) throw refuse(422, 'Not accepted', `${fault.message}.`, [fault])
  return parseAs<T>(value, schema)
}

function parseJson(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw refuse(400, 'Not understood', 'The request is not JSON.')
  }
}

/** A value held against a schema; see `readAs`. */
async function parseAs<T>(value: unknown, schema: Schema): Promise<T> {
  try {
    return (await schema.validate(value, { abortEarly: false })) as T
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const errors = fieldErrors(error)
    throw refuse(422, 'Not accepted', errors[0]?.message ?? 'Something in the request is wrong.', errors)
  }
}

function fieldErrors(error: ValidationError): FieldError[] {
  const all = error.inner.length > 0 ? error.inner : [error]
  return all.slice(0, 50).map(({ path, message }) => ({ path: path ?? '', message: asSentence(message) }))
}

/** Yup writes the whole path into a message; the last part of it is what the person knows the field by. */
function asSentence(message: string): string {
  return message.replace(/^[\w.[\]]*?(\w+)(?= (?:is|lies|holds|ends) )/, (_, field: string) => field)
}
