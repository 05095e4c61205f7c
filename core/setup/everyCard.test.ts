import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES } from '../house'
import { burnsAs, ELECTRODES, PAD_POSITIONS, ROD_SIZES, rodSizeOf, type Electrode, type RodSize } from '../trade'
import { inches } from '../units'
import { JOINTS, PASSES, settingsCard, startCurrent, type CurrentCase } from '.'

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
  it.each(ROD_SIZES.map(size => [size.label, size] as const))('%s begins inside a window that it names', (_, size) => {
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
  })
})

describe('what lies outside the published window', () => {
  // Common practice: E7018 1/8 vertical under it; rutile 2.5 mm fillets, and 1/8 on AC on thick plate, over it.
  it('is what schools run and no more', () => {
    const found = new Set<string>()
    for (const electrode of ELECTRODES)
      for (const size of ROD_SIZES.filter(row => row.unit === 'in'))
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
