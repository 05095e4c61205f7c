import {
  array,
  lazy,
  mixed,
  number,
  string,
  ValidationError,
  type InferType,
  type ISchema,
  type Schema,
  type ValidateOptions,
} from 'yup'
import { MOST_BOOTH } from '../core/floor'

/** Earliest and latest day that a school's record can hold; outside it a date is a slip of the keys. */
const FIRST_DAY = '2000-01-01'
const LAST_DAY = '2100-12-31'

const ISO_DAY = /^\d{4}-\d{2}-\d{2}$/

/** A local date, ISO 8601, between 2000 and 2100. */
export const day = () =>
  string()
    .strict()
    .test(
      'day',
      '${path} is a date like 2026-09-14, between 2000 and 2100',
      value =>
        value === undefined ||
        value === null ||
        (ISO_DAY.test(value) && value >= FIRST_DAY && value <= LAST_DAY && isCalendarDay(value)),
    )

function isCalendarDay(value: string): boolean {
  const moment = new Date(`${value}T00:00:00Z`)
  return !Number.isNaN(moment.getTime()) && moment.toISOString().startsWith(value)
}

const ISO_MOMENT = /^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/

/** A moment, ISO 8601 in UTC, to the millisecond. */
export const moment = () =>
  string()
    .strict()
    .test(
      'moment',
      '${path} is a moment',
      value => typeof value !== 'string' || (ISO_MOMENT.test(value) && !Number.isNaN(Date.parse(value))),
    )

/** An id made by UUID v7. */
export const uuid = () =>
  string()
    .strict()
    .matches(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/, '${path} is not an id')

/** A text a person typed, without the blanks around it. What is no text stays what it is, and is refused as such. */
export const typed = () =>
  string()
    .strict(false)
    .transform((_, original: unknown) => (typeof original === 'string' ? original.trim() : original))
    .typeError('${path} is a text')

/** A short text a person typed: trimmed, not blank, no control characters. Any script and any sign is welcome. */
export const label = (most: number) =>
  typed()
    .required('${path} is missing')
    // In a list nothing is transformed: blanks are blanks there too.
    .test('blank', '${path} is missing', value => !value || value.trim() !== '')
    .max(most, `\${path} is at most ${most} characters`)
    .matches(/^[^\p{Cc}]*$/u, '${path} holds characters that cannot be shown')

/** A booth's number, where there is one. */
export const boothNumber = () =>
  number()
    .strict()
    .integer('${path} is a whole number')
    .min(1, '${path} is 1 or more')
    .max(MOST_BOOTH, `\${path} is at most ${MOST_BOOTH}`)

/** A time of day, `18:30`. */
export const timeOfDay = () =>
  string()
    .strict()
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, '${path} is a time like 18:30')

/** A finite length in millimetres. */
export const millimetres = () =>
  number()
    .strict()
    .typeError('${path} is a number of millimetres')
    .test(
      'finite',
      '${path} is a number of millimetres',
      value => value === undefined || value === null || Number.isFinite(value),
    )

/** One of some words. */
export const oneOf = <T extends string>(values: readonly T[], what: string) =>
  string<T>()
    .strict()
    .required('${path} is missing')
    .oneOf([...values], `\${path} is not ${what} that is kept; choose from ${values.join(', ')}`)

/** An id made from a place or by a browser. */
export const key = () =>
  string()
    .strict()
    .required()
    .matches(/^[\w-]{1,64}$/, '${path} is not an id')

export const amperes = () =>
  number()
    .strict()
    .required('${path} is missing')
    .integer('${path} is a whole number of amperes')
    .min(10, '${path} is at least 10 A')
    .max(500, '${path} is at most 500 A')

/**
 * One of several shapes, told apart by a word that each holds.
 * @param by name of that word; @param unknown message for a word that no shape has
 */
export function choice<T>(by: string, shapes: Readonly<Record<string, Schema>>, unknown: string) {
  const none = mixed()
    .required('${path} is missing')
    .test(by, unknown, () => false)
  return lazy((value: unknown) => {
    const word = (value as Record<string, unknown> | null | undefined)?.[by]
    return (typeof word === 'string' && Object.hasOwn(shapes, word) ? shapes[word]! : none) as Schema<T>
  })
}

/** A field of the same shape under each of some names. */
export const each = <K extends string, S>(names: readonly K[], shape: () => S) =>
  Object.fromEntries(names.map(name => [name, shape()])) as Record<K, S>

/**
 * A list whose length is looked at before anything in it: one that is too long is refused at once, however much it
 * holds.
 */
export const capped = <S extends ISchema<unknown>>(whole: S, most: number, message: string) => {
  const tooLong = mixed().test('most', message, () => false) as unknown as S
  return lazy((value: unknown) => (Array.isArray(value) && value.length > most ? tooLong : whole))
}

/** A capped list of things. @param least message for an empty list that may not be; absent where it may */
export function list<T>(item: ISchema<T>, most: number, message: string, least?: string) {
  const filled = array(item).strict().required('${path} is missing')
  return capped(least === undefined ? filled : filled.min(1, least), most, message)
}

/** How many things of a long list are looked at in one go; then other requests have a turn. */
const AT_A_TIME = 100

const aTurn = () => new Promise(resolve => setTimeout(resolve))

/**
 * A capped list of things, so long that looking at all of them at once would hold up other requests. Nothing in it
 * is changed by being looked at.
 */
export function longList<T>(item: ISchema<T>, most: number, message: string) {
  type Context = { path: string; options: { sync?: boolean } }
  const filled = mixed<readonly T[]>({ type: 'list', check: (value): value is readonly T[] => Array.isArray(value) })
    .typeError('${path} is a list')
    .required('${path} is missing')
    .test('each', '', function (value) {
      const { path, options } = this as unknown as Context
      const faults: ValidationError[] = []
      const look = (from: number) => {
        for (const [n, one] of value.slice(from, from + AT_A_TIME).entries())
          faults.push(...faultsOf(item, one, `${path}[${from + n}]`))
      }
      const whole = () => (faults.length === 0 ? true : new ValidationError(faults, value, path))
      const begins = Array.from({ length: Math.ceil(value.length / AT_A_TIME) }, (_, n) => n * AT_A_TIME)
      if (options.sync || begins.length < 2) {
        begins.forEach(look)
        return whole()
      }
      return inTurns(begins, look).then(whole)
    })
  return capped(filled as unknown as Schema<readonly T[]>, most, message)
}

async function inTurns(begins: readonly number[], look: (from: number) => void): Promise<void> {
  for (const from of begins) {
    look(from)
    await aTurn()
  }
}

/** What is wrong with one thing of a list; empty where nothing is. */
function faultsOf(item: ISchema<unknown>, value: unknown, path: string): ValidationError[] {
  try {
    ;(item as Schema).validateSync(value, { abortEarly: false, path } as ValidateOptions)
    return []
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    return [error]
  }
}

/** A field that does not go with others, and why. */
export interface Fault {
  /** Where, from the thing that was looked at; empty for the thing itself. */
  readonly path: string
  readonly message: string
}

/**
 * A check over several fields of a thing, or several things of a list. It is made once each of them is right by itself:
 * what it is given has the type that it says.
 * @param check the field that does not go with the others, and why; null where all go together
 */
export function across<S extends Schema>(
  fields: S,
  check: (value: NonNullable<InferType<S>>) => Fault | null | undefined,
): S {
  return fields.test('across', '', function (value: unknown) {
    if (typeof value !== 'object' || value === null || !fields.isValidSync(value)) return true
    const fault = check(value as NonNullable<InferType<S>>)
    if (!fault) return true
    const path = [this.path, fault.path].filter(Boolean).join('.')
    return this.createError({ path, message: fault.message })
  }) as S
}

/** A whole number between two, said in words of what it is. @example wholeNumber('how many rods', 0, 500) */
export const wholeNumber = (what: string, low: number, high: number) => {
  const says = `\${path} is ${what}, ${low} to ${high}`
  return number().strict().typeError(says).integer(says).min(low, says).max(high, says)
}
