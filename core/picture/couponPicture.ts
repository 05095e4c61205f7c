import type { Piece } from '../coupon'
import { isPipe, isPlate, showsRoot, stripOf } from '../coupon'
import { pipeOf, QUADRANTS } from '../trade'
import { inches } from '../units'
import type { Corners } from './plane'

/** Which side of the coupon a picture shows. */
export const PICTURE_SIDES = ['face', 'root'] as const
export type PictureSide = (typeof PICTURE_SIDES)[number]

/** When it was taken. */
export const PICTURE_STATES = ['slag on', 'slag off'] as const
export type PictureState = (typeof PICTURE_STATES)[number]

/** The quarters of a pipe, by the way its strip runs. */
export const QUARTERS = [0, 1, 2, 3] as const
export type Quarter = (typeof QUARTERS)[number]

/**
 * Where the coupon lies on a picture. The corners are those of the steel, px, by the lying strip: start of the beads
 * above, their end above, their end below, their start below.
 */
export interface PictureLies {
  readonly corners: Corners
  /** The width of the steel between the upper corners and the lower ones, mm. */
  readonly acrossMm: number
  /** The quarter of a pipe that is seen from square before it; null on a plate. */
  readonly quarter: Quarter | null
}

/** What a picture shows. */
export interface PictureShows {
  readonly side: PictureSide
  readonly state: PictureState
  /** Null until the corners were set. */
  readonly lies: PictureLies | null
}

/** Two plates of 3 in side by side, or two nipples of pipe: common practice. */
const TWO_HALVES_MM = inches(6)

/** Width of the steel that a picture is taken of, unless it is said, mm. */
export const usualAcrossMm = (piece: Piece): number => (isPlate(piece) ? piece.widthMm : TWO_HALVES_MM)

/** Narrowest and widest steel between the corners, mm. */
export const LEAST_ACROSS_MM = 10
export const MOST_ACROSS_MM = 1000

/** Most pictures of one coupon: each quarter of a pipe with and without slag, its root side, and one over. */
export const MOST_PICTURES = 12

/** The part of a strip that a picture covers, mm along it: all of a plate, a quarter of a pipe. */
export function spanOf(piece: Piece, quarter: Quarter | null): { readonly fromMm: number; readonly toMm: number } {
  const { lengthMm } = stripOf(piece)
  if (quarter === null) return { fromMm: 0, toMm: lengthMm }
  return { fromMm: (quarter * lengthMm) / 4, toMm: ((quarter + 1) * lengthMm) / 4 }
}

/** The radius of the pipe that is seen, mm; null on a plate. @throws RangeError for a pipe that is not kept */
export const radiusOf = (piece: Piece): number | null => (isPipe(piece) ? pipeOf(piece.pipe).outsideMm / 2 : null)

/** Sides of a coupon that can be taken: the root where it is there to be seen, from the back of a plate. */
export const sidesOf = (piece: Piece): readonly PictureSide[] =>
  showsRoot(piece) && !isPipe(piece) ? PICTURE_SIDES : ['face']

/**
 * What a picture shows, in words.
 * @example sayPicture({ side: 'face', state: 'slag off', lies: null }) // 'Face, slag off'
 */
export function sayPicture({ side, state, lies }: PictureShows): string {
  const quarter = lies?.quarter ?? null
  const what = quarter === null ? (side === 'root' ? 'Root side' : 'Face') : `${QUADRANTS[quarter]} o’clock`
  return `${what}, ${state}`
}

/**
 * The picture of the same part of a coupon with its slag on, for one with its slag off, or the other way round: the
 * last of them; null where there is none.
 * @example besideOf([slagOn, slagOff], slagOff) // slagOn
 */
export function besideOf<P extends PictureShows>(
  pictures: readonly P[],
  { side, state, lies }: PictureShows,
): P | null {
  const like = (one: P) =>
    one.side === side && one.state !== state && one.lies !== null && one.lies.quarter === (lies?.quarter ?? null)
  return pictures.findLast(like) ?? null
}

/**
 * The picture that says most of a coupon: its face, chipped, the last one taken; null where no corners were set.
 * @example tellingOf([slagOn, root, slagOff]) // slagOff
 */
export function tellingOf<P extends PictureShows>(pictures: readonly P[]): P | null {
  const worth = ({ side, state }: PictureShows) => (side === 'face' ? 2 : 0) + (state === 'slag off' ? 1 : 0)
  const best = (chosen: P | null, one: P) => (chosen === null || worth(one) >= worth(chosen) ? one : chosen)
  return pictures.filter(one => one.lies !== null).reduce<P | null>(best, null)
}
