import type { PadPosition, Polarity, Travel } from '../trade'
import type { Joint, CardPass } from './joint'

/** What is to be welded. Lengths mm. */
export interface SetUpCase {
  readonly classification: string
  readonly diameterMm: number
  /** As printed on the box; absent where it was not said. */
  readonly make?: string
  readonly position: PadPosition
  readonly travel: Travel
  readonly joint: Joint
  readonly pass: CardPass
  readonly thicknessMm: number
  readonly polarity: Polarity
  readonly rods: 'new' | 'stubs'
}
