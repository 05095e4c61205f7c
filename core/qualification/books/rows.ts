import {
  ALL_WELDED,
  type Clause,
  type FillerRow,
  type PositionRow,
  type RangeRow,
  type Remembered,
  type SpecimenKind,
  type TogetherRow,
  type Welded,
} from '../codeBook'
import type { TestForm, TestPosition } from '../testPlace'

/** Short ways to write a book's rows. */
export const from = (clause: string, remembered: Remembered = 'sure'): Clause => ({ clause, remembered })

const of = (letters: string): Welded[] => ALL_WELDED.filter(letter => letters.includes(letter))
/** Letters of what is covered: `FHV`. */
export interface Letters {
  readonly plateGroove?: string
  readonly pipeGroove?: string
  readonly fillet?: string
}
const coverage = ({ plateGroove = '', pipeGroove = '', fillet = '' }: Letters) => ({
  plateGroove: of(plateGroove),
  pipeGroove: of(pipeGroove),
  fillet: of(fillet),
})

export const position = (
  form: TestForm,
  place: TestPosition,
  covers: Letters,
  source: Clause,
  progression: PositionRow['progression'] = null,
): PositionRow => ({ form, position: place, progression, ...coverage(covers), ...source })
export const together = (
  form: TestForm,
  positions: readonly TestPosition[],
  covers: Letters,
  source: Clause,
): TogetherRow => ({ form, positions, ...coverage(covers), ...source })

/** A row of sizes that holds for any test, until it is narrowed. */
export const sizes = (row: Partial<RangeRow>, source: Clause): RangeRow => ({
  form: 'any',
  weld: 'any',
  when: {},
  outside: {},
  layers: 0,
  least: null,
  most: null,
  says: '',
  ...row,
  ...source,
})

export const filler = (
  tested: string,
  backing: FillerRow['backing'],
  withBacking: string,
  openRoot: string,
  source: Clause,
): FillerRow => {
  const list = (groups: string) => groups.split(' ').filter(Boolean)
  return { tested, backing, withBacking: list(withBacking), openRoot: list(openRoot), ...source }
}

/** Two of each bend for pipe that is welded all the way round: root and face in turn, or slices. */
export const FACE_AND_ROOT: readonly SpecimenKind[] = ['face', 'root']
export const ROUND_FACE_AND_ROOT: readonly SpecimenKind[] = ['root', 'face', 'root', 'face']
export const TWO_SIDES: readonly SpecimenKind[] = ['side', 'side']
export const FOUR_SIDES: readonly SpecimenKind[] = ['side', 'side', 'side', 'side']
