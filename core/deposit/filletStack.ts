import { layBeads, layToReach, TRIES } from './layLayer'
import { spread } from './stackShape'
import { shorterReach, type StackState } from './stackState'

/** A bead of a fillet lays about this many core sections. Common practice. */
const CORES_A_BEAD = 2.6
/** One layer less is enough when it lays this share of the section; convexity asks for this much more. */
const ENOUGH = 0.8
const CONVEXITY = 1.08
/** Beads of a layer lap each other by this share. Common practice. */
const FILLET_OVERLAP = 0.3
/** Legs within this share of what is wanted are reached. */
const LEG_EXACT = 0.005
const MOST_FILLET_LAYERS = 6

/**
 * The layers of a 1-2-3 fillet, or the one bead of a small one, with the metal that brings the shorter leg to what
 * is wanted.
 */
export function stackFillet(state: StackState): StackState {
  const { planner, section } = state
  const one = planner.coreMm ** 2 * (Math.PI / 4) * CORES_A_BEAD
  let layers = 1
  while (((layers * (layers + 1)) / 2) * one < section.areaMm2 * ENOUGH && layers < MOST_FILLET_LAYERS) layers++
  let total = section.areaMm2 * CONVEXITY
  let laid = filletLayers(state, layers, total)
  for (let n = 0; n < TRIES; n++) {
    const short = section.edgeMm / shorterReach(laid)
    if (Math.abs(short - 1) < LEG_EXACT) break
    total *= short ** 2
    laid = filletLayers(state, layers, total)
  }
  return laid
}

/** Bottom bead first in every layer; each layer reaches as far along both plates as its metal asks for. */
function filletLayers(state: StackState, layers: number, total: number): StackState {
  const each = total / ((layers * (layers + 1)) / 2)
  let next = state
  for (let layer = 1; layer <= layers; layer++) {
    const reachMm = Math.sqrt(each * ((layer * (layer + 1)) / 2))
    const role = layers === 1 ? 'single' : layer === 1 ? 'root' : layer === layers ? 'cap' : 'fill'
    next =
      layer === 1
        ? layBeads(next, role, [0], [each])
        : layToReach(next, role, spread(layer, 2 * reachMm, FILLET_OVERLAP), each, reachMm)
  }
  return next
}
