import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES } from '../house'
import {
  burnsAs,
  ELECTRODES,
  isMade,
  PAD_POSITIONS,
  ROD_SIZES,
  rodSizeOf,
  USUAL_SIZES,
  type Electrode,
  type RodSize,
} from '../trade'
import { inches } from '../units'
import { JOINTS, leastPlate, PASSES, rodsForPlate, settingsCard, startCurrent, type CurrentCase } from '.'

const THICKNESSES = [inches(1 / 8), inches(3 / 8), 12, inches(1)]

/** Every case of a rod that the application offers. */
function* casesOf({ classification, currents }: Electrode, { diameterMm }: RodSize): Generator<CurrentCase> {
  for (const { id: position, travel: ways } of PAD_POSITIONS)
    for (const travel of ways)
      for (const joint of JOINTS)
        for (const pass of PASSES[joint])
          for (const thicknessMm of THICKNESSES)
            for (const polarity of currents)
              yield { classification, diameterMm, position, travel, joint, pass, thicknessMm, polarity }
}

// AWS A5.1 annex, from memory, and common practice: trade figures for each size, A.
const PUBLISHED: Readonly<Record<string, readonly (readonly [low: number, high: number])[]>> = {
  'E6010': [
    [40, 80],
    [75, 125],
    [110, 170],
    [140, 215],
  ],
  'E6011': [
    [40, 80],
    [75, 125],
    [110, 170],
    [140, 215],
  ],
  'E6012': [
    [35, 85],
    [80, 140],
    [110, 190],
    [140, 240],
  ],
  'E6013': [
    [45, 90],
    [80, 130],
    [105, 180],
    [150, 230],
  ],
  'E7014': [
    [80, 125],
    [110, 160],
    [150, 210],
    [200, 275],
  ],
  'E7016': [
    [65, 110],
    [100, 150],
    [140, 200],
    [180, 255],
  ],
  'E7018': [
    [70, 100],
    [115, 165],
    [150, 220],
    [200, 275],
  ],
  'E7024': [
    [100, 145],
    [140, 190],
    [180, 250],
    [230, 305],
  ],
  'E308L-16': [
    [45, 80],
    [75, 115],
    [105, 150],
    [130, 190],
  ],
}
const SIZES = ['3/32', '1/8', '5/32', '3/16']

describe.each(ELECTRODES.map(row => [row.classification, row] as const))('every card of %s', (_, electrode) => {
  it.each(USUAL_SIZES.map(size => [size.label, size] as const))(
    '%s begins inside a window that it names',
    (_, size) => {
      const [low, high] = PUBLISHED[burnsAs(electrode.classification)]![SIZES.indexOf(size.soldFor)]!
      const wrong: string[] = []
      for (const one of casesOf(electrode, size)) {
        const { startA, window, published, working } = startCurrent(one, DEFAULT_HOUSE_RULES)
        const outside = startA < low || startA > high
        const said = working.some(line => line.startsWith(`outside the published ${low}–${high} A`))
        if (published.lowA !== low || published.highA !== high) wrong.push(`published ${published.lowA}`)
        if (startA < window.lowA || startA > window.highA) wrong.push(`${JSON.stringify(one)}: ${startA} A`)
        if (outside !== said) wrong.push(`${JSON.stringify(one)}: ${startA} A, ${working.join('; ')}`)
      }
      expect(wrong).toEqual([])
    },
  )
})

// AWS A5.1 and A5.4, makers' handbooks, from memory; 25 to 60 A for thin edges with a rutile rod: common practice.
describe('rods for sheet and thin edges', () => {
  it.each([
    ['E6012', 20, 40, 25, 60],
    ['E6013', 20, 40, 25, 60],
    ['E308L-16', 20, 40, 30, 55],
  ])('%s has its cards in 1/16 and 5/64, inside its windows', (classification, ...amperes) => {
    const electrode = ELECTRODES.find(row => row.classification === classification)!
    for (const { soldFor, diameterMm } of ROD_SIZES.filter(size => !USUAL_SIZES.includes(size))) {
      const [low, high] = soldFor === '1/16' ? amperes.slice(0, 2) : amperes.slice(2)
      for (const position of PAD_POSITIONS) {
        const wanted = { classification, diameterMm, position: position.id, travel: position.travel[0]! } as const
        const rest = {
          joint: 'lap',
          pass: 'bead',
          thicknessMm: 2,
          polarity: electrode.currents.find(one => one !== 'AC')!,
          rods: 'new',
        } as const
        const { current, remarks } = settingsCard({ ...wanted, ...rest }, DEFAULT_HOUSE_RULES)
        expect(current.published).toMatchObject({ lowA: low, highA: high })
        expect(current.startA).toBeGreaterThanOrEqual(low!)
        expect(current.startA).toBeLessThanOrEqual(high!)
        expect(remarks).toEqual([])
      }
    }
  })
  it('are of no other class, and said so', () => {
    for (const { classification } of ELECTRODES.filter(
      row => !['E6012', 'E6013', 'E308L-16'].includes(row.classification),
    ))
      for (const { diameterMm, label } of ROD_SIZES.filter(size => !USUAL_SIZES.includes(size)))
        expect(() =>
          startCurrent({ classification, diameterMm, position: '1G', joint: 'pad', pass: 'bead' }, DEFAULT_HOUSE_RULES),
        ).toThrow(`${classification} is not made in ${label}`)
  })
  it('suit sheet that no thicker rod suits', () => {
    expect(rodsForPlate(1.2)).toEqual({ lowMm: 1.6, highMm: 2 })
    expect(leastPlate('E6013', inches(5 / 64))).toBe(1.5)
    expect(leastPlate('E6013', 1.6)).toBe(1)
  })
})

describe('what lies outside the published window', () => {
  // Common practice: E7018 1/8 vertical under it; rutile 2.5 mm fillets, and 1/8 on AC on thick plate, over it.
  it('is what schools run and no more', () => {
    const found = new Set<string>()
    for (const electrode of ELECTRODES)
      for (const size of ROD_SIZES.filter(row => row.unit === 'in' && isMade(electrode.classification, row.diameterMm)))
        for (const one of casesOf(electrode, size)) {
          const { startA, published } = startCurrent(one, DEFAULT_HOUSE_RULES)
          if (startA < published.lowA || startA > published.highA)
            found.add(`${burnsAs(one.classification)} ${rodSizeOf(one.diameterMm).soldFor} ${one.position}`)
        }
    expect([...found].sort()).toEqual([
      'E6010 5/32 3G',
      'E6013 1/8 1G',
      'E6013 3/32 1G',
      'E6013 3/32 2G',
      'E7018 1/8 3G',
      'E7018 5/32 3G',
    ])
  })
})

describe('a low-hydrogen rod run downhill', () => {
  it.each(ELECTRODES.filter(row => row.family === 'low hydrogen').map(row => row.classification))(
    '%s is remarked on, on the card as on the ticket',
    classification => {
      const card = (travel: 'up' | 'down') =>
        settingsCard(
          {
            classification,
            diameterMm: inches(1 / 8),
            position: '3G',
            travel,
            joint: 'V, backing',
            pass: 'fill',
            thicknessMm: inches(3 / 8),
            polarity: 'DCEP',
            rods: 'new',
          },
          DEFAULT_HOUSE_RULES,
        ).remarks.map(remark => remark.finding)
      expect(card('down')).toContain('odd travel')
      expect(card('up')).not.toContain('odd travel')
    },
  )
})
