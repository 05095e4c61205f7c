import { isFixedPipe, type PositionId } from '../trade'
import type { Bead } from './document'
import type { Pass } from './pass'
import { showsRoot, type Piece } from './piece'
import { stripOf } from './strip'

/** No bead is drawn narrower, however many are said to share a layer, mm. */
const NARROWEST_MM = 1.5
/** Overlap of two beads of one layer, as drawn. */
const LAPPED = 0.3
/** Id of the lane on which an open root is read from its own side. */
export const ROOT_SIDE = 'root-side'

/**
 * The lanes of a joint's passes, in the order they are laid, the root side before them all. Each layer spans its
 * share of the way from root to cap;
 * on a fixed pipe a pass is two lanes, from 6 to 12 up each half, the right half first.
 * @throws RangeError for a pipe that is not kept
 * @example layPasses(pipe, passes, '6G').map(bead => bead.id) // ['root-side', 'p1-right', 'p1-left', 'p2-right', ...]
 */
export function layPasses(piece: Piece, passes: readonly Pass[], position: PositionId): Bead[] {
  const strip = stripOf(piece)
  const halves = isFixedPipe(position)
    ? [
        { name: '-right', fromMm: 0, toMm: strip.lengthMm / 2 },
        { name: '-left', fromMm: strip.lengthMm / 2, toMm: strip.lengthMm },
      ]
    : [{ name: '', fromMm: 0, toMm: strip.lengthMm }]
  const middle = strip.widthMm / 2
  const lanes = passes.flatMap(pass => {
    const { offsetMm, widthMm } = acrossOf(pass, passes, strip)
    return halves.map(({ name, fromMm, toMm }): Bead => ({
      id: `${pass.id}${name}`,
      passId: pass.id,
      face: pass.face,
      offsetMm: middle + offsetMm,
      widthMm,
      fromMm,
      toMm,
    }))
  })
  const root = passes.find(pass => pass.role === 'root' || pass.role === 'single')
  if (!showsRoot(piece) || !root) return lanes
  return [
    {
      id: ROOT_SIDE,
      passId: root.id,
      face: 'root',
      offsetMm: middle,
      widthMm: strip.rootMm,
      fromMm: 0,
      toMm: strip.lengthMm,
    },
    ...lanes,
  ]
}

/** Where a pass lies across its face: the beads of a layer share the width that the joint has there, lowest first. */
function acrossOf(
  pass: Pass,
  passes: readonly Pass[],
  { rootMm, faceMm }: { rootMm: number; faceMm: number },
): { offsetMm: number; widthMm: number } {
  const side = passes.filter(one => one.face === pass.face)
  const top = Math.max(...side.map(one => one.layer))
  const layerMm = top === 1 ? faceMm : rootMm + ((faceMm - rootMm) * (pass.layer - 1)) / (top - 1)
  const layer = side.filter(one => one.layer === pass.layer)
  const widthMm = layerMm / (1 + (layer.length - 1) * (1 - LAPPED))
  return {
    widthMm: Math.max(NARROWEST_MM, widthMm),
    offsetMm: -layerMm / 2 + widthMm / 2 + layer.indexOf(pass) * widthMm * (1 - LAPPED),
  }
}
