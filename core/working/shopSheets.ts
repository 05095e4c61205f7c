import {
  carbonEquivalents,
  fromPlate,
  leastPreheat,
  lensShade,
  PREHEAT_CATEGORIES,
  PREHEAT_SOURCE,
  remoteCurrent,
  remotePercent,
  SHADE_SOURCE,
  toPlate,
  type Analysis,
  type PreheatCategory,
} from '../setup'
import { COMMON_PRACTICE } from '../trade'
import { formatLength, inches, round } from '../units'
import { choice, length, numbers, numeric, type Sheet, type SheetInput } from './sheet'

export const REMOTE: Sheet = {
  id: 'remote',
  name: 'Foot and hand remote',
  formula: 'amperes = panel limit × remote %',
  sources: [COMMON_PRACTICE],
  inputs: [
    numeric('amperes', 'limit', 'Panel limit', 10, 500, 200),
    numeric('percent', 'remote', 'Remote', 0, 100, 40),
    numeric('amperes', 'wanted', 'Current wanted', 10, 500, 125),
  ],
  work: values => {
    const of = numbers(values)
    return [
      {
        name: 'At the arc',
        result: `${round(remoteCurrent(of('limit'), of('remote')), 0)} A`,
        working: `${of('limit')} A × ${of('remote')} %`,
      },
      of('wanted') > of('limit')
        ? {
            name: `For ${of('wanted')} A`,
            result: `panel up to ${of('wanted')} A`,
            working: `the panel stops at ${of('limit')} A`,
          }
        : {
            name: `For ${of('wanted')} A`,
            result: `${round(remotePercent(of('limit'), of('wanted')), 0)} % of the remote`,
            working: `${of('wanted')} A ÷ ${of('limit')} A`,
          },
    ]
  },
}

export const TRAVEL_ANGLE: Sheet = {
  id: 'travel-angle',
  name: 'Travel angle',
  formula: 'rod to plate = 90° − degrees from square',
  sources: [COMMON_PRACTICE],
  inputs: [
    choice('lean', 'Rod points', ['drag', 'push']),
    numeric('degrees', 'square', 'From square', 0, 90, 15),
    numeric('degrees', 'plate', 'Rod to the plate', 0, 90, 70),
  ],
  work: values => {
    const of = numbers(values)
    const lean = values.lean as 'drag' | 'push'
    return [
      {
        name: `${lean} ${of('square')}°`,
        result: `${round(toPlate(of('square')), 1)}° to the plate`,
        working: `90 − ${of('square')}`,
      },
      {
        name: `${of('plate')}° to the plate`,
        result: `${lean} ${round(Math.abs(fromPlate(of('plate'), lean)), 1)}°`,
        working: `90 − ${of('plate')}`,
      },
    ]
  },
}

const ELEMENTS: readonly (readonly [element: keyof Analysis, start: number])[] = [
  ['C', 0.18],
  ['Mn', 1.3],
  ['Si', 0.3],
  ['Cr', 0.05],
  ['Mo', 0.02],
  ['V', 0.04],
  ['Ni', 0.05],
  ['Cu', 0.2],
]

export const CARBON_EQUIVALENT: Sheet = {
  id: 'carbon-equivalent',
  name: 'Carbon equivalent',
  formula: 'IIW: C + Mn/6 + (Cr + Mo + V)/5 + (Ni + Cu)/15',
  sources: [
    { name: 'IIW', certainty: 'published' },
    { name: 'AWS D1.1 annex on preheat; EN 1011-2', certainty: 'from memory, check your copy' },
  ],
  inputs: ELEMENTS.map(([element, start]): SheetInput => numeric('mass percent', element, element, 0, 30, start)),
  work: values => {
    const of = numbers(values)
    const { iiw, d11, pcm, cet } = carbonEquivalents(
      Object.fromEntries(ELEMENTS.map(([element]) => [element, of(element)])) as unknown as Analysis,
    )
    return [
      { name: 'CE, IIW', result: iiw.toFixed(3), working: 'C + Mn/6 + (Cr + Mo + V)/5 + (Ni + Cu)/15' },
      {
        name: 'CE, structural code’s annex',
        result: d11.toFixed(3),
        working: 'as IIW, with Si beside Mn',
        note: 'Often swapped for the IIW figure: say which',
      },
      { name: 'Pcm', result: pcm.toFixed(3), working: 'C + Si/30 + (Mn + Cu + Cr)/20 + Ni/60 + Mo/15 + V/10' },
      { name: 'CET', result: cet.toFixed(3), working: 'C + (Mn + Mo)/10 + (Cr + Cu)/20 + Ni/40' },
    ]
  },
}

export const PREHEAT: Sheet = {
  id: 'preheat',
  name: 'Preheat',
  formula: 'by steel, process and the thicker part',
  sources: [PREHEAT_SOURCE],
  inputs: [
    choice('steel', 'Steel and process', PREHEAT_CATEGORIES),
    length('plate', 'Thicker plate', inches(1 / 8), 300, inches(1)),
    numeric('celsius', 'now', 'Plate is at', 0, 400, 20),
  ],
  work: (values, unit) => {
    const of = numbers(values)
    const { fahrenheit, celsius } = leastPreheat(values.steel as PreheatCategory, of('plate'))
    const short = Math.max(0, celsius - of('now'))
    return [
      {
        name: 'Least preheat and interpass',
        result: `${fahrenheit} °F (${celsius} °C)`,
        working: `${values.steel}, ${formatLength(of('plate'), unit)}`,
        note: celsius === 0 ? 'Below 32 °F (0 °C), warm it to 70 °F (20 °C) first' : undefined,
      },
      {
        name: 'Now',
        result: short > 0 ? `warm it by ${round(short, 0)} °C (${round(short * 1.8, 0)} °F)` : 'warm enough',
        working: `${round(of('now'), 0)} °C against ${celsius} °C`,
      },
    ]
  },
}

export const LENS_SHADE: Sheet = {
  id: 'lens-shade',
  name: 'Lens shade',
  formula: 'by process and current',
  sources: [SHADE_SOURCE],
  inputs: [choice('process', 'Process', ['SMAW', 'GTAW']), numeric('amperes', 'current', 'Current', 1, 500, 125)],
  work: values => {
    const amperes = numbers(values)('current')
    const { least, suggested } = lensShade(values.process as 'SMAW' | 'GTAW', amperes)
    return [
      { name: 'Never lighter than', result: `shade ${least}`, working: `${values.process} at ${amperes} A` },
      {
        name: 'Begin with',
        result: suggested ? `shade ${suggested}` : `shade ${least} or darker`,
        working: 'start dark, go lighter until the puddle is seen',
      },
    ]
  },
}
