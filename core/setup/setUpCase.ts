import type { PadPosition, Polarity, Travel } from '../trade'
import type { Joint, Pass } from './joint'

/** What is to be welded. Lengths mm. */
export interface SetUpCase {
  readonly classification: string
  readonly diameterMm: number
  readonly position: PadPosition
  readonly travel: Travel
  readonly joint: Joint
  readonly pass: Pass
  readonly thicknessMm: number
  readonly polarity: Polarity
  readonly rods: 'new' | 'stubs'
}
