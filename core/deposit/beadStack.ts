import { mean } from '../statistics'
import { stepsToCover } from '../units'
import type { PadPosition } from '../trade'
import { jointSection, type JointSection, type JointShape } from './jointSection'
import { layBead, type LaidBead, type Surface } from './layBead'

export type StackRole = 'root' | 'fill' | 'cap' | 'single'

/** How a joint is to be filled. Lengths mm. */
export interface StackPlanner {
  readonly shape: JointShape
  readonly position: PadPosition
  /** Core diameter of the rod that fills, and of the one that roots. */
  readonly coreMm: number
  readonly rootCoreMm: number
  /** Beads no wider than a stringer, whatever the position. */
  readonly stringersOnly: boolean
  /** Overlap on the last bead, a share. */
  readonly overlap: number
  /** How far under flush the fill stops. */
  readonly stopUnderMm: number
  /** How far the cap may go beyond each bevel edge. */
  readonly capBeyondMm: number
  readonly reinforcementMm: { readonly low: number; readonly high: number }
  /** Aims moved by hand: bead number, from 1, to mm from the middle. */
  readonly aims?: Readonly<Record<number, number>>
}

export interface StackBead extends LaidBead {
  readonly number: number
  readonly layer: number
  readonly role: StackRole
  /** A slot beside it is too narrow for the rod to reach the bottom of. */
  readonly tight: boolean
  /**
   * Where a tight bead should have been aimed instead, mm from the middle; null when it is not tight, or no aim is
   * better.
   */
  readonly betterAimMm: number | null
}

export interface StackPlan {
  readonly section: JointSection
  readonly beads: readonly StackBead[]
  readonly layers: readonly { readonly role: StackRole; readonly beads: number }[]
  /** Deepest place under flush before the cap, mm. */
  readonly underFlushMm: number
  /** How far the cap lies beyond the edges, mm; less than 0 when an edge is left open. */
  readonly beyondLeftMm: number
  readonly beyondRightMm: number
  readonly reinforcementMm: number
  /** Legs of a fillet, mm; null for a groove. */
  readonly legsMm: readonly [lower: number, upper: number] | null
  /** Metal in all beads, mm². */
  readonly areaMm2: number
}

/** Layers are about as high as this many cores, and beads no wider than this many. Common practice. */
const LAYER_CORES = 1.25
const WEAVE_CORES = 3.75
const STRINGER_CORES = 3
/** A root on backing or land stands about this many cores high. Common practice. */
const ROOT_CORES = 1.3
/** Width of a free bead over its height. Common practice: 1/4 in wide, 3/32 high. */
const FREE_SHAPE = 2.7
/** A rod reaches a bottom when the slot, half a core above it, is at least this many cores wide. Common practice. */
const REACH_CORES = 1

/** Widest bead for a position: a weave is held up flat and vertical; overhead and horizontal it sags. */
function widestBead({ position, coreMm, stringersOnly }: StackPlanner): number {
  const weave = !stringersOnly && (position === '1G' || position === '3G')
  return coreMm * (weave ? WEAVE_CORES : STRINGER_CORES)
}

const crownOf = (areaMm2: number) => {
  const widthMm = Math.sqrt(1.5 * areaMm2 * FREE_SHAPE)
  return (4 * (widthMm / FREE_SHAPE)) / widthMm ** 2
}

/**
 * Plans the beads of a joint: root, fill and cap, in order, each with its place, its metal and its shape. A fillet
 * is built 1, 2, 3.
 * Every bead is checked ahead: the slot it leaves must let the rod reach the bottom.
 * @throws RangeError when the joint's sizes do not go together
 * @example planStack(twelveMillimetreV).beads.length // 5
 */
export function planStack(planner: StackPlanner): StackPlan {
  const section = jointSection(planner.shape)
  const state: State = {
    planner,
    section,
    surface: { gridMm: section.gridMm, leftMm: section.leftMm, height: section.floor },
    beads: [],
    layers: [],
  }
  const afterFill = planner.shape.kind === 'fillet' ? stackFillet(state) : capGroove(fillGroove(rootGroove(state)))
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

interface State {
  readonly planner: StackPlanner
  readonly section: JointSection
  readonly surface: Surface
  readonly beads: readonly StackBead[]
  readonly layers: readonly { readonly role: StackRole; readonly beads: number }[]
  readonly underFlushMm?: number
}

/**
 * In the turned frame a fillet's plates rise at 45 degrees: a reach of x from the middle is x √2 along the plate
 * from the corner.
 */
const legAt = (reachMm: number, section: JointSection) => {
  const out = Math.abs(reachMm)
  return Math.min(out, section.edgeMm + 100) * Math.SQRT2
}

/** Section between the surface and a level, between two places. */
function areaUnder({ height, gridMm, leftMm }: Surface, level: number, fromMm: number, toMm: number): number {
  let sum = 0
  for (let n = 0; n < height.length; n++) {
    const x = leftMm + n * gridMm
    if (x >= fromMm && x <= toMm) sum += Math.max(0, level - height[n]!) * gridMm
  }
  return sum
}

/** Where the bare joint is as wide as this level, mm to either side. */
function halfWidthAt({ floor, gridMm, leftMm }: JointSection, level: number): number {
  const middle = Math.round(-leftMm / gridMm)
  let n = middle
  while (n < floor.length - 1 && floor[n]! < level) n++
  return (n - middle) * gridMm
}

function rootGroove(state: State): State {
  const { planner, section } = state
  const open = planner.shape.kind !== 'V' || !planner.shape.backing
  const landMm =
    planner.shape.kind === 'V' || planner.shape.kind === 'double V'
      ? planner.shape.groove.landMm
      : planner.shape.kind === 'U'
        ? planner.shape.landMm
        : 0
  const high = Math.min(
    section.depthMm * 0.55,
    open ? landMm + planner.rootCoreMm * 0.7 : planner.rootCoreMm * ROOT_CORES,
  )
  return layLayer(state, 'root', -section.depthMm + high, 1)
}

function fillGroove(state: State): State {
  const { planner, section } = state
  const top = -planner.stopUnderMm
  let next = state
  const left = top - meanHeight(next, planner.coreMm)
  const count = left < planner.coreMm * 0.35 ? 0 : Math.max(1, Math.round(left / (planner.coreMm * LAYER_CORES)))
  for (let n = 0; n < count; n++) {
    const from = meanHeight(next, planner.coreMm)
    const level = from + (top - from) / (count - n)
    const widthMm = 2 * halfWidthAt(section, (from + level) / 2)
    next = layLayer(next, 'fill', level, beadsAcross(widthMm, widestBead(planner), 0))
  }
  const lowest = lowestBetween(next.surface, -section.edgeMm * 0.8, section.edgeMm * 0.8)
  return { ...next, underFlushMm: Math.max(0, -lowest) }
}

/** Beads that span a width, each lapping the last. */
function beadsAcross(widthMm: number, beadMm: number, overlap: number): number {
  return Math.max(1, 1 + stepsToCover(widthMm - beadMm, beadMm * (1 - overlap)))
}

function capGroove(state: State): State {
  const { planner, section } = state
  const widthMm = 2 * (section.edgeMm + planner.capBeyondMm)
  const count = beadsAcross(widthMm, widestBead(planner), planner.overlap)
  const crownMm = (planner.reinforcementMm.low + planner.reinforcementMm.high) / 2
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
    metal *= 0.94
    laid = lay()
  }
  return laid
}

/** A cap is aimed to go this share of what it may beyond each edge. */
const CAP_AIMED = 0.5
const TRIES = 7
/** As near to a wanted reach as a sample of the section tells, mm. */
const NEAR_MM = 0.08

/**
 * Lays beads so that the first and the last reach as far out as is wanted: their aims are moved by what they fell
 * short, the others between.
 * A bead may jump as it takes hold of an edge, so the nearest of some tries is kept.
 */
function layToReach(state: State, role: StackRole, aims: readonly number[], areaMm2: number, reachMm: number): State {
  let wanted = aims
  let metal: readonly number[] = aims.map(() => areaMm2)
  let nearest: { readonly laid: State; readonly off: number } | null = null
  for (let n = 0; n < TRIES; n++) {
    const laid = layBeads(state, role, wanted, metal)
    const fresh = laid.beads.slice(state.beads.length)
    const shortLeft = reachMm + Math.min(...fresh.map(bead => bead.fromMm))
    const shortRight = reachMm - Math.max(...fresh.map(bead => bead.toMm))
    const off = Math.max(Math.abs(shortLeft), Math.abs(shortRight))
    if (!nearest || off < nearest.off) nearest = { laid, off }
    if (off < NEAR_MM) break
    metal = levelled(
      metal,
      fresh.map(bead => bead.topMm),
    )
    const last = wanted.length - 1
    const damped = 0.8 - 0.5 * (n / TRIES)
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
const LEVELLING = 0.12

/**
 * Metal moved from the beads that stand higher to those that lie lower: the last bead of a cap, with no valley
 * left, is run a little cooler.
 */
function levelled(metal: readonly number[], tops: readonly number[]): number[] {
  const level = mean(tops)
  const moved = metal.map(
    (area, index) => area * Math.min(1.15, Math.max(0.85, 1 + LEVELLING * (level - tops[index]!))),
  )
  const scale = metal.reduce((sum, area) => sum + area, 0) / moved.reduce((sum, area) => sum + area, 0)
  return moved.map(area => area * scale)
}

/** Aims of beads across a width, first at the left (lower) side: each covers its share of the last. */
function spread(count: number, widthMm: number, overlap: number): number[] {
  const beadMm = widthMm / (1 + (count - 1) * (1 - overlap))
  return Array.from({ length: count }, (_, n) => -widthMm / 2 + beadMm / 2 + n * beadMm * (1 - overlap))
}

/** One layer up to a level, in so many beads of equal metal. */
function layLayer(state: State, role: StackRole, level: number, count: number): State {
  const half = halfWidthAt(state.section, level)
  const metal = areaUnder(state.surface, level, -half, half)
  return layBeads(
    state,
    role,
    spread(count, 2 * half, count > 1 ? 0.15 : 0),
    Array.from({ length: count }, () => metal / count),
  )
}

function layBeads(state: State, role: StackRole, aims: readonly number[], metal: readonly number[]): State {
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

/**
 * The layers of a 1-2-3 fillet, or the one bead of a small one, with the metal that brings the shorter leg to what
 * is wanted.
 */
function stackFillet(state: State): State {
  const { planner, section } = state
  const one = planner.coreMm ** 2 * (Math.PI / 4) * 2.6
  let layers = 1
  while (((layers * (layers + 1)) / 2) * one < section.areaMm2 * 0.8 && layers < MOST_FILLET_LAYERS) layers++
  let total = section.areaMm2 * 1.08
  let laid = filletLayers(state, layers, total)
  for (let n = 0; n < TRIES; n++) {
    const short = section.edgeMm / shorterReach(laid)
    if (Math.abs(short - 1) < 0.005) break
    total *= short ** 2
    laid = filletLayers(state, layers, total)
  }
  return laid
}

const MOST_FILLET_LAYERS = 6
const longerReach = ({ beads }: State) =>
  Math.max(-Math.min(...beads.map(bead => bead.fromMm)), Math.max(...beads.map(bead => bead.toMm)))
const shorterReach = ({ beads }: State) =>
  Math.min(-Math.min(...beads.map(bead => bead.fromMm)), Math.max(...beads.map(bead => bead.toMm)))

/** Bottom bead first in every layer; each layer reaches as far along both plates as its metal asks for. */
function filletLayers(state: State, layers: number, total: number): State {
  const each = total / ((layers * (layers + 1)) / 2)
  let next = state
  for (let layer = 1; layer <= layers; layer++) {
    const reachMm = Math.sqrt(each * ((layer * (layer + 1)) / 2))
    const role = layers === 1 ? 'single' : layer === 1 ? 'root' : layer === layers ? 'cap' : 'fill'
    next =
      layer === 1
        ? layBeads(next, role, [0], [each])
        : layToReach(next, role, spread(layer, 2 * reachMm, 0.3), each, reachMm)
  }
  return next
}

const meanHeight = ({ surface, section }: State, withinMm: number): number => {
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

/** Whether the rod reaches the bottom of the slots to both sides of a bead. */
function reachable(surface: Surface, bead: LaidBead, { planner, section }: State): boolean {
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
function better(surface: Surface, aimMm: number, areaMm2: number, state: State): number | null {
  for (let step = 1; step <= 30; step++) {
    for (const aim of [aimMm - step * 0.2, aimMm + step * 0.2]) {
      if (Math.abs(aim) > state.section.edgeMm) continue
      const { bead, surface: laid } = layBead(surface, aim, areaMm2, crownOf(areaMm2))
      if (reachable(laid, bead, state)) return aim
    }
  }
  return null
}
