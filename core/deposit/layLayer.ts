import { mean } from '../statistics'
import type { JointSection } from './jointSection'
import { layBead, type Surface } from './layBead'
import { better, reachable } from './rodReach'
import { crownOf, spread } from './stackShape'
import type { StackRole, StackState } from './stackState'

/** Attempts at bringing a layer where it is wanted. */
export const TRIES = 7
/** As near to a wanted reach as a sample of the section tells, mm. */
const NEAR_MM = 0.08

/** Aims are moved by this share of what they fell short, at first; by less and less with each attempt. */
const DAMPED = { first: 0.8, less: 0.5 } as const
/** A layer is level when its beads stand within this much of each other, mm: too little to be seen. */
const LEVEL_MM = 0.4
/** A bead that stands this much over its neighbour is as bad as an edge that is missed by its share of it. */
const UNEVEN = 0.5
/** Beads of one layer lap each other by this share. Common practice. */
const LAYER_OVERLAP = 0.15

/** Section between the surface and a level, between two places. */
export function areaUnder({ height, gridMm, leftMm }: Surface, level: number, fromMm: number, toMm: number): number {
  let sum = 0
  for (let n = 0; n < height.length; n++) {
    const x = leftMm + n * gridMm
    if (x >= fromMm && x <= toMm) sum += Math.max(0, level - height[n]!) * gridMm
  }
  return sum
}

/** Where the bare joint is as wide as this level, mm to either side. */
export function halfWidthAt({ floor, gridMm, leftMm }: JointSection, level: number): number {
  const middle = Math.round(-leftMm / gridMm)
  let n = middle
  while (n < floor.length - 1 && floor[n]! < level) n++
  return (n - middle) * gridMm
}

/**
 * Lays beads so that the first and the last reach as far out as is wanted: their aims are moved by what they fell
 * short, the others between.
 * A bead may jump as it takes hold of an edge, so the nearest of some tries is kept.
 */
export function layToReach(
  state: StackState,
  role: StackRole,
  aims: readonly number[],
  areaMm2: number,
  reachMm: number,
): StackState {
  let wanted = aims
  let metal: readonly number[] = aims.map(() => areaMm2)
  let nearest: { readonly laid: StackState; readonly off: number } | null = null
  for (let n = 0; n < TRIES; n++) {
    const laid = layBeads(state, role, wanted, metal)
    const fresh = laid.beads.slice(state.beads.length)
    const shortLeft = reachMm + Math.min(...fresh.map(bead => bead.fromMm))
    const shortRight = reachMm - Math.max(...fresh.map(bead => bead.toMm))
    const tops = fresh.map(bead => bead.topMm)
    const uneven = Math.max(...tops) - Math.min(...tops)
    const reach = Math.max(Math.abs(shortLeft), Math.abs(shortRight))
    const off = Math.max(reach, UNEVEN * uneven)
    if (!nearest || off < nearest.off) nearest = { laid, off }
    if (reach < NEAR_MM && uneven < LEVEL_MM) break
    metal = levelled(metal, tops)
    const last = wanted.length - 1
    const damped = DAMPED.first - DAMPED.less * (n / TRIES)
    wanted = wanted.map(
      (aim, index) =>
        aim +
        (last === 0 ? (shortRight - shortLeft) / 2 : (-shortLeft * (last - index) + shortRight * index) / last) *
          damped,
    )
  }
  return nearest!.laid
}

/** How much of a difference in height is taken back at a time. */
const LEVELLING = 0.3
/** And how much of a bead, at most. */
const MOST_MOVED = 0.15

/**
 * Metal moved from the beads that stand higher to those that lie lower: the last bead of a cap, with no valley
 * left, is run a little cooler.
 */
function levelled(metal: readonly number[], tops: readonly number[]): number[] {
  const level = mean(tops)
  const moved = metal.map(
    (area, index) => area * Math.min(1 + MOST_MOVED, Math.max(1 - MOST_MOVED, 1 + LEVELLING * (level - tops[index]!))),
  )
  const scale = metal.reduce((sum, area) => sum + area, 0) / moved.reduce((sum, area) => sum + area, 0)
  return moved.map(area => area * scale)
}

/** One layer up to a level, in a number of beads of equal metal. */
export function layLayer(state: StackState, role: StackRole, level: number, count: number): StackState {
  const half = halfWidthAt(state.section, level)
  const metal = areaUnder(state.surface, level, -half, half)
  return layBeads(
    state,
    role,
    spread(count, 2 * half, count > 1 ? LAYER_OVERLAP : 0),
    Array.from({ length: count }, () => metal / count),
  )
}

export function layBeads(
  state: StackState,
  role: StackRole,
  aims: readonly number[],
  metal: readonly number[],
): StackState {
  let { surface, beads } = state
  const layer = state.layers.length + 1
  for (const [index, wanted] of aims.entries()) {
    const number = beads.length + 1
    const areaMm2 = metal[index]!
    const byHand = state.planner.aims?.[number]
    const checked = index < aims.length - 1 && role !== 'cap'
    const place = (aimMm: number) => {
      const laid = layBead(surface, aimMm, areaMm2, crownOf(areaMm2))
      return { ...laid, tight: checked && !reachable(laid.surface, laid.bead, state) }
    }
    const first = place(byHand ?? wanted)
    const betterAimMm = first.tight ? better(surface, byHand ?? wanted, areaMm2, state) : null
    // What is planned follows its own advice; what a hand has placed stays, with the advice beside it.
    const placed = betterAimMm !== null && byHand === undefined ? place(betterAimMm) : first
    beads = [
      ...beads,
      { ...placed.bead, number, layer, role, tight: placed.tight, betterAimMm: placed === first ? betterAimMm : null },
    ]
    surface = placed.surface
  }
  return { ...state, surface, beads, layers: [...state.layers, { role, beads: aims.length }] }
}
