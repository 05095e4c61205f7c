import { stackFillet } from './filletStack'
import { stackGroove } from './grooveStack'
import { jointSection, type JointSection } from './jointSection'
import type { StackPlan, StackPlanner, StackState } from './stackState'

export type { StackBead, StackPlan, StackPlanner, StackRole } from './stackState'

/**
 * Plans the beads of a joint: root, fill and cap, in order, each with its place, its metal and its shape. A fillet
 * is built 1, 2, 3.
 * Every bead is checked ahead: the slot it leaves must let the rod reach the bottom.
 * @throws RangeError when the joint's sizes do not go together
 * @example planStack(twelveMillimetreV).beads.length // 5
 */
export function planStack(planner: StackPlanner): StackPlan {
  const section = jointSection(planner.shape)
  const state: StackState = {
    planner,
    section,
    surface: { gridMm: section.gridMm, leftMm: section.leftMm, height: section.floor },
    beads: [],
    layers: [],
  }
  const afterFill = planner.shape.kind === 'fillet' ? stackFillet(state) : stackGroove(state)
  const underFlushMm = planner.shape.kind === 'fillet' ? 0 : (afterFill.underFlushMm ?? 0)
  const reaches = [
    Math.min(...afterFill.beads.map(bead => bead.fromMm)),
    Math.max(...afterFill.beads.map(bead => bead.toMm)),
  ] as const
  return {
    section,
    beads: afterFill.beads,
    layers: afterFill.layers,
    underFlushMm,
    beyondLeftMm: -section.edgeMm - reaches[0],
    beyondRightMm: reaches[1] - section.edgeMm,
    reinforcementMm: Math.max(...afterFill.beads.map(bead => bead.topMm)),
    legsMm: planner.shape.kind === 'fillet' ? [legAt(reaches[0], section), legAt(reaches[1], section)] : null,
    areaMm2: afterFill.beads.reduce((sum, bead) => sum + bead.areaMm2, 0),
  }
}

/**
 * In the turned frame a fillet's plates rise at 45 degrees: a reach of x from the middle is x √2 along the plate
 * from the corner.
 */
const legAt = (reachMm: number, section: JointSection) => {
  const out = Math.abs(reachMm)
  return Math.min(out, section.edgeMm + ALONG_THE_PLATE_MM) * Math.SQRT2
}
/** A leg is looked for no farther out than this beyond the joint, mm. */
const ALONG_THE_PLATE_MM = 100
