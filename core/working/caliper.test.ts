import { describe, expect, it } from 'vitest'
import { caliperReading, isOfReading } from '.'

const keysOf = (text: string, everyMs = 8, fromMs = 1000) =>
  [...text].map((key, n) => ({ key, atMs: fromMs + n * everyMs }))

describe('a caliper that types', () => {
  // Digital calipers show 0.01 mm and 0.0005 or 0.001 in; 1 in is 25.4 mm by definition.
  it.each([
    ['6.35', 6.35],
    ['0.85', 0.85],
    ['12,70', 12.7],
    ['0.2500', 6.35],
    ['0.125', 3.175],
    ['+3.20', 3.2],
    ['3.20mm', 3.2],
    ['0.25in', 6.35],
    ['1.0005"', 25.4127],
    ['.094', 2.3876],
  ])('%s is %d mm', (text, mm) => expect(caliperReading(keysOf(text))).toBeCloseTo(mm, 6))

  it('is told from a hand by how fast its keys come, each of them', () => {
    expect(caliperReading(keysOf('0.25', 35))).toBe(0.25)
    expect(caliperReading(keysOf('0.25', 36))).toBeNull()
    expect(caliperReading(keysOf('0.25', 120))).toBeNull()
    const paused = [...keysOf('6.', 8), ...keysOf('35', 8, 1200)]
    expect(caliperReading(paused)).toBeNull()
  })

  it('is heard after a hand has typed something else', () => {
    expect(caliperReading([...keysOf('2', 8, 0), ...keysOf('6.35')])).toBe(6.35)
    expect(caliperReading([...keysOf('u', 8, 990), ...keysOf('6.35')])).toBe(6.35)
  })

  it.each(['', '5', '-0.02', '12', '635', '1/4', '6.3.5', 'mm', '6.35ft', '6..'])('%s is no reading', text =>
    expect(caliperReading(keysOf(text))).toBeNull(),
  )

  it('knows its keys', () => {
    expect(['0', '9', '.', ',', '-', 'm', 'n', '"'].every(isOfReading)).toBe(true)
    expect(['u', 'Enter', 'ArrowUp', '/', '`'].some(isOfReading)).toBe(false)
  })
})
