import { exposureOf } from './exposure'
import { hasClock, hoursAllowed, type RodLot } from './lot'
import { handfulsOf, type RodMovement } from './movements'

/** Who writes into the book, and by which rules. */
interface Terms {
  readonly houseHours: number
  readonly now: Date
}

/**
 * Why a line cannot stand in the book as it is; null where it can. A stock under nought is no such thing: the rods are
 * in a hand already, and what is wrong is the count.
 * @param book all lines of the handful that is meant, at least
 */
export function movementFault(
  line: RodMovement,
  lot: RodLot,
  book: readonly RodMovement[],
  { houseHours, now }: Terms,
): string | null {
  if (!line.handfulId) return null
  const handful = handfulsOf(book).find(one => one.id === line.handfulId)
  if (!handful) return 'These rods are back, used up or binned already'
  if (line.kind === 'returned') return handful.out > 0 ? returnFault(line, handful.out) : 'These rods are back already'
  if (line.kind === 'binned') return null
  if (handful.inOven === 0) return 'These rods are not in the oven'
  if (!hasClock(lot)) return null
  const { state } = exposureOf(handful.events, hoursAllowed(lot, houseHours)!, now)
  if (state === 'bin') return 'They were re-dried once and are past their hours again: bin them'
  if (line.kind === 're-dried')
    return state === 'to re-dry' ? null : 'They are not past their hours: re-drying counts once'
  return state === 'to re-dry' ? 'They are past their hours: re-dry them first, once' : null
}

function returnFault({ rods, stubs = {} }: RodMovement, out: number): string | null {
  const back = rods + Object.values(stubs).reduce((sum, count) => sum + count, 0)
  return back > out ? `${back} are more than the ${out} that were drawn` : null
}
