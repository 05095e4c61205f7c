import type { HouseRules } from '../house'
import { wantedWidth } from '../house'
import { beadArea, filletArea, type StackPlan, type StackRole } from '../deposit'
import { mean } from '../statistics'
import { inches } from '../units'
import { houseStack, OPEN_ROOT_ROD } from './houseStack'
import type { PadPosition } from '../trade'

export const JOINTS = [
  'pad',
  'square butt',
  'T',
  'lap',
  'outside corner',
  'edge',
  'V, backing',
  'V, open root',
] as const
export type Joint = (typeof JOINTS)[number]

/** Which bead of a joint is run. A bead on plate has only one kind. */
export const PASSES: Readonly<Record<Joint, readonly CardPass[]>> = {
  'pad': ['bead'],
  'square butt': ['bead'],
  'T': ['first', 'second', 'third'],
  'lap': ['bead'],
  'outside corner': ['bead'],
  'edge': ['bead'],
  'V, backing': ['root', 'fill', 'cap'],
  'V, open root': ['root', 'hot', 'fill', 'cap'],
}
export type CardPass = 'bead' | 'first' | 'second' | 'third' | 'root' | 'hot' | 'fill' | 'cap'

export const isFillet = (joint: Joint) => joint === 'T' || joint === 'lap'

/**
 * The designation of a position for a joint: a fillet is welded in 2F where a pad is in 2G. Source: AWS A3.0.
 * @example designation('2G', 'T') // '2F'
 */
export function designation(position: PadPosition, joint: Joint): string {
  return isFillet(joint) ? position.replace('G', 'F') : position
}

/**
 * The usual groove of a joint, mm and degrees. Common practice: 45° and 1/4 in on backing; 60°, 1/8 in, land 3/32
 * in open.
 */
const GROOVES: Readonly<
  Record<'V, backing' | 'V, open root', { gapMm: number; landMm: number; includedDegrees: number }>
> = {
  'V, backing': { gapMm: inches(1 / 4), landMm: 0, includedDegrees: 45 },
  'V, open root': { gapMm: inches(1 / 8), landMm: inches(3 / 32), includedDegrees: 60 },
}

/** Leg of the first bead of a fillet: 3/16 in, or 1/4 in where a slight weave carries it up. Common practice. */
const firstLeg = (position: PadPosition) => (position === '3G' ? inches(1 / 4) : inches(3 / 16))

export interface BeadTarget {
  readonly lowMm: number
  readonly highMm: number
  /** Section of the bead, mm². */
  readonly areaMm2: number
  /** What the section stands for, in words. */
  readonly as: 'bead' | 'fillet' | 'groove pass'
  /** Passes that fill the groove; 1 for all else. */
  readonly passes: number
}

/** Which bead of a stack a pass of a card is; a hot pass is the first that fills. */
const STACK_ROLE: Readonly<Partial<Record<CardPass, StackRole>>> = {
  root: 'root',
  hot: 'fill',
  fill: 'fill',
  cap: 'cap',
}

interface TargetCase {
  readonly joint: Joint
  readonly position: PadPosition
  readonly coreMm: number
  readonly thicknessMm: number
  readonly pass?: CardPass
}

/** The beads that fill the usual groove of a joint, run with this rod; an open root with its own. */
function grooveBeads(
  { joint, position, coreMm, thicknessMm, pass }: TargetCase & { joint: keyof typeof GROOVES },
  rules: HouseRules,
): StackPlan['beads'] {
  const usual = GROOVES[joint]
  const groove = { ...usual, thicknessMm, landMm: Math.min(usual.landMm, thicknessMm / 2) }
  const open = joint === 'V, open root'
  const rootCoreMm = open && pass !== 'root' && pass !== 'hot' ? OPEN_ROOT_ROD.diameterMm : coreMm
  return houseStack({ shape: { kind: 'V', groove, backing: !open }, position, coreMm, rootCoreMm }, rules).beads
}

/**
 * The bead a joint wants from a rod: its width, and the section that decides travel and run-out. Source: house
 * rules and common practice.
 * @param coreMm core diameter, mm
 * @param thicknessMm plate, mm
 * @example beadTarget({ joint: 'pad', position: '1G', coreMm: 3.175, thicknessMm: 9.5 }, rules).areaMm2 // 10.08
 */
export function beadTarget(
  { joint, position, coreMm, thicknessMm, pass = 'fill' }: TargetCase,
  rules: HouseRules,
): BeadTarget {
  const width = wantedWidth(rules, coreMm)
  if (isFillet(joint)) {
    const legMm = Math.min(firstLeg(position), Math.max(thicknessMm, inches(1 / 8)))
    const faceMm = legMm * Math.SQRT2
    return { lowMm: faceMm * 0.9, highMm: faceMm * 1.1, areaMm2: filletArea(legMm, 0.1), as: 'fillet', passes: 1 }
  }
  if (joint === 'V, backing' || joint === 'V, open root') {
    const beads = grooveBeads({ joint, position, coreMm, thicknessMm, pass }, rules)
    const own = beads.filter(bead => bead.role === STACK_ROLE[pass])
    const areaMm2 = mean((own.length > 0 ? own : beads).map(bead => bead.areaMm2))
    return { ...width, areaMm2, as: 'groove pass', passes: beads.length }
  }
  return {
    ...width,
    areaMm2: beadArea(width.highMm, (rules.heightMm.low + rules.heightMm.high) / 2),
    as: 'bead',
    passes: 1,
  }
}
