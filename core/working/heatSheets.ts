import {
  beyondTable,
  depositedArea,
  depositionRate,
  filletLeg,
  heatInput,
  metalOfRod,
  rodSeconds,
  SMAW_EFFICIENCY,
  STEEL_KG_PER_MM3,
  stubLoss,
  burnRods,
} from '../deposit'
import { COMMON_PRACTICE, ELECTRODES, electrodeOf, USUAL_SIZES, type RodSize, type Source } from '../trade'
import {
  bothUnits,
  exactLength,
  formatHeat,
  formatLength,
  formatSpeed,
  formatTime,
  formatWeight,
  inches,
  round,
  type LengthUnit,
} from '../units'
import { choice, length, numbers, numeric, type Sheet, type SheetInput, type SheetLine } from './sheet'

const HEAT_SOURCES: readonly Source[] = [
  { name: 'AWS D1.1, ASME IX QW-409.1(a)', certainty: 'from memory, check your copy' },
  { name: 'ISO/TR 17671-1, EN 1011-1', clause: 'k = 0.8 for SMAW', certainty: 'from memory, check your copy' },
]
const MAKERS: Source = { name: 'typical makers’ deposition data, ±15 %', certainty: 'from memory, check your copy' }

const travel: SheetInput = numeric('speed', 'travel', 'Travel', inches(1), inches(40), inches(6))
const current: SheetInput = numeric('amperes', 'current', 'Current', 10, 500, 125)
const rod: SheetInput = choice(
  'rod',
  'Rod',
  ELECTRODES.map(row => row.classification),
  'E7018',
)
const size: SheetInput = choice(
  'size',
  'Size, in or mm',
  USUAL_SIZES.map(row => row.name),
  '1/8',
)
const sizeNamed = (name: unknown): RodSize => USUAL_SIZES.find(row => row.name === name)!

export const HEAT_INPUT: Sheet = {
  id: 'heat-input',
  name: 'Heat input',
  formula: 'volts × amperes × 60 ÷ travel',
  sources: HEAT_SOURCES,
  inputs: [numeric('volts', 'volts', 'Arc volts', 10, 50, 25), current, travel],
  work: (values, unit) => {
    const of = numbers(values)
    const heat = heatInput(of('volts'), of('current'), of('travel'))
    const sum = `${of('volts')} V × ${of('current')} A × 60 ÷ ${formatSpeed(of('travel'), unit)}`
    return [
      {
        name: 'Arc energy, AWS and ASME',
        result: `${formatHeat(heat.kjPerMm, 'in')} (${formatHeat(heat.kjPerMm, 'mm')})`,
        working: sum,
      },
      {
        name: 'Heat input, ISO',
        result: `${formatHeat(heat.isoKjPerMm, 'mm')}`,
        working: `arc energy × ${SMAW_EFFICIENCY}`,
        note: 'Never hold an ISO figure against an AWS limit',
      },
    ]
  },
}

/** What a table says about a current outside it. */
function beyondNote(classification: string, sizeName: string, currentA: number): string | undefined {
  return beyondTable(depositionRate(classification, sizeNamed(sizeName).diameterMm, currentA)) ?? undefined
}

export const DEPOSITION: Sheet = {
  id: 'deposition',
  name: 'Deposition and bead area',
  formula: 'bead area = deposition ÷ (60 × travel × 0.2836 lb/in³)',
  sources: [MAKERS, COMMON_PRACTICE],
  inputs: [rod, size, current, travel],
  work: (values, unit) => {
    const of = numbers(values)
    const rate = depositionRate(String(values.rod), sizeNamed(values.size).diameterMm, of('current'))
    const areaMm2 = depositedArea(rate.kgPerHour, of('travel'))
    return [
      {
        name: 'Deposition, arc burning',
        result: `${formatWeight(rate.kgPerHour, unit)} an hour`,
        working: `${rate.source.name}${rate.source.clause ? `, ${rate.source.clause}` : ''}`,
        note: beyondNote(String(values.rod), String(values.size), of('current')),
      },
      {
        name: 'Bead area',
        result: areaText(areaMm2, unit),
        working: `${formatWeight(rate.kgPerHour, unit)}/h ÷ 60 ÷ ${formatSpeed(of('travel'), unit)} ÷ density`,
      },
      {
        name: 'Flat fillet of that area',
        result: `${exactLength(filletLeg(areaMm2), unit)} leg`,
        working: `√(2 × ${areaText(areaMm2, unit)})`,
      },
    ]
  },
}

/**
 * A section in the house's unit.
 * @param mm2 square millimetres
 * @example areaText(16.13, 'in') // '0.025 in²'
 */
export function areaText(mm2: number, unit: LengthUnit): string {
  return unit === 'in' ? `${round(mm2 / inches(1) ** 2, 4)} in²` : `${round(mm2, 1)} mm²`
}

export const RUN_OUT: Sheet = {
  id: 'run-out',
  name: 'Run-out per rod',
  formula: 'run-out = travel × metal in the rod ÷ deposition',
  sources: [MAKERS, COMMON_PRACTICE],
  inputs: [
    rod,
    size,
    current,
    travel,
    length('stub', 'Stub', 5, 200, inches(2)),
    length('joint', 'Joint length', 25, 6000, inches(8)),
  ],
  work: (values, unit) => {
    const of = numbers(values)
    const chosen = sizeNamed(values.size)
    const burn = { rod: chosen, recovery: electrodeOf(String(values.rod)).recovery, stubMm: of('stub') }
    const metalKg = metalOfRod(burn) * STEEL_KG_PER_MM3
    const rate = depositionRate(String(values.rod), chosen.diameterMm, of('current'))
    const seconds = rodSeconds(burn, rate.kgPerHour)
    const runMm = (of('travel') * seconds) / 60
    const { restarts, rods } = burnRods([of('joint')], runMm)
    return [
      {
        name: 'Metal in a rod',
        result: formatWeight(metalKg, unit),
        working: `core × (${formatLength(chosen.lengthMm, unit)} − ${formatLength(of('stub'), unit)}) × density × ${burn.recovery} recovery`,
      },
      {
        name: 'Arc time of a rod',
        result: formatTime(seconds),
        working: `${formatWeight(metalKg, unit)} ÷ ${formatWeight(rate.kgPerHour, unit)} an hour`,
        note: beyondNote(String(values.rod), String(values.size), of('current')),
      },
      {
        name: 'Run-out',
        result: formatLength(runMm, unit),
        working: `${formatSpeed(of('travel'), unit)} × ${formatTime(seconds)}`,
      },
      {
        name: 'On the joint',
        result: `${rods} ${rods === 1 ? 'rod' : 'rods'}, ${restarts[0]!.length} ${restarts[0]!.length === 1 ? 'restart' : 'restarts'}`,
        working: `${formatLength(of('joint'), unit)} ÷ ${formatLength(runMm, unit)}, rounded up, less one`,
      },
    ] satisfies SheetLine[]
  },
}

export const STUB_LOSS: Sheet = {
  id: 'stub-loss',
  name: 'Stub loss',
  formula: 'stub ÷ rod',
  sources: [COMMON_PRACTICE],
  inputs: [length('rod', 'Rod', 150, 500, inches(14)), length('stub', 'Stub', 5, 300, inches(2))],
  work: (values, unit) => {
    const of = numbers(values)
    const share = stubLoss(of('rod'), of('stub'))
    return [
      {
        name: 'Thrown away',
        result: `${round(share * 100, 0)} %`,
        working: `${formatLength(of('stub'), unit)} ÷ ${formatLength(of('rod'), unit)}`,
      },
      {
        name: 'Of a hundred rods',
        result: `${round(share * 100, 0)} rods’ worth`,
        working: `stubs of ${bothUnits(of('stub'))}`,
      },
    ]
  },
}
