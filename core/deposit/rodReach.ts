import { layBead, type LaidBead, type Surface } from './layBead'
import type { StackState } from './stackState'
import { crownOf } from './stackShape'

/** A rod reaches a bottom when the slot, half a core above it, is at least this many cores wide. Common practice. */
const REACH_CORES = 1
/** Other aims are looked at in steps of this, and this number to either side, mm. */
const AIM_STEP_MM = 0.2
const AIM_STEPS = 30

/** Whether the rod reaches the bottom of the slots to both sides of a bead. */
export function reachable(surface: Surface, bead: LaidBead, { planner, section }: StackState): boolean {
  return (
    slotOpen(surface, bead, -section.edgeMm, planner.coreMm) && slotOpen(surface, bead, section.edgeMm, planner.coreMm)
  )
}

/**
 * A slot between a bead and an edge of the joint: half a core over its lowest place it is as wide as the rod asks,
 * or the bead is no higher than that.
 */
function slotOpen({ height, gridMm, leftMm }: Surface, bead: LaidBead, edgeMm: number, coreMm: number): boolean {
  const index = (x: number) => Math.min(height.length - 1, Math.max(0, Math.round((x - leftMm) / gridMm)))
  const step = edgeMm > 0 ? 1 : -1
  const end = index(edgeMm)
  let lowest = index(bead.aimMm)
  for (let n = lowest; n !== end; n += step) if (height[n]! < height[lowest]!) lowest = n
  const level = height[lowest]! + coreMm / 2
  if (bead.topMm <= level) return true
  let left = lowest
  let right = lowest
  while (left > 0 && height[left - 1]! < level) left--
  while (right < height.length - 1 && height[right + 1]! < level) right++
  return (right - left) * gridMm >= REACH_CORES * coreMm
}

/** The nearest aim to either side that leaves no slot too narrow; null when there is none. */
export function better(surface: Surface, aimMm: number, areaMm2: number, state: StackState): number | null {
  for (let step = 1; step <= AIM_STEPS; step++) {
    for (const aim of [aimMm - step * AIM_STEP_MM, aimMm + step * AIM_STEP_MM]) {
      if (Math.abs(aim) > state.section.edgeMm) continue
      const { bead, surface: laid } = layBead(surface, aim, areaMm2, crownOf(areaMm2))
      if (reachable(laid, bead, state)) return aim
    }
  }
  return null
}
