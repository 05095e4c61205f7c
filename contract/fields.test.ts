import { describe, expect, it } from 'vitest'
import { object, type ValidationError } from 'yup'
import { day, label, longList, millimetres, timeOfDay, uuid } from './fields'

describe('a day', () => {
  it.each(['2000-01-01', '2024-02-29', '2026-12-31', '2100-12-31'])('may be %s', value =>
    expect(day().isValidSync(value)).toBe(true),
  )
  it.each(['1999-12-31', '2101-01-01', '2100-02-29', '2026-13-01', '2026-04-31', '2026-4-1', 'today', '', 20260101])(
    'may not be %s',
    value => expect(day().isValidSync(value)).toBe(false),
  )
})

describe('an id', () => {
  it('is a UUID of version 7', () => {
    expect(uuid().isValidSync('01900000-0000-7000-8000-000000000001')).toBe(true)
    for (const other of [
      '01900000-0000-4000-8000-000000000001',
      '01900000-0000-7000-7000-000000000001',
      '7',
      "'; DROP TABLE coupon; --",
    ])
      expect(uuid().isValidSync(other)).toBe(false)
  })
})

describe('a label', () => {
  it('is trimmed, and is not blank or too long', () => {
    expect(label(5).validateSync(' ab ')).toBe('ab')
    for (const bad of ['', '   ', 'abcdef', 'a\u0000b', 'a\nb']) expect(label(5).isValidSync(bad)).toBe(false)
  })
})

describe('a time of day', () => {
  it.each([
    ['00:00', true],
    ['23:59', true],
    ['24:00', false],
    ['9:30', false],
    ['12:60', false],
  ])('%s: %s', (value, good) => expect(timeOfDay().isValidSync(value)).toBe(good))
})

describe('a length', () => {
  it('is a finite number, not a text', () => {
    expect(millimetres().isValidSync(3.175)).toBe(true)
    for (const bad of [Number.NaN, Number.POSITIVE_INFINITY, '3']) expect(millimetres().isValidSync(bad)).toBe(false)
  })
})

describe('a long list', () => {
  const most = 1000
  const lengths = object({ lengths: longList(millimetres().required('${path} is missing'), most, 'too many') })
  const wrong = (value: unknown) =>
    lengths.validate({ lengths: value }, { abortEarly: false }).then(
      () => [],
      (error: ValidationError) => error.inner.map(one => `${one.path}: ${one.message}`),
    )
  const many = Array.from({ length: most }, (_, n) => n)

  it('lets others have their turn while it is looked at', async () => {
    let turns = 0
    const other = setInterval(() => turns++, 0)
    await lengths.validate({ lengths: many })
    clearInterval(other)
    expect(turns).toBeGreaterThan(5)
  })
  it('says of each thing that is wrong where it is, whichever way it is asked', async () => {
    const some = many.map(n => (n === 3 || n === 777 ? 'x' : n))
    const said = await wrong(some)
    expect(said.map(one => one.split(':')[0])).toEqual(['lengths[3]', 'lengths[777]'])
    expect(said[0]).toMatch(/is a number|must be a `number`/)
    expect(() => lengths.validateSync({ lengths: [1, 2, 3, 'x'] })).toThrow(/lengths\[3\]/)
    expect(lengths.validateSync({ lengths: [1, 2] })).toEqual({ lengths: [1, 2] })
  })
  it.each([
    ['too many', [...many, 1]],
    ['lengths is missing', undefined],
    ['lengths is a list', 7],
  ])('%s', async (message, value) => expect((await wrong(value))[0]).toContain(message))
})
