import { inches } from '../units'
import type { Source } from './source'

export const PIPE_SOURCE: Source = { name: 'ASME B36.10M', certainty: 'from memory, check your copy' }

export interface PipeSize {
  /** `6 Sch 80`. */
  readonly name: string
  readonly nps: number
  readonly schedule: number
  readonly outsideMm: number
  readonly wallMm: number
}

const pipe = (nps: number, outside: number, walls: Readonly<Record<number, number>>): PipeSize[] =>
  Object.entries(walls).map(([schedule, wall]) => ({
    name: `${nps} Sch ${schedule}`,
    nps,
    schedule: Number(schedule),
    outsideMm: inches(outside),
    wallMm: inches(wall),
  }))

/**
 * Pipe a school welds: nominal size in inches, outside diameter and wall. Source: ASME B36.10M, from memory, check
 * your copy.
 */
export const PIPE_SIZES: readonly PipeSize[] = [
  ...pipe(2, 2.375, { 40: 0.154, 80: 0.218, 160: 0.344 }),
  ...pipe(3, 3.5, { 40: 0.216, 80: 0.3 }),
  ...pipe(4, 4.5, { 40: 0.237, 80: 0.337 }),
  ...pipe(6, 6.625, { 40: 0.28, 80: 0.432, 120: 0.562 }),
  ...pipe(8, 8.625, { 40: 0.322, 80: 0.5 }),
]

/**
 * The pipe of this name.
 * @throws RangeError naming the pipes there are
 * @example pipeOf('6 Sch 80').outsideMm // 168.275
 */
export function pipeOf(name: string): PipeSize {
  const found = PIPE_SIZES.find(size => size.name === name)
  if (!found) throw new RangeError(`No pipe "${name}"; there are ${PIPE_SIZES.map(size => size.name).join(', ')}`)
  return found
}
