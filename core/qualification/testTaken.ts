import { FILLER_RODS, type Process } from '../trade'
import type { LengthUnit } from '../units'
import type { CodeBook } from './codeBook'
import { sizeIn, type Size } from './printedSize'
import type { TestForm, TestPosition, TestWeld } from './testPlace'

/** A filler with what it deposited, without the reinforcement: thickness in mm, and in how many layers. */
export interface FillerUsed {
  readonly classification: string
  readonly depositMm: number
  readonly layers: number
  /** It made the root. */
  readonly root: boolean
}

/** One test, as far as what it qualifies goes. Lengths mm; `unit` says by which printed values they are held. */
export interface TestTaken {
  readonly form: TestForm
  readonly weld: TestWeld
  readonly position: TestPosition
  readonly thicknessMm: number
  /** Outside diameter of a pipe; null for plate. */
  readonly outsideMm: number | null
  readonly backing: boolean
  readonly progression: 'up' | 'down' | null
  readonly fillers: readonly FillerUsed[]
  readonly unit: LengthUnit
}

/** Pipe that is fixed and welded all the way round. */
export const isRound = ({ position }: Pick<TestTaken, 'position'>): boolean => /^[56]/.test(position)

/** The process a filler is welded by. @example processOf('ER70S-2') // 'GTAW' */
export const processOf = (classification: string): Process =>
  FILLER_RODS.some(rod => rod.classification === classification) ? 'GTAW' : 'SMAW'
/** The processes of a test, each once. */
export const processesOf = ({ fillers }: Pick<TestTaken, 'fillers'>): Process[] => [
  ...new Set(fillers.map(filler => processOf(filler.classification))),
]

/** In which unit a book reads a test. */
export const unitFor = (book: Pick<CodeBook, 'unit'>, test: Pick<TestTaken, 'unit'>): LengthUnit =>
  book.unit === 'mm' ? 'mm' : test.unit
/** Thickness and outside diameter of a test as a book reads them. */
export const thicknessIn = (book: CodeBook, test: TestTaken): Size => sizeIn(test.thicknessMm, unitFor(book, test))
export const outsideIn = (book: CodeBook, test: TestTaken): Size | null =>
  test.outsideMm === null ? null : sizeIn(test.outsideMm, unitFor(book, test))

/**
 * What is impossible about a test, in words; none when it can be.
 * @example testFaults({ ...pipe, outsideMm: null })[0].path // 'outsideMm'
 */
export function testFaults(test: TestTaken): { readonly path: string; readonly message: string }[] {
  const faults: { path: string; message: string }[] = []
  const say = (path: string, message: string) => faults.push({ path, message })
  const fillet = test.position.includes('F')
  if ((test.weld === 'fillet') !== fillet)
    say('position', `${test.position} is a position of ${fillet ? 'fillets' : 'grooves'}`)
  if (test.form === 'plate' && /^(5|6|2FR)/.test(test.position))
    say('position', `${test.position} is a position of pipe`)
  if (test.form === 'pipe' && /^(3|4G)/.test(test.position)) say('position', `${test.position} is a position of plate`)
  if (!(test.thicknessMm > 0)) say('thicknessMm', 'The thickness is over nothing')
  if (test.form === 'pipe' && test.outsideMm === null) say('outsideMm', 'A pipe has an outside diameter')
  if (test.form === 'plate' && test.outsideMm !== null) say('outsideMm', 'A plate has no diameter')
  if (test.outsideMm !== null && test.thicknessMm * 2 >= test.outsideMm)
    say('thicknessMm', 'The wall is under half of the outside diameter')
  if (test.fillers.length === 0) say('fillers', 'At least one filler was used')
  const deposited = test.fillers.reduce((sum, filler) => sum + filler.depositMm, 0)
  if (test.weld === 'groove' && Math.abs(deposited - test.thicknessMm) > 1)
    say('fillers', 'What the fillers deposited adds up to the thickness, without the reinforcement')
  const vertical = /^[356]/.test(test.position)
  if (vertical && test.progression === null) say('progression', 'Up or down is part of the test')
  if (!vertical && test.progression !== null) say('progression', `${test.position} has no up or down`)
  return faults
}
