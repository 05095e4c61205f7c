import {
  filletArea,
  filletThroat,
  grooveArea,
  grooveFace,
  metalOfRod,
  pipeGrooveVolume,
  STEEL_KG_PER_MM3,
  weldWeight,
} from '../deposit'
import { COMMON_PRACTICE, electrodeOf, PIPE_SIZES, PIPE_SOURCE, pipeOf, rodSizeOf, type Source } from '../trade'
import { exactLength, formatLength, formatWeight, inches, round, over } from '../units'
import { areaText } from './heatSheets'
import { choice, length, numbers, numeric, type Sheet } from './sheet'

const ARITHMETIC: Source = { name: 'arithmetic', clause: 'steel 7.85 g/cm³ (0.2836 lb/in³)', certainty: 'published' }
const LEAST_FILLET: Source = {
  name: 'AWS D1.1:2015 Table 5.7, 2020 7.7',
  clause: 'minimum fillet size',
  certainty: 'from memory, check your copy',
}
const LAP_CODE: Source = { name: 'AWS D1.1', clause: 'lap joints', certainty: 'from memory, check your copy' }

/** Least fillet for the thicker part, as the code prints it. From memory. */
const LEAST_LEGS: readonly (readonly [upToMm: number, inch: string, mm: number])[] = [
  [inches(1 / 4), '1/8 in', 3],
  [inches(1 / 2), '3/16 in', 5],
  [inches(3 / 4), '1/4 in', 6],
  [Infinity, '5/16 in', 8],
]

export const FILLET: Sheet = {
  id: 'fillet',
  name: 'Fillet size and weight',
  formula: 'area = leg² ÷ 2 · throat = 0.707 leg',
  sources: [ARITHMETIC, LEAST_FILLET],
  inputs: [
    length('leg', 'Leg', inches(1 / 16), 40, inches(1 / 4)),
    numeric('percent', 'convexity', 'Convexity', 0, 25, 10),
    length('long', 'Length', 10, 10_000, inches(12)),
    length('plate', 'Thicker plate', 2, 150, inches(3 / 8)),
  ],
  work: (values, unit) => {
    const of = numbers(values)
    const areaMm2 = filletArea(of('leg'), of('convexity') / 100)
    const least = LEAST_LEGS.find(([upTo]) => !over(of('plate'), upTo))!
    return [
      {
        name: 'Throat',
        result: exactLength(filletThroat(of('leg')), unit),
        working: `0.707 × ${formatLength(of('leg'), unit)}`,
        note: 'A concave fillet’s throat is measured, not worked out from the leg',
      },
      {
        name: 'Face',
        result: exactLength(of('leg') * Math.SQRT2, unit),
        working: `1.414 × ${formatLength(of('leg'), unit)}`,
      },
      {
        name: 'Area',
        result: areaText(areaMm2, unit),
        working: `(${formatLength(of('leg'), unit)})² ÷ 2, + ${of('convexity')} %`,
      },
      {
        name: 'Weight',
        result: formatWeight(weldWeight(areaMm2, of('long')), unit),
        working: `area × ${formatLength(of('long'), unit)} × density`,
      },
      {
        name: 'Least leg for this plate',
        result: `${least[1]} (${least[2]} mm)`,
        working: `thicker part ${formatLength(of('plate'), unit)}`,
        note: 'The code prints inches and millimetres apart; neither is the other converted',
      },
    ]
  },
}

export const LAP: Sheet = {
  id: 'lap',
  name: 'Lap of two plates',
  formula: 'overlap ≥ 2 × thickness; by the structural code ≥ 5 × the thinner, at least 1 in',
  sources: [COMMON_PRACTICE, LAP_CODE],
  inputs: [length('thinner', 'Thinner plate', 1, 100, inches(3 / 8))],
  work: (values, unit) => {
    const t = numbers(values)('thinner')
    return [
      { name: 'Practice', result: formatLength(2 * t, unit), working: `2 × ${formatLength(t, unit)}` },
      {
        name: 'Structural code',
        result: formatLength(Math.max(5 * t, inches(1)), unit),
        working: `5 × ${formatLength(t, unit)}, at least ${formatLength(inches(1), unit)}`,
      },
    ]
  },
}

const gap = length('gap', 'Root opening', 0, 15, inches(1 / 8))
const land = length('land', 'Root face', 0, 15, inches(3 / 32))
const crown = length('crown', 'Crown', 0, 6, inches(1 / 16))

export const GROOVE: Sheet = {
  id: 'groove',
  name: 'V-groove, plate',
  formula: 'area = g t + (t − f)² tan(a ÷ 2) + ⅔ W h',
  sources: [ARITHMETIC],
  inputs: [
    length('plate', 'Plate', 3, 100, inches(3 / 8)),
    gap,
    land,
    numeric('degrees', 'angle', 'Included angle', 10, 120, 60),
    crown,
    length('long', 'Length', 10, 10_000, inches(12)),
  ],
  work: (values, unit) => {
    const of = numbers(values)
    const groove = { thicknessMm: of('plate'), gapMm: of('gap'), landMm: of('land'), includedDegrees: of('angle') }
    const areaMm2 = grooveArea(groove, of('crown'))
    return [
      {
        name: 'Face of the groove',
        result: exactLength(grooveFace(groove), unit),
        working: 'g + 2 (t − f) tan(a ÷ 2)',
      },
      {
        name: 'Area flush',
        result: areaText(grooveArea(groove), unit),
        working: `g × t + (t − f)² × ${round(Math.tan((of('angle') * Math.PI) / 360), 3)}`,
      },
      {
        name: 'Area with the crown',
        result: areaText(areaMm2, unit),
        working: `flush + ⅔ × face × ${formatLength(of('crown'), unit)}`,
      },
      {
        name: 'Weight',
        result: formatWeight(weldWeight(areaMm2, of('long')), unit),
        working: `area × ${formatLength(of('long'), unit)} × density`,
        note: 'Real joints take 10 to 30 % more',
      },
    ]
  },
}

export const PIPE_JOINT: Sheet = {
  id: 'pipe-joint',
  name: 'V-groove, pipe',
  formula: 'shells 2πr × width, from bore to outside',
  sources: [ARITHMETIC, PIPE_SOURCE],
  inputs: [
    choice(
      'pipe',
      'Pipe, NPS',
      PIPE_SIZES.map(row => row.name),
      '6 Sch 80',
    ),
    gap,
    land,
    numeric('degrees', 'angle', 'Included angle', 10, 120, 75),
    crown,
  ],
  work: (values, unit) => {
    const of = numbers(values)
    const pipe = pipeOf(String(values.pipe))
    const groove = { thicknessMm: pipe.wallMm, gapMm: of('gap'), landMm: of('land'), includedDegrees: of('angle') }
    const flush = pipeGrooveVolume(pipe.outsideMm, groove)
    const kg = pipeGrooveVolume(pipe.outsideMm, groove, of('crown')) * STEEL_KG_PER_MM3
    const rod = { rod: rodSizeOf(inches(1 / 8)), recovery: electrodeOf('E7018').recovery, stubMm: inches(2) }
    return [
      {
        name: 'Pipe',
        result: `${exactLength(pipe.outsideMm, unit)} outside, ${exactLength(pipe.wallMm, unit)} wall`,
        working: pipe.name,
      },
      {
        name: 'Weld metal, flush',
        result: formatWeight(flush * STEEL_KG_PER_MM3, unit),
        working:
          unit === 'in'
            ? `${round(flush / inches(1) ** 3, 4)} in³ × density`
            : `${round(flush / 1000, 2)} cm³ × density`,
      },
      {
        name: 'With the crown',
        result: formatWeight(kg, unit),
        working: `flush + ⅔ × face × ${formatLength(of('crown'), unit)} round the outside`,
      },
      {
        name: 'If all of it were E7018 · 1/8',
        result: `${round(kg / (metalOfRod(rod) * STEEL_KG_PER_MM3), 1)} rods`,
        working: '14 in rods to 2 in stubs; take the root off for a two-process joint',
      },
    ]
  },
}
