import { describe, expect, it } from 'vitest'
import { asSentence } from '../../server/http/readAs'
import { shapeFault } from '../../server/http/shapeFault'
import { databaseTrouble } from '../../server/store/databaseTrouble'

describe('the shape of what is sent', () => {
  const nested = (depth: number): unknown => (depth === 0 ? 1 : [nested(depth - 1)])
  it('of a document is taken, whatever stands in it', () => {
    expect(shapeFault({ a: [{ b: 'x', c: null, d: 1.5 }], e: {}, f: 'näher 🔥' })).toBeNull()
    expect(shapeFault(null)).toBeNull()
    expect(shapeFault({ a: 'x'.repeat(20_001), b: 'x' }, { a: 20_001 })).toBeNull()
    expect(shapeFault({ a: 'x', b: 'x'.repeat(20_001) }, { a: 20_001 })).toMatchObject({ path: 'b' })
    expect(shapeFault(nested(15))).toBeNull()
  })
  it('too deep is refused, at its place', () => {
    const deep = { document: { beads: nested(20) } }
    expect(shapeFault(deep)).toMatchObject({ message: 'Too many things lie inside one another' })
    expect(shapeFault(deep)!.path).toMatch(/^document\.beads(\[0\])+$/)
  })
  it.each([
    ['too many entries', { list: Array.from({ length: 2_001 }, () => 0) }, 'list', /At most 2000 entries/],
    [
      'too many fields',
      { map: Object.fromEntries(Array.from({ length: 301 }, (_, n) => [`k${n}`, 0])) },
      'map',
      /At most 300 fields/,
    ],
    ['too long a text', { note: 'x'.repeat(20_001) }, 'note', /At most 20000 characters/],
    ['half a character', { note: 'a\udc00' }, 'note', /half of a character/],
    ['no number', { n: Infinity }, 'n', /no number/],
  ])('%s', (_, value, path, message) => {
    const fault = shapeFault(value)!
    expect(fault.path).toBe(path)
    expect(fault.message).toMatch(message)
  })
  it('too many values together, though each list is short enough', () => {
    const wide = Array.from({ length: 50 }, () => Array.from({ length: 1_000 }, () => 0))
    expect(shapeFault(wide)!.message).toMatch(/At most 40000 values/)
  })
  it.each(['__proto__', 'constructor', 'prototype', 'toString', 'hasOwnProperty', '__defineGetter__'])(
    '%s is no field',
    name =>
      expect(shapeFault(JSON.parse(`{"document": {"${name}": 1}}`))).toEqual({
        path: 'document',
        message: `“${name}” is not a field`,
      }),
  )
})

describe('a name that a stranger made up', () => {
  it.each([201, 4_000, 500_000])('of %i letters is no field', length => {
    const fault = shapeFault({ document: { ['x'.repeat(length)]: 1 } })!
    expect(fault).toEqual({ path: 'document', message: '“xxxxxxxxxxxxxxxxxxxx…” is not a field' })
  })
  it.each(['a\u0000b', 'a\ud800', 'a\u007f', ''])('%o is no field', name =>
    expect(shapeFault({ [name]: 1 })?.message).toMatch(/can be shown/),
  )
  it.each(['studentId', 'flat-pad', '0190a0b0-0000-7000-8000-000000000000', 'over 2 in', '1/8'])(
    '%s may be one',
    name => expect(shapeFault({ [name]: 1 })).toBeNull(),
  )
})

describe('a sentence about a field', () => {
  it.each([
    ['beads[0].lengthMm', 'beads[0].lengthMm is 1 or more', 'lengthMm is 1 or more'],
    ['students[12]', 'students[12] is missing', 'students is missing'],
    ['why', 'why is missing', 'why is missing'],
    ['', 'At most 200 sections', 'At most 200 sections'],
    ['meetings[0].to', 'A meeting ends after it begins', 'A meeting ends after it begins'],
  ])('%s: %s', (path, message, says) => expect(asSentence(path, message)).toBe(says))
  it('takes a time that does not grow with what was sent, whatever that is', () => {
    // A search that steps back takes hours over these, and the test its limit.
    for (const part of ['a', '.', '[0]', 'a.', ' is', '\t'])
      expect(asSentence(part.repeat(200_000), `${part.repeat(200_000)}! is`)).toContain('! is')
  })
})

describe('an error of the database', () => {
  it.each([
    [{ code: 'ECONNREFUSED' }, 'away'],
    [{ code: 'PROTOCOL_CONNECTION_LOST', fatal: true }, 'away'],
    [{ code: 'ENOENT', syscall: 'connect' }, 'away'],
    [{ code: 'ER_DISK_FULL' }, 'refused'],
    [{ code: 'ER_OPTION_PREVENTS_STATEMENT' }, 'refused'],
    [{ code: 'ER_LOCK_WAIT_TIMEOUT' }, 'refused'],
    // A file of our own that is missing is nobody's database.
    [{ code: 'ENOENT', syscall: 'open' }, null],
    [{ code: 'ER_DUP_ENTRY' }, null],
    [new Error('else'), null],
    [undefined, null],
  ] as const)('%o is %s', (error, trouble) => expect(databaseTrouble(error)).toBe(trouble))
})
