import { positionOf, type PositionId } from './positions'

/** How the pool lies at one place of a pipe. */
export type LocalPosition = 'flat' | 'horizontal' | 'vertical' | 'overhead'

/** A stretch of the circle that is welded alike, in degrees from 12 o'clock, clockwise. */
export interface ClockArc {
  readonly fromDegrees: number
  readonly toDegrees: number
  readonly local: LocalPosition
}

const around = (top: LocalPosition, side: LocalPosition, bottom: LocalPosition): ClockArc[] => [
  { fromDegrees: 0, toDegrees: 45, local: top },
  { fromDegrees: 45, toDegrees: 135, local: side },
  { fromDegrees: 135, toDegrees: 225, local: bottom },
  { fromDegrees: 225, toDegrees: 315, local: side },
  { fromDegrees: 315, toDegrees: 360, local: top },
]
const throughout = (local: LocalPosition): ClockArc[] => [{ fromDegrees: 0, toDegrees: 360, local }]

/**
 * The arcs of a pipe's circle with the position the welder is in there. Source: common practice: eighths of the
 * circle; at 45° the top is
 * never flat but horizontal.
 * @throws RangeError for a position that is not one of pipe
 * @example localPositions('5G')[0] // { fromDegrees: 0, toDegrees: 45, local: 'flat' }
 */
export function localPositions(position: PositionId): ClockArc[] {
  const { on, runAs } = positionOf(position)
  if (!on.some(kind => kind.startsWith('pipe'))) throw new RangeError(`${position} is no position of pipe`)
  if (position === '5G' || position === '5F') return around('flat', 'vertical', 'overhead')
  if (position === '6G' || position === '6GR' || position === '6F') return around('horizontal', 'vertical', 'overhead')
  return throughout(runAs === '1G' ? 'flat' : runAs === '4G' ? 'overhead' : 'horizontal')
}

/**
 * The local position at a place on the circle.
 * @param degrees from 12 o'clock, clockwise, 0 to 360
 * @example localPositionAt('5G', 180) // 'overhead'
 */
export function localPositionAt(position: PositionId, degrees: number): LocalPosition {
  return localPositions(position).find(arc => degrees >= arc.fromDegrees && degrees <= arc.toDegrees)?.local ?? 'flat'
}

/**
 * A place on the circle as a welder says it, to the nearest half hour.
 * @param degrees from 12 o'clock, clockwise
 * @example sayClock(135) // '4:30'
 */
export function sayClock(degrees: number): string {
  const halves = Math.round(degrees / 15) % 24
  const hour = Math.floor(halves / 2) || 12
  return halves % 2 === 0 ? String(hour) : `${hour}:30`
}

/** The quarters of a pipe. */
export const QUADRANTS = ['12 to 3', '3 to 6', '6 to 9', '9 to 12'] as const

/**
 * The quarter of the circle a place lies in; a place on a border belongs to the quarter it begins.
 * @example quadrantAt(100) // '3 to 6'
 */
export const quadrantAt = (degrees: number): (typeof QUADRANTS)[number] =>
  QUADRANTS[Math.floor((((degrees % 360) + 360) % 360) / 90)]!
