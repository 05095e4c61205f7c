import { describe, expect, it } from 'vitest'
import {
  arcVolts,
  lensShade,
  leastPlate,
  leastPreheat,
  PREHEAT_CATEGORIES,
  publishedWindow,
  practiceOf,
  JOINTS,
  PASSES,
} from '../../core/setup'
import { SHIPPED_SETS } from '../../core/criteria'
import { depositionRate } from '../../core/deposit'
import { DEFAULT_HOUSE_RULES, WAYS } from '../../core/house'
import { SHIPPED_LADDERS } from '../../core/ladder'
import { SHIPPED_BOOKS, testPieces } from '../../core/qualification'
import { hoursAllowed } from '../../core/rodRoom'
import {
  DISCONTINUITIES,
  ELECTRODES,
  FILLER_RODS,
  GTAW_ROOT,
  PAD_POSITIONS,
  PIECES,
  PIPE_SIZES,
} from '../../core/trade'
import { isMade, POSITIONS, ROD_SIZES, type Polarity, type Travel } from '../../core/trade'
import { inches, KG_PER_POUND } from '../../core/units'

/**
 * Every figure that ships, a line each, in tables that a person has read against what they name as their source. A
 * figure that is changed in the code fails here until its line is changed too, after a look at the source.
 */
/** The file that holds a table. */
const fileOf = (name: string) => `${name.replaceAll(/[ .]/g, '-')}.txt`
const told = (lines: readonly string[]) => `${lines.join('\n')}\n`

/** All that a table holds, a line for each value, by where it stands. */
function linesOf(value: unknown, where = ''): string[] {
  if (value === null || typeof value !== 'object') return [`${where}: ${String(value)}`]
  return Object.entries(value).flatMap(([key, inner]) => {
    const named = inner as { readonly id?: string; readonly name?: string } | null
    const own = Array.isArray(value) ? (named?.id ?? named?.name ?? key) : key
    return linesOf(inner, where ? `${where} > ${own}` : own)
  })
}
const two = (value: number) => String(Math.round(value * 100) / 100)
const inchSizes = ROD_SIZES.filter(size => size.unit === 'in')
const rods = ELECTRODES.filter(rod => rod.burnsAs === rod.classification).flatMap(rod =>
  inchSizes
    .filter(size => isMade(rod.classification, size.diameterMm))
    .map(size => ({ ...rod, size, says: `${rod.classification} ${size.name}` })),
)

describe('figures of codes', () => {
  it.each(SHIPPED_SETS)('criteria: $id', set =>
    expect(told(linesOf(set))).toMatchFileSnapshot(fileOf(`criteria ${set.id}`)),
  )
  it.each(SHIPPED_BOOKS)('code book: $id', book =>
    expect(told(linesOf(book))).toMatchFileSnapshot(fileOf(`book ${book.id}`)),
  )
  it('least preheat, by category and thickness', () =>
    expect(
      told(
        PREHEAT_CATEGORIES.flatMap(category =>
          [1 / 8, 3 / 4, 13 / 16, 1.5, 1.6, 2.5, 2.6].map(
            inch => `${category}, ${two(inch)} in: ${leastPreheat(category, inches(inch)).celsius} °C`,
          ),
        ),
      ),
    ).toMatchFileSnapshot('preheat.txt'))
  it('how long rods may be out, h', () =>
    expect(
      told(
        ['E7018', 'E7018-1', 'E7018M', 'E7016', 'E8018-C3', 'E6010', 'E6013'].flatMap(classification =>
          [false, true].flatMap(resistant =>
            [2, 4].map(
              house =>
                `${classification}${resistant ? ' R' : ''}, house ${house} h: ` +
                String(hoursAllowed({ classification, resistant }, house)),
            ),
          ),
        ),
      ),
    ).toMatchFileSnapshot('exposure.txt'))
  it('lens shades, by current', () =>
    expect(
      told(
        (['SMAW', 'GTAW'] as const).flatMap(process =>
          [30, 59, 60, 120, 160, 161, 250, 251, 400].map(
            ampere => `${process} ${ampere} A: ${Object.values(lensShade(process, ampere)).join(', try ')}`,
          ),
        ),
      ),
    ).toMatchFileSnapshot('lens-shades.txt'))
})

describe('figures of rods', () => {
  it('windows, published and run, by case', () => {
    const ways: readonly (readonly [Travel | undefined, Polarity])[] = [
      [undefined, 'DCEP'],
      ['up', 'DCEP'],
      ['down', 'DCEP'],
      [undefined, 'AC'],
    ]
    const lines = rods.flatMap(({ classification, size, says }) => {
      const { lowA, highA } = publishedWindow(classification, size.diameterMm)
      const cases = PAD_POSITIONS.flatMap(({ id: position }) =>
        JOINTS.flatMap(joint => PASSES[joint].map(pass => ({ position, joint, pass }))),
      )
      const run = cases.flatMap(one =>
        ways.flatMap(([travel, polarity]) =>
          [3, 6, 12].flatMap(thicknessMm => {
            const wanted = { classification, diameterMm: size.diameterMm, polarity, thicknessMm, ...one }
            const found = practiceOf(travel ? { ...wanted, travel } : wanted)
            return found ? [`${says}: ${found.where}: ${found.startA} A, ${found.lowA} to ${found.highA} A`] : []
          }),
        ),
      )
      return [`${says}: published ${lowA} to ${highA} A`, ...new Set(run)]
    })
    return expect(told(lines)).toMatchFileSnapshot('currents.txt')
  })
  it('deposition, volts, and least plate', () =>
    expect(
      told(
        rods.flatMap(({ classification, size, says }) => [
          `${says}: least plate ${two(leastPlate(classification, size.diameterMm))} mm`,
          ...[60, 80, 100, 120, 140, 160, 180, 200, 220].map(ampere => {
            const { kgPerHour } = depositionRate(classification, size.diameterMm, ampere)
            const { low, high } = arcVolts(classification, ampere)
            return `${says} at ${ampere} A: ${two(kgPerHour / KG_PER_POUND)} lb/h, ${low} to ${high} V`
          }),
        ]),
      ),
    ).toMatchFileSnapshot('deposit.txt'))
  it.each([
    ['electrodes', ELECTRODES],
    ['fillers', [FILLER_RODS, GTAW_ROOT]],
    ['rod sizes', ROD_SIZES],
  ])('%s', (name, table) => expect(told(linesOf(table))).toMatchFileSnapshot(fileOf(name)))
})

describe('figures of the trade', () => {
  it.each([
    ['discontinuities', DISCONTINUITIES],
    ['pieces', PIECES],
    ['pipe sizes', PIPE_SIZES],
    ['positions', POSITIONS],
    ['test pieces', [testPieces('in'), testPieces('mm')]],
    ['house rules', DEFAULT_HOUSE_RULES],
    ['house ways', Object.fromEntries(Object.entries(WAYS).map(([id, { choices }]) => [id, choices]))],
    ['ladders', SHIPPED_LADDERS.map(({ name, rungs }) => ({ name, rungs: rungs.map(({ name: _, ...rung }) => rung) }))],
  ])('%s', (name, table) => expect(told(linesOf(table))).toMatchFileSnapshot(fileOf(name)))
})
