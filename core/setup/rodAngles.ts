import type { HouseRules } from '../house'
import { electrodeOf, type PadPosition, type Travel } from '../trade'
import type { TravelAngle } from './angles'
import type { Joint, CardPass } from './joint'

/**
 * How the rod stands across the joint: degrees from square, or from the lower plate; `up` when it points against
 * the sag.
 */
export interface WorkAngle {
  readonly low: number
  readonly high: number
  readonly from: 'square' | 'the lower plate'
  readonly up: boolean
}

export interface RodAngles {
  readonly work: WorkAngle
  readonly travel: TravelAngle
}

export interface AngleCase {
  readonly classification: string
  readonly position: PadPosition
  readonly travel: Travel
  readonly joint: Joint
  readonly pass: CardPass
}

/**
 * Angles of a downhill rod, rutile rods on fillets and in grooves, laps, and a keyhole root. Source: common
 * practice.
 */
const DOWNHILL: TravelAngle = { low: 10, high: 20, lean: 'drag' }
const RUTILE_FILLET: TravelAngle = { low: 20, high: 30, lean: 'drag' }
const RUTILE_GROOVE: TravelAngle = { low: 20, high: 45, lean: 'drag' }
const LAP: TravelAngle = { low: 5, high: 10, lean: 'drag' }
/** Uphill and round a fixed pipe; in any other position a root is run as its position is. */
const KEYHOLE: TravelAngle = { low: 10, high: 15, lean: 'push' }

/** Work angles of the three beads of a T, from the lower plate. Source: common practice. */
const THREE_BEADS: Readonly<Partial<Record<CardPass, readonly [number, number]>>> = {
  first: [45, 45],
  second: [70, 70],
  third: [35, 40],
}

/**
 * How to hold the rod: work angle and travel angle. Source: house rules; common practice for what they do not say.
 * @returns degrees
 * @example rodAngles({ classification: 'E7018', position: '3G', travel: 'up', joint: 'pad', pass: 'bead' },
 *   rules).travel // push 5 to 10
 */
export function rodAngles(wanted: AngleCase, rules: HouseRules): RodAngles {
  return { work: workAngle(wanted, rules), travel: travelAngle(wanted, rules) }
}

function workAngle({ joint, position, pass }: AngleCase, rules: HouseRules): WorkAngle {
  if (joint === 'T' || joint === 'lap') {
    const [low, high] = (joint === 'T' && rules.ways.teeAim === 'by bead' && THREE_BEADS[pass]) || [45, 45]
    return { low, high, from: 'the lower plate', up: false }
  }
  if (position === '2G') return { ...rules.upHorizontalDegrees, from: 'square', up: true }
  return { low: 0, high: 0, from: 'square', up: false }
}

function travelAngle({ classification, position, travel, joint, pass }: AngleCase, rules: HouseRules): TravelAngle {
  const rutile = electrodeOf(classification).family === 'rutile'
  if (joint === 'V, open root' && pass === 'root' && position === '3G') return travel === 'down' ? DOWNHILL : KEYHOLE
  if (position === '3G') return travel === 'down' ? DOWNHILL : { ...rules.pushVerticalDegrees, lean: 'push' }
  if (position === '4G') return { ...rules.dragOverheadDegrees, lean: 'drag' }
  if (joint === 'lap') return LAP
  if (joint === 'T') return rutile ? RUTILE_FILLET : { ...rules.dragFilletDegrees, lean: 'drag' }
  if (joint.startsWith('V') && rutile) return RUTILE_GROOVE
  return { ...rules.dragFlatDegrees, lean: 'drag' }
}
