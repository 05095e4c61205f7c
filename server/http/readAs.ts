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
 * @param longer fields that hold more characters than others may: by their paths, how many
 * @throws 413, 400 or 422 with the fields that are wrong and what would be right
 */
export async function readAs<T>(
  event: H3Event,
  schema: Schema,
  { mostBytes, longer }: { readonly mostBytes: number; readonly longer?: Readonly<Record<string, number>> },
): Promise<T> {
  if (!(getHeader(event, 'content-type') ?? '').startsWith('application/json'))
    throw refuse(415, 'Not understood', 'Send JSON, as application/json.')
  const value = parseJson(await readText(event, mostBytes))
  const fault = shapeFault(value, longer)
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
  return all.slice(0, 50).map(({ path, message }) => ({ path: path ?? '', message: asSentence(path ?? '', message) }))
}

/**
 * A message as a person reads it: Yup begins it with the whole path, of which the last name is what the field is known
 * by. It is cut by its length, never searched: names in it are the sender's own.
 * @example asSentence('beads[0].lengthMm', 'beads[0].lengthMm is 1 or more') // 'lengthMm is 1 or more'
 */
export function asSentence(path: string, message: string): string {
  if (path === '' || !message.startsWith(path)) return message
  const name = path.slice(path.lastIndexOf('.') + 1)
  const list = name.indexOf('[')
  return (list < 0 ? name : name.slice(0, list)) + message.slice(path.length)
}
