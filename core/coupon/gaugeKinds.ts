import type { Bead, CouponDocument, GaugeKind } from './document'
import { passOf } from './passCard'
import { isFilletPiece, isPlate, type Piece } from './piece'

/** What the two gauge letters read on a lane: W across it, H over it. */
export interface GaugeKinds {
  readonly across: readonly GaugeKind[]
  readonly over: readonly GaugeKind[]
}

/**
 * Which readings a gauge takes on a lane: a bead's width, its line and its height; a fillet's legs, throat and
 * convexity; how far a root stands through.
 * @example gaugeKinds(tee, bead).across // ['upper leg', 'lower leg']
 */
export function gaugeKinds(piece: Piece, bead: Pick<Bead, 'face'>): GaugeKinds {
  if (bead.face === 'root') return { across: ['width'], over: ['penetration'] }
  if (isFilletPiece(piece)) return { across: ['upper leg', 'lower leg'], over: ['throat', 'convexity'] }
  return { across: isPlate(piece) ? ['width', 'edge to toe'] : ['width'], over: ['height'] }
}

/** Whether a lane is of the last layer on its side: only there are sizes final. */
export function isLastLayer({ passes = [] }: Pick<CouponDocument, 'passes'>, bead: Bead): boolean {
  const pass = passOf({ passes }, bead)
  return (
    pass !== null &&
    bead.face !== 'root' &&
    passes.every(other => other.face !== pass.face || other.layer <= pass.layer)
  )
}

export const GAUGE_KINDS: readonly GaugeKind[] = [
  'width',
  'edge to toe',
  'height',
  'upper leg',
  'lower leg',
  'throat',
  'convexity',
  'penetration',
]
