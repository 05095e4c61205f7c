
/** Plate groove positions in which a practice pad is welded. */
export type PadPosition = '1G' | '2G' | '3G' | '4G'

export interface Position {
  readonly id: PadPosition
  /** What a welder says: flat, horizontal, vertical, overhead. */
  readonly name: string
  readonly iso6947: string
  /** Travel directions that make sense for a pad in this position; the first is the usual one for a right-hander. */
  readonly travel: readonly Travel[]
}

/** Which way the arc travels along the bead, as the instructor sees the plate. */
export type Travel = 'left to right' | 'right to left' | 'up' | 'down'

/** Source: AWS A3.0 and ISO 6947, from memory, check your copy. */
export const POSITIONS: readonly Position[] = [
  { id: '1G', name: 'flat', iso6947: 'PA', travel: ['left to right', 'right to left'] },
  { id: '2G', name: 'horizontal', iso6947: 'PC', travel: ['left to right', 'right to left'] },
  { id: '3G', name: 'vertical', iso6947: 'PF', travel: ['up', 'down'] },
  { id: '4G', name: 'overhead', iso6947: 'PE', travel: ['left to right', 'right to left'] },
]

/**
 * The position with this designation.
 * @throws RangeError naming the designations there are
 * @example positionOf('2G').name // 'horizontal'
 */
export function positionOf(id: string): Position {
  const found = POSITIONS.find(position => position.id === id)
  if (!found) throw new RangeError(`No position "${id}"; there are ${POSITIONS.map(position => position.id).join(', ')}`)
  return found
}
