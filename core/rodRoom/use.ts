import { mean, sampleSd } from '../statistics'
import { rodSizeOf } from '../trade'
import { inches } from '../units'
import type { RodLot } from './lot'
import type { RodMovement } from './movements'
import { STUB_CLASSES, type StubClass } from './stubs'

/** Rods of one class and size, of all lots: what a school buys and burns. */
export const kindOf = ({ classification, diameterMm }: Pick<RodLot, 'classification' | 'diameterMm'>) =>
  `${classification} ${rodSizeOf(diameterMm).label}`

const WEEK_MS = 7 * 24 * 3_600_000

/**
 * Rods used in each of the last weeks, by kind: drawn, less those brought back whole. The newest week last.
 * @param weeks how many weeks, up to `now`
 */
export function weeklyUse(
  movements: readonly RodMovement[],
  lots: readonly RodLot[],
  { weeks, now }: { readonly weeks: number; readonly now: Date },
): ReadonlyMap<string, readonly number[]> {
  const kinds = new Map(lots.map(lot => [lot.id, kindOf(lot)]))
  const used = new Map<string, number[]>()
  for (const { lotId, kind, rods, at } of movements) {
    const ago = Math.floor((now.getTime() - Date.parse(at)) / WEEK_MS)
    const name = kinds.get(lotId)
    if (!name || ago < 0 || ago >= weeks || (kind !== 'issued' && kind !== 'returned')) continue
    const row = used.get(name) ?? Array.from({ length: weeks }, () => 0)
    row[weeks - 1 - ago]! -= rods
    used.set(name, row)
  }
  return used
}

/** Weeks that must have been seen before anything is said of those to come. */
const FEWEST_WEEKS = 3
/** Eight of ten: two-sided, standard normal. */
const Z_80 = 1.2816

/** What coming weeks will use, rods: eight times in ten it lies from `low` to `high`. */
export interface ComingUse {
  readonly low: number
  readonly likely: number
  readonly high: number
}

/**
 * What the coming weeks will use, from what the last ones did: the mean, with the spread of weeks and the doubt about
 * the mean itself. Source: prediction interval of a sum, normal; with small samples widened as Student's t would
 * (by (n + 1) / (n − 1) in variance).
 * @param used rods a week
 * @returns null where too few weeks were seen
 */
export function comingUse(used: readonly number[], weeksAhead: number): ComingUse | null {
  const n = used.length
  if (n < FEWEST_WEEKS || used.every(rods => rods === 0)) return null
  const likely = mean(used) * weeksAhead
  // A school that used the same each week by chance is not certain of it: never under counting's own spread.
  const variance = Math.max(sampleSd(used) ** 2, mean(used))
  const sd = Math.sqrt(((variance * (n + 1)) / (n - 1)) * (weeksAhead + weeksAhead ** 2 / n))
  return {
    low: Math.max(0, Math.floor(likely - Z_80 * sd)),
    likely: Math.round(likely),
    high: Math.ceil(likely + Z_80 * sd),
  }
}

/** A line of what to buy. */
export interface ToBuy {
  readonly kind: string
  readonly inStore: number
  readonly use: ComingUse
  /** Boxes that bring the store up to what is likely to be the most that is used. */
  readonly boxes: number
  readonly cents: number | null
}

/**
 * What to buy for the coming weeks, by box: nothing of a kind that the store still holds enough of.
 * @param coming what each kind will be used of
 */
export function buyList(
  stock: ReadonlyMap<string, number>,
  lots: readonly RodLot[],
  coming: ReadonlyMap<string, ComingUse>,
): ToBuy[] {
  return [...coming].flatMap(([kind, use]) => {
    const own = lots.filter(lot => kindOf(lot) === kind)
    const newest = [...own].sort((a, b) => b.receivedOn.localeCompare(a.receivedOn))[0]
    if (!newest) return []
    const inStore = own.reduce((sum, lot) => sum + (stock.get(lot.id) ?? 0), 0)
    const boxes = Math.max(0, Math.ceil((use.high - inStore) / newest.rodsInBox))
    const cents = newest.boxPriceCents === null ? null : boxes * newest.boxPriceCents
    return boxes > 0 ? [{ kind, inStore, use, boxes, cents }] : []
  })
}

/** What was thrown away as stubs. */
export interface StubLoss {
  /** Rods that were burnt and whose stubs were counted. */
  readonly rods: number
  /** Of the length of those rods, 0 to 1. */
  readonly share: number
  /** What that length cost; null where no box has a price. */
  readonly cents: number | null
  /** Stubs long enough to be burnt on a stub day. */
  readonly kept: number
}

/**
 * What stubs cost: their length over that of the rods they are of. Only what was counted when rods came back.
 * Source: arithmetic; a 14 in rod left at 2 in wastes 2/14 = 14 %.
 * @returns null where no stub was counted
 */
export function stubLoss(movements: readonly RodMovement[], lots: readonly RodLot[]): StubLoss | null {
  let rods = 0
  let lost = 0
  let whole = 0
  let cents: number | null = null
  let kept = 0
  for (const { lotId, stubs } of movements) {
    const lot = lots.find(one => one.id === lotId)
    if (!lot || !stubs) continue
    const lengthMm = rodSizeOf(lot.diameterMm).lengthMm
    for (const { id, meanIn, keeps } of STUB_CLASSES) {
      const count = stubs[id as StubClass] ?? 0
      const share = inches(meanIn) / lengthMm
      rods += count
      whole += count * lengthMm
      lost += count * share * lengthMm
      if (keeps) kept += count
      if (count > 0 && lot.boxPriceCents !== null)
        cents = (cents ?? 0) + (count * share * lot.boxPriceCents) / lot.rodsInBox
    }
  }
  return rods === 0 ? null : { rods, share: lost / whole, cents: cents === null ? null : Math.round(cents), kept }
}

/**
 * What stubs cost by what their lines belong to: a student, a section, a week; in the order of their names.
 * @param groupOf what a line belongs to; null for what belongs to no one group
 */
export function stubLossBy(
  movements: readonly RodMovement[],
  lots: readonly RodLot[],
  groupOf: (line: RodMovement) => string | null,
): { readonly group: string; readonly loss: StubLoss }[] {
  const groups = new Map<string, RodMovement[]>()
  for (const line of movements.filter(one => one.stubs)) {
    const group = groupOf(line)
    if (group !== null) groups.set(group, [...(groups.get(group) ?? []), line])
  }
  return [...groups]
    .sort(([one], [other]) => one.localeCompare(other))
    .flatMap(([group, own]) => {
      const loss = stubLoss(own, lots)
      return loss ? [{ group, loss }] : []
    })
}
