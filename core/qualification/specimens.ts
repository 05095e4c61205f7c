import { inches } from '../units'
import type { Clause } from './codeFamily'
import { isOver, isUnder, printed, sizeIn } from './printedSize'
import type { TestTaken } from './testTaken'

export type BendKind = 'face' | 'root' | 'side'
export type SpecimenKind = BendKind | 'nick-break' | 'tensile' | 'fillet break' | 'macro'

/** One specimen: what it is, where along the seam it is cut, how wide. Lengths mm. */
export interface Specimen {
  readonly id: string
  readonly kind: SpecimenKind
  readonly fromMm: number
  readonly toMm: number
}

/** The specimens of a test, drawn where they are cut. */
export interface SpecimenPlan extends Clause {
  readonly specimens: readonly Specimen[]
  readonly seamMm: number
  /** Where they lie is remembered less surely than how many there are. */
  readonly places: Clause
}

const THREE_EIGHTHS = printed(3 / 8, 10)
const THREE_QUARTERS = printed(3 / 4, 19)
const FOUR = printed(4, 100)

/** How many of each kind, by family. @throws RangeError where the family has no such test */
export function specimenCounts(test: TestTaken): Clause & { readonly kinds: readonly SpecimenKind[] } {
  const wall = sizeIn(test.thicknessMm, test.unit)
  const allRound = /^(5G|6G)/.test(test.position)
  const bends = (side: boolean): SpecimenKind[] => (side ? Array<SpecimenKind>(allRound ? 4 : 2).fill('side') : allRound ? ['root', 'face', 'root', 'face'] : ['face', 'root'])
  if (test.weld === 'fillet') {
    if (test.family === 'ISO') return { kinds: ['fillet break'], clause: '6.4, Table 13', remembered: 'sure' }
    return { kinds: ['fillet break', 'macro'], clause: test.family === 'structural' ? 'Table 4.11 (2015), 6.11 (2020)' : 'QW-452.5', remembered: 'check before it decides' }
  }
  switch (test.family) {
    case 'structural': {
      if (test.form === 'plate') return { kinds: bends(isOver(wall, THREE_EIGHTHS)), clause: 'Table 4.11 (2015), 6.11 (2020)', remembered: 'sure' }
      const outside = sizeIn(test.outsideMm!, test.unit)
      return { kinds: bends(isOver(outside, FOUR) && isOver(wall, THREE_EIGHTHS)), clause: 'Table 9.14 (2015), 10.13 (2020)', remembered: 'check before it decides' }
    }
    case 'pressure': return { kinds: bends(!isUnder(wall, THREE_QUARTERS)), clause: 'QW-452.1(a)', remembered: 'sure' }
    case 'ISO': return { kinds: bends(!isUnder(wall, printed(0.47, 12))), clause: '6.4, Table 13: bends in place of radiographs', remembered: 'check before it decides' }
    case 'pipeline': return pipelineCounts(test)
  }
}

/** Source: the pipeline code's Table 3 for butt welds of welder tests, by wall and diameter. */
function pipelineCounts(test: TestTaken): Clause & { readonly kinds: readonly SpecimenKind[] } {
  if (test.form === 'plate') throw new RangeError('The pipeline code tests on pipe')
  const [wall, outside] = [sizeIn(test.thicknessMm, test.unit), sizeIn(test.outsideMm!, test.unit)]
  const of = (tensile: number, nick: number, root: number, face: number, side: number): SpecimenKind[] => [
    ...Array<SpecimenKind>(tensile).fill('tensile'), ...Array<SpecimenKind>(nick).fill('nick-break'), ...Array<SpecimenKind>(root).fill('root'), ...Array<SpecimenKind>(face).fill('face'), ...Array<SpecimenKind>(side).fill('side'),
  ]
  const [small, large] = [!isOver(outside, printed(4.5, 114.3)), isOver(outside, printed(12.75, 323.9))]
  const clause = { clause: '6.5, Table 3', remembered: small && isUnder(outside, printed(2.375, 60.3)) ? 'check before it decides' : 'sure' } as const
  if (!isOver(wall, printed(0.5, 12.7))) return { kinds: small ? of(0, 2, 2, 0, 0) : large ? of(4, 4, 2, 2, 0) : of(2, 2, 2, 0, 0), ...clause }
  return { kinds: small ? of(0, 2, 0, 0, 2) : large ? of(4, 4, 0, 0, 4) : of(2, 2, 0, 0, 2), ...clause }
}

/** Width of a specimen along the seam, mm: side bends are slices, small pipe takes narrower strips. */
function widthOf(kind: SpecimenKind, test: TestTaken): number {
  if (kind === 'side') return inches(3 / 8)
  if (test.family === 'pipeline') return inches(1)
  if (kind === 'fillet break') return inches(6)
  if (kind === 'macro') return inches(1)
  const small = test.outsideMm !== null && test.outsideMm <= inches(4)
  return small ? (test.family === 'pressure' ? inches(3 / 4) : inches(1)) : inches(1.5)
}

/** An inch at either end of a plate is thrown away. Common practice, and what the figures come to. */
const DISCARD_MM = inches(1)

/**
 * The specimens of a test with where each is cut. On 5G and 6G pipe four at 45 degrees to the vertical, root and face in turn; on other pipe evenly round it;
 * on plate evenly between the discards.
 * @param seamMm length of the weld; round a pipe its circumference
 * @throws RangeError when they do not fit
 * @example specimenPlan(plate3G, 177.8).specimens.map(row => row.kind) // ['face', 'root']
 */
export function specimenPlan(test: TestTaken, seamMm: number): SpecimenPlan {
  const { kinds, clause, remembered } = specimenCounts(test)
  const plate = test.form === 'plate'
  const usable = plate ? seamMm - 2 * DISCARD_MM : seamMm
  const widths = kinds.map(kind => Math.min(widthOf(kind, test), kind === 'fillet break' ? usable - inches(1) : Infinity))
  const total = widths.reduce((sum, width) => sum + width, 0)
  if (total > usable + 1e-6) throw new RangeError(`The specimens take ${Math.ceil(total)} mm of weld, and there are ${Math.floor(usable)}: a longer piece is wanted`)
  const gap = (usable - total) / (kinds.length + (plate ? 1 : 0))
  let at = plate ? DISCARD_MM + gap : 0
  const specimens = kinds.map((kind, n): Specimen => {
    const width = widths[n]!
    const middle = plate ? at + width / 2 : seamMm * (kinds.length === 4 ? (n + 0.5) / 4 : (n + 0.25) / kinds.length)
    at += width + gap
    return { id: `${kind}-${n + 1}`, kind, fromMm: middle - width / 2, toMm: middle + width / 2 }
  })
  return { specimens, seamMm, clause, remembered, places: { clause: plate ? 'figures of the standard coupons' : 'four at 45 degrees', remembered: 'check before it decides' } }
}

/** Former for a bend by the steel's yield strength. Lengths inches beside millimetres as printed. */
export interface Former {
  readonly yieldUpToMpa: number | null
  readonly plungerIn: number
  readonly plungerMm: number
}

/** Source: guided bend jig, structural code, from memory; A over t for 3/8 in is 4, 5 1/3 and 6 2/3. */
export const FORMERS: readonly Former[] = [
  { yieldUpToMpa: 345, plungerIn: 1.5, plungerMm: 38.1 }, { yieldUpToMpa: 620, plungerIn: 2, plungerMm: 50.8 }, { yieldUpToMpa: null, plungerIn: 2.5, plungerMm: 63.5 },
]

/** The plunger for a steel. At 345 MPa (50 ksi) the first row still holds; at 620 (90 ksi) the last does. @example formerFor(345).plungerIn // 1.5 */
export const formerFor = (yieldMpa: number): Former => (yieldMpa <= 345 ? FORMERS[0]! : yieldMpa < 620 ? FORMERS[1]! : FORMERS[2]!)
