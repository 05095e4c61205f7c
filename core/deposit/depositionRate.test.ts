import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { rodSizeOf } from '../trade'
import { inches, KG_PER_POUND } from '../units'
import { depositedArea, depositionRate, filletLeg, heatInput, rodSeconds } from '.'

const pounds = (classification: string, size: number, currentA: number) =>
  depositionRate(classification, inches(size), currentA).kgPerHour / KG_PER_POUND

// Typical makers' deposition data as remembered; ±15 %.
it.each([
  ['E6010', 3 / 32, 75, 1.5],
  ['E6010', 1 / 8, 100, 2.1],
  ['E6010', 1 / 8, 130, 2.3],
  ['E6013', 1 / 8, 125, 2.1],
  ['E7014', 1 / 8, 120, 2.45],
  ['E7018', 3 / 32, 110, 1.73],
  ['E7018', 1 / 8, 140, 2.74],
  ['E7018', 1 / 8, 160, 2.99],
  ['E7018', 5 / 32, 140, 3.11],
  ['E7024', 1 / 8, 180, 5.07],
])('%s of %d in at %d A lays %d lb/h, as tabled', (classification, size, currentA, lb) => {
  expect(pounds(classification, size, currentA)).toBeCloseTo(lb, 9)
  expect(depositionRate(classification, inches(size), currentA).beyond).toBeNull()
})

it('goes straight between the rows', () => expect(pounds('E7018', 1 / 8, 130)).toBeCloseTo((2.58 + 2.74) / 2, 9))

it('never goes past the table without saying so', () => {
  expect(depositionRate('E7018', inches(1 / 8), 100).beyond).toEqual({ lowA: 120, highA: 160 })
  expect(depositionRate('E7018', inches(1 / 8), 161).beyond).toEqual({ lowA: 120, highA: 160 })
  expect(depositionRate('E6012', inches(1 / 8), 110).source.name).toBe('rule of thumb')
  expect(() => depositionRate('E7018', inches(1 / 8), 0)).toThrow(/0 A/)
})

it('more current never lays fewer pounds an hour', () => {
  const rods = fc.constantFrom(
    ['E6010', 1 / 8],
    ['E6013', 5 / 32],
    ['E7014', 1 / 8],
    ['E7018', 3 / 32],
    ['E7018', 5 / 32],
    ['E7024', 1 / 8],
    ['E6012', 1 / 8],
  ) as fc.Arbitrary<[string, number]>
  const amps = fc.double({ min: 10, max: 400, noNaN: true })
  fc.assert(
    fc.property(rods, amps, amps, ([classification, size], a, b) => {
      expect(pounds(classification, size, Math.max(a, b))).toBeGreaterThanOrEqual(
        pounds(classification, size, Math.min(a, b)) - 1e-12,
      )
    }),
  )
})

// Bead section at 6 in/min and the equal-leg fillet of that section: arithmetic from the same tables.
it.each([
  ['E6010', 3 / 32, 75, 0.0147, 0.171],
  ['E6010', 1 / 8, 100, 0.0206, 0.203],
  ['E7018', 3 / 32, 90, 0.0162, 0.18],
  ['E7018', 1 / 8, 120, 0.0253, 0.225],
  ['E7024', 1 / 8, 180, 0.0497, 0.315],
])('%s of %d in at %d A leaves %d in² at 6 in/min', (classification, size, currentA, in2, leg) => {
  const areaMm2 = depositedArea(depositionRate(classification, inches(size), currentA).kgPerHour, inches(6))
  expect(areaMm2 / 25.4 ** 2).toBeCloseTo(in2, 4)
  expect(filletLeg(areaMm2) / 25.4).toBeCloseTo(leg, 3)
})

// 12 in of rod melted in 61 s at 120 A: arithmetic from 2.58 lb/h and the fitted recovery of 1.05.
it('burns 12 in of a 1/8 E7018 in about a minute', () => {
  const burn = { rod: rodSizeOf(inches(1 / 8)), recovery: 1.05, stubMm: inches(2) }
  expect(rodSeconds(burn, 2.58 * KG_PER_POUND)).toBeCloseTo(61, 0)
})

// AWS D1.1 / ASME IX QW-409.1(a) and ISO/TR 17671-1 (k = 0.8): worked values by arithmetic.
describe.each([
  [24, 125, 6, 30, 1.1811, 0.9449],
  [24, 125, 5, 36, 1.4173, 1.1339],
  [22, 90, 4, 29.7, 1.1693, 0.9354],
  [26, 85, 4, 33.15, 1.3051, 1.0441],
  [23, 120, 3.5, 47.314, 1.8628, 1.4902],
  [30, 150, 12, 22.5, 0.8858, 0.7087],
  [25, 125, 6, 31.25, 1.2303, 0.9843],
])('%d V, %d A, %d in/min', (volts, currentA, speed, kjPerInch, kjPerMm, iso) => {
  it(`is ${kjPerInch} kJ/in, ${kjPerMm} kJ/mm, ${iso} in the ISO form`, () => {
    const heat = heatInput(volts, currentA, inches(speed))
    expect(heat.kjPerMm * 25.4).toBeCloseTo(kjPerInch, 3)
    expect(heat.kjPerMm).toBeCloseTo(kjPerMm, 4)
    expect(heat.isoKjPerMm).toBeCloseTo(iso, 4)
  })
})

it('refuses heat from nothing', () => {
  expect(() => heatInput(0, 100, 100)).toThrow(/volts/)
  expect(() => heatInput(24, 0, 100)).toThrow(/Current/)
  expect(() => heatInput(24, 100, 0)).toThrow(/Travel/)
})
