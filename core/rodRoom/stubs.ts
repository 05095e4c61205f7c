import { STEEL_KG_PER_MM3 } from '../deposit'
import { rodSizeOf } from '../trade'
import { inches } from '../units'

/** Classes of what is left of a rod, in. Under 2 in it is burnt as far as it goes; the longest wait for a stub day. */
export const STUB_CLASSES = [
  { id: 'to 2', name: 'up to 2 in', meanIn: 1.75, keeps: false },
  { id: '2 to 4', name: '2 to 4 in', meanIn: 3, keeps: false },
  { id: '4 to 6', name: '4 to 6 in', meanIn: 5, keeps: true },
  { id: 'over 6', name: 'over 6 in', meanIn: 8, keeps: true },
] as const
export type StubClass = (typeof STUB_CLASSES)[number]['id']
export type Stubs = Partial<Readonly<Record<StubClass, number>>>

/** What the holder grips of a rod is bare. Common practice: about an inch. */
const BARE_MM = inches(1)
/**
 * What a covered length weighs beside its core. From memory: some 15 rods of 1/8 in by 14 in go to the pound, 30 g
 * each, of which the core is 22 g.
 */
const COVERED_TO_CORE = 1.38

/**
 * What one stub of a class weighs, g, taken at the middle of its class: its core, and the covering beyond the grip.
 * @param diameterMm of the core
 * @example stubGrams('4 to 6', inches(1 / 8)) // 10.3
 */
export function stubGrams(stubClass: StubClass, diameterMm: number): number {
  const lengthMm = inches(STUB_CLASSES.find(({ id }) => id === stubClass)!.meanIn)
  const gramsPerMm = 1e3 * STEEL_KG_PER_MM3 * (Math.PI / 4) * rodSizeOf(diameterMm).diameterMm ** 2
  return gramsPerMm * (BARE_MM + COVERED_TO_CORE * (lengthMm - BARE_MM))
}

/**
 * How many stubs of a class a bucket of them is, by what it weighs.
 * @param grams what lies on the scale, without the bucket
 * @throws RangeError where it weighs less than nothing
 * @example stubsWeighed('to 2', inches(1 / 8), 320) // 100
 */
export function stubsWeighed(stubClass: StubClass, diameterMm: number, grams: number): number {
  if (!(grams >= 0)) throw new RangeError('Stubs weigh nothing or more')
  return Math.round(grams / stubGrams(stubClass, diameterMm))
}
