import { over, under } from '../units'
/** Something at a place along a seam, with its size, mm. */
export interface Spot {
  readonly atMm: number
  readonly sizeMm: number
  readonly markId: string
}

/** A stretch along a seam, mm. */
export interface Stretch {
  readonly fromMm: number
  readonly toMm: number
  readonly markId: string
}

/** The most that lies in any window, and what lies in it. */
export interface MostIn {
  readonly mm: number
  readonly markIds: readonly string[]
}

const NOTHING: MostIn = { mm: 0, markIds: [] }
const most = (found: readonly MostIn[]): MostIn =>
  found.reduce((best, one) => (over(one.mm, best.mm) ? one : best), NOTHING)

/**
 * Greatest sum of sizes in any window of a length, wherever it is laid: exact, not by the inches of a ruler. Both
 * ends of the window belong to it.
 * @param windowMm length of the window, mm
 * @example mostSpots([{ atMm: 20, sizeMm: 2 }, { atMm: 44, sizeMm: 3 }], 25.4).mm // 5
 */
export function mostSpots(spots: readonly Spot[], windowMm: number): MostIn {
  return most(
    spots.map(({ atMm }) => {
      const inside = spots.filter(spot => !under(spot.atMm, atMm) && !over(spot.atMm, atMm + windowMm))
      return { mm: inside.reduce((sum, spot) => sum + spot.sizeMm, 0), markIds: inside.map(spot => spot.markId) }
    }),
  )
}

/**
 * Greatest length covered in any window of a length; what overlaps counts once. The greatest is found with the
 * window's start or end on an end of a stretch.
 * @param windowMm length of the window, mm
 * @example mostCovered([{ fromMm: 0, toMm: 30 }, { fromMm: 300, toMm: 340 }], 304.8).mm // 40: the second, with
 *   what the window still holds of the first
 */
export function mostCovered(stretches: readonly Stretch[], windowMm: number): MostIn {
  const starts = stretches.flatMap(({ fromMm, toMm }) => [fromMm, toMm - windowMm])
  return most(
    starts.map(start => {
      const cut = stretches
        .map(({ fromMm, toMm, markId }) => ({
          fromMm: Math.max(fromMm, start),
          toMm: Math.min(toMm, start + windowMm),
          markId,
        }))
        .filter(part => part.toMm > part.fromMm)
        .sort((a, b) => a.fromMm - b.fromMm)
      let reached = -Infinity
      const mm = cut.reduce((sum, part) => {
        const fresh = Math.max(0, part.toMm - Math.max(part.fromMm, reached))
        reached = Math.max(reached, part.toMm)
        return sum + fresh
      }, 0)
      return { mm, markIds: cut.map(part => part.markId) }
    }),
  )
}
