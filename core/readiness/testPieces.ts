import { usualPiece, type Piece } from '../coupon'
import { inches } from '../units'
import { positionOf, type PositionId, type Travel } from '../trade'

/** A strip that is cut from a test piece and bent: face or root outward, or a slice on its side. Places along the seam, mm. */
export interface BendStrip {
  readonly bend: 'face' | 'root' | 'side'
  readonly fromMm: number
  readonly toMm: number
}

/** A test piece as schools run it. */
export interface TestPiece {
  readonly id: string
  readonly name: string
  readonly position: PositionId
  readonly travel: Travel
  readonly piece: Piece
  readonly classification: string
  readonly diameterMm: number
  /** How each strip lies, as a share of the seam's length, and how wide it is. */
  readonly strips: readonly { readonly bend: BendStrip['bend'], readonly at: number }[]
  readonly stripMm: number
}

/** One face and one root bend, each in the middle of its half: an inch or so at either end is thrown away. */
const PLATE = [{ bend: 'face', at: 0.3 }, { bend: 'root', at: 0.7 }] as const
const TWO = [{ bend: 'face', at: 0.125 }, { bend: 'root', at: 0.625 }] as const
/** At 45, 135, 225 and 315 degrees, root and face in turn. */
const FOUR = [{ bend: 'root', at: 0.125 }, { bend: 'face', at: 0.375 }, { bend: 'root', at: 0.625 }, { bend: 'face', at: 0.875 }] as const

const plate = (position: PositionId, open: boolean): TestPiece => ({
  id: `${open ? 'open-root' : 'plate'}-${position.toLowerCase()}`, name: `${position} plate, 3/8 in, ${open ? 'open root' : 'backing'}`, position, travel: positionOf(position).travel[0]!,
  piece: usualPiece('plate groove', open), classification: 'E7018', diameterMm: inches(1 / 8), strips: PLATE, stripMm: inches(1.5),
})
const pipe = (position: PositionId, size: string, diameterMm: number): TestPiece => ({
  id: `pipe-${size.split(' ')[0]}-${position.toLowerCase()}`, name: `${position} pipe, NPS ${size}`, position, travel: positionOf(position).travel[0]!,
  piece: { ...usualPiece('pipe butt'), pipe: size } as Piece, classification: 'E7018', diameterMm,
  strips: position === '2G' ? TWO : FOUR, stripMm: inches(size.startsWith('2') ? 1 : 1.5),
})

/**
 * Test pieces that schools run. Source: structural and pressure codes' usual welder test pieces and where their strips are cut, from memory, check your copy;
 * the code in force and the qualified inspector decide.
 */
export const TEST_PIECES: readonly TestPiece[] = [
  ...(['2G', '3G', '4G'] as const).map(position => plate(position, false)),
  ...(['3G', '4G'] as const).map(position => plate(position, true)),
  pipe('2G', '2 Sch 80', inches(3 / 32)), pipe('5G', '2 Sch 80', inches(3 / 32)), pipe('6G', '2 Sch 80', inches(3 / 32)), pipe('6G', '6 Sch 80', inches(1 / 8)),
]

/** The test piece with this id. @throws RangeError when there is none */
export function testPieceOf(id: string): TestPiece {
  const found = TEST_PIECES.find(piece => piece.id === id)
  if (!found) throw new RangeError(`No test piece "${id}"; there are ${TEST_PIECES.map(piece => piece.id).join(', ')}`)
  return found
}
