import { describe, expect, it } from 'vitest'
import { inches, KG_PER_POUND } from '../units'
import { filletArea, filletLeg, filletThroat, grooveArea, pipeGrooveVolume, STEEL_KG_PER_MM3, weldWeight } from '.'

const poundsPerFoot = (areaMm2: number) => weldWeight(areaMm2, inches(12)) / KG_PER_POUND

// Handbook fillet tables, flat welds, lb/ft, from memory: .027 .060 .106 .166 .239 .325 .425; with 10 and 25 % of
// convexity by arithmetic.
it.each([
  [1 / 8, 0.0266, 0.0292, 0.0332],
  [3 / 16, 0.0598, 0.0658, 0.0748],
  [1 / 4, 0.1064, 0.117, 0.1329],
  [5 / 16, 0.1662, 0.1828, 0.2077],
  [3 / 8, 0.2393, 0.2632, 0.2991],
  [7 / 16, 0.3257, 0.3583, 0.4071],
  [1 / 2, 0.4254, 0.4679, 0.5317],
])('a fillet of %d in weighs %d, %d, %d lb a foot', (leg, flat, ten, quarter) => {
  expect(poundsPerFoot(filletArea(inches(leg)))).toBeCloseTo(flat, 3)
  expect(poundsPerFoot(filletArea(inches(leg), 0.1))).toBeCloseTo(ten, 3)
  expect(poundsPerFoot(filletArea(inches(leg), 0.25))).toBeCloseTo(quarter, 3)
})

it('gives throat and leg of a flat fillet: 0.7071 of the leg, and back from the section', () => {
  expect(filletThroat(inches(3 / 8)) / 25.4).toBeCloseTo(0.2652, 4)
  expect(filletLeg(filletArea(9))).toBeCloseTo(9, 9)
})

it('weighs steel at 0.2836 lb/in³ (7.85 g/cm³, handbook)', () => {
  expect((STEEL_KG_PER_MM3 * 25.4 ** 3) / KG_PER_POUND).toBeCloseTo(0.2836, 4)
})

// V-groove weld metal, lb/ft flush and with a 1/16 in parabolic crown: arithmetic at 0.2836 lb/in³.
describe.each([
  [3 / 8, 1 / 8, 1 / 8, 60, 0.282, 0.341],
  [3 / 8, 1 / 8, 3 / 32, 60, 0.315, 0.379],
  [1 / 2, 1 / 8, 0, 60, 0.704, 0.804],
  [3 / 4, 3 / 32, 3 / 32, 60, 1.085, 1.206],
  [1, 1 / 4, 0, 45, 2.26, 2.413],
  [3 / 8, 1 / 4, 0, 45, 0.517, 0.597],
  [1 / 8, 1 / 8, 1 / 8, 60, 0.053, 0.071],
])('a V of %d in, gap %d, land %d, %d°', (t, gap, land, degrees, flush, crowned) => {
  const groove = { thicknessMm: inches(t), gapMm: inches(gap), landMm: inches(land), includedDegrees: degrees }
  it('weighs as the table says', () => {
    expect(poundsPerFoot(grooveArea(groove))).toBeCloseTo(flush, 3)
    expect(poundsPerFoot(grooveArea(groove, inches(1 / 16)))).toBeCloseTo(crowned, 2)
  })
})

// Pipe joints of 75° included, shells integrated: arithmetic. Outside diameters and walls of ASME B36.10.
it.each([
  ['2 Sch 80', 2.375, 0.218, 1 / 8, 3 / 32, 0.27, 0.0766, 0.1044],
  ['2 Sch 80', 2.375, 0.218, 1 / 8, 1 / 8, 0.2329, 0.066, 0.0896],
  ['6 Sch 80', 6.625, 0.432, 1 / 8, 3 / 32, 2.8156, 0.7985, 0.9569],
  ['6 Sch 80', 6.625, 0.432, 3 / 32, 1 / 16, 2.8873, 0.8188, 0.9814],
  ['8 Sch 80', 8.625, 0.5, 3 / 32, 1 / 16, 5.0416, 1.4298, 1.6748],
  ['6 Sch 120', 6.625, 0.562, 1 / 8, 1 / 8, 4.2538, 1.2064, 1.4021],
])('a joint of %s takes the metal the table says', (_, od, wall, gap, land, in3, flush, crowned) => {
  const groove = { thicknessMm: inches(wall), gapMm: inches(gap), landMm: inches(land), includedDegrees: 75 }
  const volume = pipeGrooveVolume(inches(od), groove)
  expect(volume / 25.4 ** 3).toBeCloseTo(in3, 3)
  expect((volume * STEEL_KG_PER_MM3) / KG_PER_POUND).toBeCloseTo(flush, 3)
  expect((pipeGrooveVolume(inches(od), groove, inches(1 / 16)) * STEEL_KG_PER_MM3) / KG_PER_POUND).toBeCloseTo(
    crowned,
    3,
  )
})

it('the mean-diameter shortcut reads 1.5 to 3 % low (arithmetic)', () => {
  const groove = { thicknessMm: inches(0.432), gapMm: inches(1 / 8), landMm: inches(3 / 32), includedDegrees: 75 }
  const shortcut = grooveArea(groove) * Math.PI * (inches(6.625) - groove.thicknessMm)
  const low = 1 - shortcut / pipeGrooveVolume(inches(6.625), groove)
  expect(low).toBeGreaterThan(0.015)
  expect(low).toBeLessThan(0.03)
})

it('refuses a land thicker than the plate, and a wall that fills the pipe', () => {
  const groove = { thicknessMm: 6, gapMm: 3, landMm: 7, includedDegrees: 60 }
  expect(() => grooveArea(groove)).toThrow(/land/)
  expect(() => pipeGrooveVolume(12, { ...groove, landMm: 1 })).toThrow(/wall/)
})
