import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { DEFAULT_HOUSE_RULES, writeRule } from '../house'
import { ELECTRODES, isTooLarge, PAD_POSITIONS } from '../trade'
import { inches } from '../units'
import { aTicket } from '../coupon/example'
import {
  checkTicket,
  currentWindow,
  leastPlate,
  polarityCheck,
  publishedWindow,
  rodsForPlate,
  startCurrent,
  type CurrentCase,
  type Settings,
} from '.'

const rules = DEFAULT_HOUSE_RULES
const PLATE = inches(3 / 8)
const check = (change: Partial<Settings> = {}, thicknessMm = PLATE, by = rules) =>
  checkTicket({ ...aTicket(), ...change }, thicknessMm, by)
const findings = (...args: Parameters<typeof check>) => check(...args).map(row => row.finding)

// AWS A5.1 annex, typical amperage ranges, from memory.
it.each([
  ['E6010', 1 / 8, 75, 125],
  ['E6013', 3 / 32, 45, 90],
  ['E7018', 1 / 8, 115, 165],
  ['E7018', 5 / 32, 150, 220],
  ['E7024', 1 / 8, 140, 190],
  ['E7016', 3 / 32, 65, 110],
])('%s of %d in is published for %d to %d A', (classification, size, low, high) => {
  expect(publishedWindow(classification, inches(size))).toMatchObject({ lowA: low, highA: high })
})

describe('the window a coupon is held to', () => {
  it('is practice where schools run otherwise, and says so', () => {
    expect(currentWindow({ classification: 'E7018', diameterMm: inches(1 / 8), position: '3G' }, rules)).toMatchObject({
      lowA: 100,
      highA: 115,
      source: { certainty: 'common practice' },
    })
    expect(currentWindow({ classification: 'E6010', diameterMm: inches(1 / 8), position: '3G' }, rules)).toMatchObject({
      lowA: 75,
      source: { certainty: 'from memory, check your copy' },
    })
  })
  it('is the house’s own where it has one, for that rod and position alone', () => {
    const own = {
      ...rules,
      windows: [{ classification: 'E7018', diameterMm: inches(1 / 8), position: '3G', lowA: 95, highA: 120 }],
    } as const
    expect(currentWindow({ classification: 'E7018', diameterMm: inches(1 / 8), position: '3G' }, own)).toMatchObject({
      lowA: 95,
      highA: 120,
      source: { name: 'house rules' },
    })
    expect(currentWindow({ classification: 'E7018', diameterMm: inches(1 / 8), position: '1G' }, own)).toEqual(
      currentWindow({ classification: 'E7018', diameterMm: inches(1 / 8), position: '1G' }, rules),
    )
    expect(currentWindow({ classification: 'E7018', diameterMm: inches(3 / 32), position: '3G' }, own)).toEqual(
      currentWindow({ classification: 'E7018', diameterMm: inches(3 / 32), position: '3G' }, rules),
    )
  })
})

describe('the current to start with', () => {
  const start = (change: Partial<CurrentCase>, by = rules) =>
    startCurrent(
      { classification: 'E7018', diameterMm: inches(1 / 8), position: '1G', joint: 'pad', pass: 'bead', ...change },
      by,
    )

  // Common practice: what schools run.
  it.each([
    [{}, 125],
    [{ position: '2G' }, 125],
    [{ position: '3G', travel: 'up' }, 110],
    [{ position: '4G' }, 125],
    [{ diameterMm: inches(3 / 32) }, 90],
    [{ diameterMm: inches(3 / 32), position: '3G', travel: 'up' }, 80],
    [{ diameterMm: inches(3 / 32), position: '4G' }, 95],
    [{ diameterMm: inches(3 / 32), thicknessMm: inches(1 / 8) }, 80],
    [{ diameterMm: inches(3 / 32), thicknessMm: inches(1 / 8), joint: 'outside corner' }, 80],
    [{ classification: 'E6010', joint: 'V, open root', pass: 'root', position: '3G', travel: 'up' }, 80],
    [{ classification: 'E6010', joint: 'V, open root', pass: 'hot' }, 90],
    [
      {
        classification: 'E6010',
        diameterMm: inches(3 / 32),
        joint: 'V, open root',
        pass: 'root',
        position: '3G',
        travel: 'up',
      },
      60,
    ],
    [{ classification: 'E6013' }, 115],
    [{ classification: 'E6013', polarity: 'AC' }, 130],
    [{ classification: 'E6013', position: '3G', travel: 'up' }, 105],
    [{ classification: 'E6013', position: '3G', travel: 'down' }, 120],
    [{ classification: 'E6013', diameterMm: inches(3 / 32), joint: 'T', pass: 'first', position: '2G' }, 100],
    [{ classification: 'E6013', diameterMm: inches(3 / 32), joint: 'T', pass: 'second', position: '2G' }, 90],
    [
      {
        classification: 'E6013',
        diameterMm: inches(3 / 32),
        joint: 'T',
        pass: 'first',
        position: '3G',
        travel: 'up',
        thicknessMm: 12,
      },
      80,
    ],
    // A 3.2 mm rod goes by the tables of 1/8, a tougher E7018 by E7018's.
    [{ diameterMm: 3.2 }, 125],
    [{ classification: 'E7018-1', position: '3G', travel: 'up' }, 110],
    [{ classification: 'E308L-16', diameterMm: 2.5, thicknessMm: 2.5 }, 55],
  ] as const)('%j: %d A', (change, amperes) => expect(start(change).startA).toBe(amperes))

  // Common practice: one ampere for each thousandth of an inch of core, low hydrogen, flat.
  it('goes by the core where no practice is kept', () =>
    expect(start({ diameterMm: inches(5 / 32) }).working[0]).toContain('155 A'))

  it('moves by the house’s rule for vertical and overhead, and says so', () => {
    const softer = writeRule(writeRule(rules, 'verticalUnderFlatA', { low: 15, high: 20 }), 'overheadUnderFlatA', {
      low: 5,
      high: 10,
    })
    expect(start({ position: '3G', travel: 'up' }, softer).startA).toBe(105)
    expect(start({ position: '4G' }, softer).startA).toBe(118)
    expect(start({ position: '3G', travel: 'up' }, softer).working).toContain('5 A down vertical, by the house’s rule')
    expect(start({ classification: 'E7014', position: '3G', travel: 'up' }).startA).toBe(123)
    // Common practice: a cellulosic rod is run much the same in every position.
    expect(start({ classification: 'E6010', position: '3G', travel: 'up' }).startA).toBe(100)
  })

  it('goes up for thick plate and down for thin', () => {
    expect(start({ thicknessMm: inches(1) }).startA).toBe(130)
    expect(start({ classification: 'E6010', thicknessMm: inches(1 / 8) }).startA).toBe(95)
  })

  it('lies inside the window it names, for every rod, size and position', () => {
    const sizes = [3 / 32, 1 / 8, 5 / 32, 3 / 16].map(inches)
    fc.assert(
      fc.property(
        fc.constantFrom(...ELECTRODES),
        fc.constantFrom(...sizes),
        fc.constantFrom(...PAD_POSITIONS),
        fc.double({ min: 2, max: 30, noNaN: true }),
        (electrode, diameterMm, position, thicknessMm) => {
          const { startA, window } = start({
            classification: electrode.classification,
            diameterMm,
            position: position.id,
            travel: position.travel[0],
            thicknessMm,
          })
          expect(startA).toBeGreaterThanOrEqual(window.lowA)
          expect(startA).toBeLessThanOrEqual(window.highA)
        },
      ),
    )
  })
})

describe('checkTicket', () => {
  it('finds nothing on a ticket that fits', () => expect(check()).toEqual([]))
  it('takes both ends of the window as inside', () => {
    expect(check({ currentA: 110 })).toEqual([])
    expect(check({ currentA: 150 })).toEqual([])
  })
  it('says how far out the current is', () => {
    expect(check({ currentA: 151 })[0]).toMatchObject({ finding: 'current high', byA: 1 })
    expect(check({ currentA: 90 })[0]).toMatchObject({ finding: 'current low', byA: 20 })
  })
  it('rules out the wrong polarity first', () => {
    expect(findings({ classification: 'E6010', polarity: 'DCEN', currentA: 150 })).toEqual([
      'wrong polarity',
      'current high',
    ])
  })
  it('marks a rod that is not made for the position, and a direction that is not', () => {
    expect(findings({ classification: 'E7024', currentA: 160, position: '4G' })[0]).toBe('rod unfit for position')
    expect(findings({ travel: 'up' })[0]).toBe('odd travel')
  })
  // Common practice: E7018 wants 1/4 in of plate, or 1/8 in with 3/32 rods.
  it('marks plate that is too thin for the rod', () => {
    expect(check({}, inches(3 / 16))).toMatchObject([
      { field: 'plate', finding: 'plate thin', text: 'This rod wants 1/4 in of plate or more' },
    ])
    expect(findings({}, inches(1 / 4))).toEqual([])
    expect(findings({ diameterMm: inches(3 / 32), currentA: 80 }, inches(1 / 8))).toEqual([])
  })
  it('goes by the window of the card: of thin plate, of the way a rutile rod is run', () => {
    const thin = { diameterMm: inches(3 / 32) }
    expect(findings({ ...thin, currentA: 90 }, inches(1 / 8))).toEqual(['current high'])
    expect(findings({ ...thin, currentA: 80 }, inches(3 / 8))).toEqual(['current low'])
    const rutile = { classification: 'E6013', position: '3G', currentA: 125 } as const
    expect(findings({ ...rutile, travel: 'up' })).toEqual(['current high'])
    expect(findings({ ...rutile, travel: 'down' })).toEqual([])
  })
  // AWS A5.1, from memory: such rods above 5/32 in are made for flat and horizontal.
  it.each([
    ['E7018', 3 / 16, '3G', true],
    ['E7014', 3 / 16, '4G', true],
    ['E7018', 3 / 16, '6G', true],
    ['E7018', 3 / 16, '2G', false],
    ['E7018', 5 / 32, '3G', false],
    ['E6010', 3 / 16, '3G', false],
  ] as const)('%s of %d in is %s: too large %s', (classification, size, position, tooLarge) => {
    const travel = position === '2G' ? 'left to right' : 'up'
    const found = findings({ classification, diameterMm: inches(size), position, travel, currentA: 150 })
    expect(found.includes('rod unfit for position')).toBe(tooLarge)
    expect(isTooLarge(classification, size === 5 / 32 ? 4 : inches(size), position)).toBe(tooLarge)
  })
  // AWS D1.1 and the A5.1 annex, from memory: 4 h.
  it('marks a low-hydrogen rod past its exposure, and no other rod', () => {
    expect(findings({ hoursOut: 4 })).toEqual([])
    expect(findings({ hoursOut: 4.5 })).toEqual(['rod exposed'])
    expect(findings({ hoursOut: 4.5 }, PLATE, writeRule(rules, 'exposureHours', 9))).toEqual([])
    expect(findings({ classification: 'E6010', currentA: 100, hoursOut: 20 })).toEqual([])
  })
  it('says what is not the house’s way', () => {
    const house = writeRule(writeRule(rules, 'ways.rutile', 'downhill'), 'ways.stubDays', 'never')
    expect(findings({ classification: 'E6013', position: '3G', travel: 'up', currentA: 105 }, PLATE, house)).toEqual([
      'not the house’s way',
    ])
    expect(findings({ rods: 'stubs' }, PLATE, house)).toEqual(['not the house’s way'])
    expect(findings({ polarity: 'AC' })).toEqual(['not the house’s way'])
    expect(findings({ polarity: 'AC' }, PLATE, writeRule(rules, 'ways.machines', 'DC and AC'))).toEqual([])
  })
})

// Common practice: rod by plate.
it.each([
  [1.5, 2, 2.5],
  [3, 2.5, 3.2],
  [9.5, 3.2, 4],
  [20, 4, 5],
])('%d mm of plate suits rods of %d to %d mm', (plate, low, high) => {
  expect(rodsForPlate(plate)).toEqual({ lowMm: low, highMm: high })
})
it('asks for more plate with low-hydrogen rods', () =>
  expect(leastPlate('E7018', inches(1 / 8))).toBeGreaterThan(leastPlate('E6013', inches(1 / 8))))

it('says what a wrong polarity looks like', () => {
  expect(polarityCheck('E6010', 'DCEN')).toMatchObject({ fits: false, runsOn: ['DCEP'] })
  expect(polarityCheck('E6010', 'DCEN').looks[0]).toContain('does not dig in')
  expect(polarityCheck('E7018', 'DCEN').fits).toBe(false)
  expect(polarityCheck('E6013', 'DCEN')).toMatchObject({ fits: true })
  expect(polarityCheck('E6012', 'DCEP').looks).not.toEqual(polarityCheck('E6010', 'AC').looks)
})
