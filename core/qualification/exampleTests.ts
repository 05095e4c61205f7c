import { inches } from '../units'
import type { TestPosition } from './testPlace'
import type { FillerUsed, TestTaken } from './testTaken'

/** Tests as they are taken, for the tests of what they qualify. */
export const used = (depositMm: number, classification = 'E7018', layers = 4): FillerUsed[] => [
  { classification, depositMm, layers, root: true },
]

export const plate = (
  position: TestPosition,
  thicknessMm = inches(3 / 8),
  more: Partial<TestTaken> = {},
): TestTaken => ({
  form: 'plate',
  weld: position.includes('F') ? 'fillet' : 'groove',
  position,
  thicknessMm,
  outsideMm: null,
  backing: true,
  progression: position.startsWith('3') ? 'up' : null,
  fillers: used(thicknessMm),
  unit: 'in',
  ...more,
})
export const pipe = (
  position: TestPosition,
  outsideIn: number,
  wallIn: number,
  more: Partial<TestTaken> = {},
): TestTaken => ({
  form: 'pipe',
  weld: position.includes('F') ? 'fillet' : 'groove',
  position,
  thicknessMm: inches(wallIn),
  outsideMm: inches(outsideIn),
  backing: false,
  progression: /^[56]/.test(position) ? 'up' : null,
  fillers: used(inches(wallIn)),
  unit: 'in',
  ...more,
})
