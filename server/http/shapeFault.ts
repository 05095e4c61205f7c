import type { FieldError } from '../../contract/problem'

/** No document of Fusilis is larger than this in any direction; schemas say what is right inside it. */
const MOST_DEPTH = 16
const MOST_ITEMS = 2_000
const MOST_KEYS = 300
const MOST_CHARACTERS = 20_000
/** The longest name of a field, or word that something is kept under, is of some hundred characters. */
const LONGEST_NAME = 200
/** All values of a document together: a coupon of two thousand marks has some eighteen thousand. */
const MOST_VALUES = 40_000

/** Names that mean something to the language itself. */
const NOT_A_NAME = new Set([...Object.getOwnPropertyNames(Object.prototype), 'prototype', 'toJSON'])
/** What no name is written with: signs that cannot be shown. */
const UNSHOWN = /\p{Cc}|\p{Cs}/u
/** Half of a sign of two halves: no database keeps it. */
const LONE_SURROGATE = /[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/

/**
 * What is out of all proportion in a parsed JSON value, found without recursion and before any schema looks at it;
 * null when nothing is.
 * @param longer fields that hold more characters than others may: by their paths, how many
 * @example shapeFault({ a: [[[]]] }) // null
 */
export function shapeFault(root: unknown, longer: Readonly<Record<string, number>> = {}): FieldError | null {
  const open: { value: unknown; path: string; depth: number }[] = [{ value: root, path: '', depth: 0 }]
  for (let seen = 0; open.length > 0; seen++) {
    const { value, path, depth } = open.pop()!
    if (seen > MOST_VALUES) return { path: '', message: `At most ${MOST_VALUES} values can be sent at a time` }
    const fault = typeof value === 'string' ? textFault(value, longer[path] ?? MOST_CHARACTERS) : numberFault(value)
    if (fault) return { path, message: fault }
    if (typeof value !== 'object' || value === null) continue
    if (depth >= MOST_DEPTH) return { path, message: 'Too many things lie inside one another' }
    const wide = widthFault(value)
    if (wide) return { path, message: wide }
    for (const [key, inner] of Object.entries(value)) {
      const named = nameFault(key)
      if (named) return { path, message: named }
      open.push({ value: inner, path: pathTo(value, path, key), depth: depth + 1 })
    }
  }
  return null
}

function nameFault(name: string): string | null {
  if (name.length > LONGEST_NAME) return `“${name.slice(0, 20)}…” is not a field`
  if (name === '' || UNSHOWN.test(name)) return 'A name of a field holds characters that can be shown'
  return NOT_A_NAME.has(name) ? `“${name}” is not a field` : null
}

const textFault = (text: string, most: number): string | null =>
  text.length > most ? `At most ${most} characters` : LONE_SURROGATE.test(text) ? 'Holds half of a character' : null

const numberFault = (value: unknown): string | null =>
  typeof value === 'number' && !Number.isFinite(value) ? 'Is no number that can be kept' : null

function widthFault(value: object): string | null {
  if (Array.isArray(value)) return value.length > MOST_ITEMS ? `At most ${MOST_ITEMS} entries` : null
  return Object.keys(value).length > MOST_KEYS ? `At most ${MOST_KEYS} fields` : null
}

function pathTo(parent: object, path: string, key: string): string {
  if (Array.isArray(parent)) return `${path}[${key}]`
  const name = key.slice(0, 40)
  return path === '' ? name : `${path}.${name}`
}
