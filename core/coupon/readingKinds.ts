import { filletThroat } from '../deposit'
import { inches } from '../units'
import type { Bead, CouponDocument, ReadingKind } from './document'
import { passOf } from './passCard'
import { hasGroove, isFilletPiece, type Piece } from './piece'
import { stripOf } from './strip'

/** What the two gauge letters read on a lane: W across it, H over it. */
export interface ReadingKinds {
  readonly across: readonly ReadingKind[]
  readonly over: readonly ReadingKind[]
}

/**
 * Which readings a gauge takes on a lane: a bead's width and height; a fillet's legs, throat and convexity; how far a root stands through.
 * @example readingKinds(tee, bead).across // ['upper leg', 'lower leg']
 */
export function readingKinds(piece: Piece, bead: Pick<Bead, 'face'>): ReadingKinds {
  if (bead.face === 'root') return { across: ['width'], over: ['penetration'] }
  if (isFilletPiece(piece)) return { across: ['upper leg', 'lower leg'], over: ['throat', 'convexity'] }
  return { across: ['width'], over: ['height'] }
}

/** Whether a lane is of the last layer on its side: only there are sizes final. */
export function isLastLayer({ passes = [] }: Pick<CouponDocument, 'passes'>, bead: Bead): boolean {
  const pass = passOf({ passes }, bead)
  return pass !== null && bead.face !== 'root' && passes.every(other => other.face !== pass.face || other.layer <= pass.layer)
}

/** What a good weld stands over its plate or through its root, mm. Common practice: 1/16 in. */
const GOOD_CROWN_MM = inches(1 / 16)

/**
 * What a good weld would read on a lane, mm; null where nothing is wanted. On the finished fillet its leg and throat, on a cap its width and crown.
 * @example sizeWanted(tee, bead, 'upper leg') // 6.35
 */
export function sizeWanted(document: Pick<CouponDocument, 'piece' | 'passes'>, bead: Bead, of: ReadingKind): number | null {
  const { piece } = document
  if (bead.face === 'root') return of === 'penetration' ? GOOD_CROWN_MM : null
  if (!isLastLayer(document, bead)) return null
  if (isFilletPiece(piece)) return of === 'throat' ? filletThroat(piece.legMm) : of === 'convexity' ? GOOD_CROWN_MM / 2 : piece.legMm
  if (!hasGroove(piece)) return null
  const [lower, upper] = stripOf(piece).lines
  return of === 'width' ? upper!.offsetMm - lower!.offsetMm : GOOD_CROWN_MM
}

export const READING_KINDS: readonly ReadingKind[] = ['width', 'height', 'upper leg', 'lower leg', 'throat', 'convexity', 'penetration']
