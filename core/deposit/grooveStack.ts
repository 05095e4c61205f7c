import { areaUnder, halfWidthAt, layLayer, layToReach, TRIES } from './layLayer'
import type { Surface } from './layBead'
import { beadsAcross, spread, widestBead } from './stackShape'
import { longerReach, type StackState } from './stackState'

/** Fill layers are about as high as this many cores; less than the second share is left to the cap. Common practice. */
const LAYER_CORES = 1.25
const WORTH_A_LAYER = 0.35
/** A root on backing stands about this many cores high; an open one this many over its land. Common practice. */
const ROOT_CORES = 1.3
const OPEN_ROOT_CORES = 0.7
/** No root is higher than this share of the joint. */
const MOST_ROOT = 0.55
/** Between this share of the edges the fill is looked at for what it lacks of flush. */
const LOOKED_AT = 0.8
/** A cap is aimed to go this share of what it may beyond each edge. */
const CAP_AIMED = 0.5
/** A cap that runs too far over its edges is tried again with this share of its metal. */
const LESS_METAL = 0.94
/** A cap stands no higher over the plate than this share of the joint, where that is less than the house's middle. */
const MOST_CROWN = 0.2

/** Root, fill and cap of a groove. */
export const stackGroove = (state: StackState): StackState => capGroove(fillGroove(rootGroove(state)))

function rootGroove(state: StackState): StackState {
  const { planner, section } = state
  const open = planner.shape.kind !== 'V' || !planner.shape.backing
  const landMm =
    planner.shape.kind === 'V' || planner.shape.kind === 'double V'
      ? planner.shape.groove.landMm
      : planner.shape.kind === 'U'
        ? planner.shape.landMm
        : 0
  const high = Math.min(
    section.depthMm * MOST_ROOT,
    open ? landMm + planner.rootCoreMm * OPEN_ROOT_CORES : planner.rootCoreMm * ROOT_CORES,
  )
  return layLayer(state, 'root', -section.depthMm + high, 1)
}

function fillGroove(state: StackState): StackState {
  const { planner, section } = state
  const top = -planner.stopUnderMm
  let next = state
  const left = top - meanHeight(next, planner.coreMm)
  const count =
    left < planner.coreMm * WORTH_A_LAYER ? 0 : Math.max(1, Math.round(left / (planner.coreMm * LAYER_CORES)))
  for (let n = 0; n < count; n++) {
    const from = meanHeight(next, planner.coreMm)
    const level = from + (top - from) / (count - n)
    const widthMm = 2 * halfWidthAt(section, (from + level) / 2)
    next = layLayer(next, 'fill', level, beadsAcross(widthMm, widestBead(planner), 0))
  }
  const lowest = lowestBetween(next.surface, -section.edgeMm * LOOKED_AT, section.edgeMm * LOOKED_AT)
  return { ...next, underFlushMm: Math.max(0, -lowest) }
}

function capGroove(state: StackState): StackState {
  const { planner, section } = state
  const widthMm = 2 * (section.edgeMm + planner.capBeyondMm)
  const count = beadsAcross(widthMm, widestBead(planner), planner.overlap)
  const { low, high } = planner.reinforcementMm
  const crownMm = Math.max(low, Math.min((low + high) / 2, MOST_CROWN * section.depthMm))
  let metal = areaUnder(state.surface, 0, -section.edgeMm, section.edgeMm) + (2 / 3) * widthMm * crownMm
  const lay = () =>
    layToReach(
      state,
      'cap',
      spread(count, widthMm, planner.overlap),
      metal / count,
      section.edgeMm + planner.capBeyondMm * CAP_AIMED,
    )
  let laid = lay()
  // A cap of one bead spreads as its metal does: with less of it the edges are not run over.
  for (let n = 0; n < TRIES && longerReach(laid) > section.edgeMm + planner.capBeyondMm; n++) {
    metal *= LESS_METAL
    laid = lay()
  }
  return laid
}

const meanHeight = ({ surface, section }: StackState, withinMm: number): number => {
  const { height, gridMm, leftMm } = surface
  const half = Math.min(withinMm, section.edgeMm) / 2
  const inside = height.subarray(Math.ceil((-half - leftMm) / gridMm), Math.floor((half - leftMm) / gridMm) + 1)
  return inside.reduce((sum, y) => sum + y, 0) / inside.length
}

function lowestBetween({ height, gridMm, leftMm }: Surface, fromMm: number, toMm: number): number {
  return height.reduce(
    (least, y, n) => (leftMm + n * gridMm >= fromMm && leftMm + n * gridMm <= toMm ? Math.min(least, y) : least),
    Infinity,
  )
}
