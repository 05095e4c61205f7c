import { inches } from '../units'
import { electrodeOf, type Polarity, type RodFamily } from './electrodes'

export type Process = 'SMAW' | 'GTAW'

/** A bare rod for GTAW roots. */
export interface FillerRod {
  readonly classification: string
  readonly name: string
}

/** Bare rods for GTAW on carbon steel. Source: AWS A5.18, from memory, check your copy; F-No. 6. */
export const FILLER_RODS: readonly FillerRod[] = [
  { classification: 'ER70S-2', name: 'triple deoxidised' },
  { classification: 'ER70S-3', name: 'general' },
  { classification: 'ER70S-6', name: 'more silicon and manganese' },
]

/** Sizes in which it is sold, mm. */
export const FILLER_SIZES: readonly number[] = [inches(1 / 16), inches(3 / 32), inches(1 / 8)]

/** What a GTAW root on pipe is begun with, electrode negative. Source: common practice. */
export const GTAW_ROOT = {
  classification: 'ER70S-2',
  diameterMm: inches(3 / 32),
  currentA: 95,
  lowA: 70,
  highA: 120,
  polarity: 'DCEN',
} as const satisfies { polarity: Polarity } & Record<string, unknown>

/**
 * The family that rates of a rod or a bare wire are counted under.
 * @throws RangeError for a rod that is not kept
 * @example familyOf('E6010') // 'cellulosic'
 */
export function familyOf(classification: string): RodFamily {
  return FILLER_RODS.some(rod => rod.classification === classification)
    ? 'GTAW wire'
    : electrodeOf(classification).family
}
