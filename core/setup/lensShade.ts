import type { Source } from '../trade'

export interface LensShade {
  /** Never lighter than this. */
  readonly least: number
  /** Where to begin; comfort, not a limit. Null where none is suggested. */
  readonly suggested: number | null
}

export const SHADE_SOURCE: Source = {
  name: 'ANSI Z49.1 and AWS F2.2',
  clause: 'lens shade selector',
  certainty: 'from memory, check your copy',
}

type Row = readonly [below: number, least: number, suggested: number | null]

/** Upper ends of the current ranges, A; the first row's end is not part of it, the others' are. */
const SMAW: readonly Row[] = [
  [60, 7, null],
  [160, 8, 10],
  [250, 10, 12],
  [550, 11, 14],
]
const GTAW: readonly Row[] = [
  [50, 8, 10],
  [150, 8, 12],
  [500, 10, 14],
]

/**
 * Filter shade for an arc. Start dark, go lighter until the puddle is seen, not under the least.
 * Source: ANSI Z49.1 / AWS F2.2, from memory, check your copy.
 * @param currentA arc current, A
 * @throws RangeError outside the table
 * @example lensShade('SMAW', 125) // { least: 8, suggested: 10 }
 */
export function lensShade(process: 'SMAW' | 'GTAW', currentA: number): LensShade {
  const rows = process === 'SMAW' ? SMAW : GTAW
  const most = rows.at(-1)![0]
  if (!(currentA > 0 && currentA <= most)) throw new RangeError(`From 1 to ${most} A`)
  const found = rows.find(([below], index) => (index === 0 ? currentA < below : currentA <= below))!
  return { least: found[1], suggested: found[2] }
}
