import { expect, it } from 'vitest'
import { formatHeat, formatSpeed, formatTime, formatWeight, KG_PER_POUND } from '.'

it('writes a speed, a weight and a heat in the house’s unit', () => {
  expect(formatSpeed(152.4, 'in')).toBe('6 in/min')
  expect(formatSpeed(152.4, 'mm')).toBe('152 mm/min')
  expect(formatWeight(KG_PER_POUND / 2, 'in')).toBe('0.5 lb')
  // Metal of a 1/8 in E7018 burnt to 2 in: 0.0439 lb, 19.9 g (arithmetic).
  expect(formatWeight(0.01991, 'in')).toBe('0.0439 lb')
  expect(formatWeight(0.01991, 'mm')).toBe('19.9 g')
  expect(formatWeight(0.25, 'mm')).toBe('250 g')
  expect(formatWeight(1.25, 'mm')).toBe('1.25 kg')
  // 30 kJ/in is 1.1811 kJ/mm: arithmetic, 25.4 mm to the inch.
  expect(formatHeat(1.1811, 'in')).toBe('30 kJ/in')
  expect(formatHeat(1.1811, 'mm')).toBe('1.18 kJ/mm')
})

it.each([
  [0, '0 s'],
  [4.26, '4.3 s'],
  [59.4, '59 s'],
  [60, '1 min'],
  [75, '1 min 15 s'],
  [3600, '1 h 0 min'],
  [5400, '1 h 30 min'],
])('%d s is %s', (seconds, text) => {
  expect(formatTime(seconds)).toBe(text)
})
