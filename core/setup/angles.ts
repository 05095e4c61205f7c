import type { HouseRules } from '../house'

/**
 * One convention inside: degrees from square to the line of travel, drag positive (rod points back at the weld),
 * push negative.
 */
export type TravelDegrees = number

/**
 * A travel angle as the rod stands to the plate, measured on the side that is leaned to.
 * @param fromSquare degrees, drag positive, push negative
 * @throws RangeError beyond 90 either way
 * @example toPlate(20) // 70
 */
export function toPlate(fromSquare: TravelDegrees): number {
  if (!(Math.abs(fromSquare) <= 90)) throw new RangeError('From 90 degrees push to 90 degrees drag')
  return 90 - Math.abs(fromSquare)
}

/**
 * The travel angle of a rod that stands so to the plate.
 * @param plate degrees between rod and plate, 0 to 90
 * @param lean which way it leans
 * @throws RangeError outside 0 to 90
 * @example fromPlate(60, 'drag') // 30
 */
export function fromPlate(plate: number, lean: 'drag' | 'push'): TravelDegrees {
  if (!(plate >= 0 && plate <= 90)) throw new RangeError('From 0 to 90 degrees to the plate')
  return lean === 'drag' ? 90 - plate : plate - 90
}

/** A travel angle to hold: between two magnitudes, leaned one way. */
export interface TravelAngle {
  readonly low: number
  readonly high: number
  readonly lean: 'drag' | 'push'
}

/**
 * A travel angle in the house's words.
 * @example sayTravelAngle({ low: 10, high: 15, lean: 'drag' }, rules) // 'drag 10 to 15°'
 */
export function sayTravelAngle({ low, high, lean }: TravelAngle, rules: HouseRules): string {
  if (high === 0) return 'straight in'
  if (rules.ways.angleWords === 'to the plate') {
    const degrees = high === low ? toPlate(low) : `${toPlate(high)} to ${toPlate(low)}`
    return `${degrees}° to the plate, ${lean === 'drag' ? 'pointing back at the weld' : 'pointing ahead'}`
  }
  if (low === 0) return `straight in to ${lean} ${high}°`
  return `${lean} ${low === high ? low : `${low} to ${high}`}°`
}
