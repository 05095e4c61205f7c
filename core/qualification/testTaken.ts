import type { LengthUnit } from '../units'
import type { FamilyId } from './codeFamily'

/** What is welded on a test: a groove or a fillet, in plate or pipe. */
export type TestForm = 'plate' | 'pipe'
export type TestWeld = 'groove' | 'fillet'
export const TEST_POSITIONS = ['1G', '2G', '3G', '4G', '5G', '6G', '6GR', '1F', '2F', '2FR', '3F', '4F', '5F'] as const
export type TestPosition = (typeof TEST_POSITIONS)[number]

/** One test, as far as what it qualifies goes. Lengths mm; the house's unit says by which printed value they are held. */
export interface TestTaken {
  readonly family: FamilyId
  readonly form: TestForm
  readonly weld: TestWeld
  readonly position: TestPosition
  readonly thicknessMm: number
  /** Outside diameter of a pipe; null for plate. */
  readonly outsideMm: number | null
  readonly backing: boolean
  readonly progression: 'up' | 'down' | null
  /** Each filler with what it deposited: the whole thickness where there is one. */
  readonly fillers: readonly { readonly classification: string, readonly depositMm: number, readonly layers: number, readonly root: boolean }[]
  readonly unit: LengthUnit
}

/**
 * What is impossible about a test, in words; none when it can be.
 * @example testFaults({ ...pipe, outsideMm: null })[0].path // 'outsideMm'
 */
export function testFaults(test: TestTaken): { readonly path: string, readonly message: string }[] {
  const faults: { path: string, message: string }[] = []
  const say = (path: string, message: string) => faults.push({ path, message })
  const fillet = test.position.includes('F')
  if ((test.weld === 'fillet') !== fillet) say('position', `${test.position} is a position of ${fillet ? 'fillets' : 'grooves'}`)
  if (test.form === 'plate' && /^(5|6|2FR)/.test(test.position)) say('position', `${test.position} is a position of pipe`)
  if (test.form === 'pipe' && /^(3|4G)/.test(test.position)) say('position', `${test.position} is a position of plate`)
  if (!(test.thicknessMm > 0)) say('thicknessMm', 'The thickness is over nothing')
  if (test.form === 'pipe' && test.outsideMm === null) say('outsideMm', 'A pipe has an outside diameter')
  if (test.form === 'plate' && test.outsideMm !== null) say('outsideMm', 'A plate has no diameter')
  if (test.outsideMm !== null && test.thicknessMm * 2 >= test.outsideMm) say('thicknessMm', 'The wall is under half of the outside diameter')
  if (test.fillers.length === 0) say('fillers', 'At least one filler was used')
  const deposited = test.fillers.reduce((sum, filler) => sum + filler.depositMm, 0)
  if (test.weld === 'groove' && Math.abs(deposited - test.thicknessMm) > 1) say('fillers', 'What the fillers deposited adds up to the thickness, without the reinforcement')
  const vertical = /^(3|5|6)/.test(test.position)
  if (vertical && test.progression === null) say('progression', 'Up or down is part of the test')
  if (!vertical && test.progression !== null) say('progression', `${test.position} has no up or down`)
  return faults
}
