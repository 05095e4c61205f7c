import type { Bead } from './document'
import type { PlatePiece } from './piece'

/** Beads on a pad, from the lower edge up. */
export interface LanePlan {
  readonly count: number
  readonly beadMm: number
  /** Share of the last bead that the next covers, 0 to under 1. */
  readonly overlap: number
}

/**
 * Lays out lanes at even steps, centred on the plate when they do not fill it.
 * @param idOf gives each bead its id from its number, 1 upward
 * @returns beads in the order they are laid; lengths mm
 * @throws RangeError when the lanes do not fit on the plate
 * @example layLanes(piece, { count: 2, beadMm: 10, overlap: 0.4 }, n => `b${n}`)[1].offsetMm - 6 // centre of bead 1
 */
export function layLanes(
  piece: PlatePiece,
  { count, beadMm, overlap }: LanePlan,
  idOf: (number: number) => string,
): Bead[] {
  const step = beadMm * (1 - overlap)
  const covered = beadMm + step * (count - 1)
  if (covered > piece.widthMm + beadMm / 2)
    throw new RangeError(
      `${count} beads of ${beadMm.toFixed(1)} mm do not fit on a plate ${piece.widthMm.toFixed(0)} mm wide`,
    )
  const first = Math.max(0, (piece.widthMm - covered) / 2) + beadMm / 2
  return Array.from({ length: count }, (_, index) => ({
    id: idOf(index + 1),
    offsetMm: first + step * index,
    widthMm: beadMm,
    fromMm: 0,
    toMm: piece.lengthMm,
  }))
}

/**
 * Bare plate between two runs of an arc-strike plate, along it, and between its rows as a share of a bead. Common
 * practice.
 */
const BETWEEN_RUNS_MM = 12.7
const BETWEEN_ROWS = 0.75

/**
 * Lays out the short runs of an arc-strike plate in rows, the lowest row first: strike, a run, stop, again.
 * @param runMm length of each run, mm
 * @returns beads in the order they are run; lengths mm
 * @throws RangeError when that number does not fit on the plate
 * @example layRuns(piece, { count: 6, beadMm: 6, runMm: 25.4 }, n => `b${n}`)[4].offsetMm // the second row, on a
 *   plate 6 in long
 */
export function layRuns(
  piece: PlatePiece,
  { count, beadMm, runMm }: { count: number; beadMm: number; runMm: number },
  idOf: (number: number) => string,
): Bead[] {
  const perRow = Math.max(1, Math.floor((piece.lengthMm + BETWEEN_RUNS_MM) / (runMm + BETWEEN_RUNS_MM)))
  const rows = Math.ceil(count / perRow)
  const step = beadMm * (1 + BETWEEN_ROWS)
  const high = beadMm + step * (rows - 1)
  if (runMm > piece.lengthMm || high > piece.widthMm)
    throw new RangeError(
      `${count} runs of ${runMm.toFixed(0)} mm do not fit on a plate of ${piece.lengthMm.toFixed(0)} by ${piece.widthMm.toFixed(0)} mm`,
    )
  const along = Math.min(count, perRow)
  const left = (piece.lengthMm - along * runMm - (along - 1) * BETWEEN_RUNS_MM) / 2
  return Array.from({ length: count }, (_, index) => {
    const fromMm = left + (index % perRow) * (runMm + BETWEEN_RUNS_MM)
    return {
      id: idOf(index + 1),
      offsetMm: (piece.widthMm - high) / 2 + beadMm / 2 + Math.floor(index / perRow) * step,
      widthMm: beadMm,
      fromMm,
      toMm: fromMm + runMm,
    }
  })
}
