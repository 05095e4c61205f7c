import { rungNeeds } from '../dayPlan'
import type { HouseRules } from '../house'
import type { Ladder } from '../ladder'
import { kindOf, type RunWithRods } from '../rodRoom'

/** Rods of each kind. */
export type ByKind = ReadonlyMap<string, number>

/** What a coupon of a rung takes, by kind of rod. */
export type PerCoupon = (rungId: string, hand: 'right' | 'left') => ByKind

/** What is reckoned counts as much as what was drawn for this number of coupons. Common practice. */
const RECKONED_COUPONS = 3

/**
 * What a coupon of each rung takes: what was drawn for coupons of it, however this school runs them; where few were
 * run, what the burn-off of a usual coupon comes to, as much more or less as the school draws for others.
 * @param rungOf the rung of a ticket's words; null for one that the ladder does not have
 */
export function perCoupon(
  ladder: Ladder,
  rules: HouseRules,
  taken: readonly RunWithRods[],
  rungOf: (rung: string) => string | null,
): PerCoupon {
  const reckoned = reckonedRods(ladder, rules)
  const drawn = new Map<string, { coupons: number; rods: Map<string, number> }>()
  for (const { run, shares } of taken) {
    const rungId = rungOf(run.rung)
    if (rungId === null) continue
    const own = drawn.get(rungId) ?? { coupons: 0, rods: new Map<string, number>() }
    drawn.set(rungId, own)
    own.coupons += run.coupons
    for (const { kind, rods } of shares) own.rods.set(kind, (own.rods.get(kind) ?? 0) + rods)
  }
  const total = (rods: ByKind) => [...rods.values()].reduce((sum, count) => sum + count, 0)
  const both = [...drawn].map(([rungId, { coupons, rods }]) => [
    total(rods),
    coupons * total(reckoned(rungId, 'right')),
  ])
  const [asDrawn, asReckoned] = [0, 1].map(of => both.reduce((sum, row) => sum + row[of]!, 0)) as [number, number]
  const times = asReckoned > 0 ? asDrawn / asReckoned : 1
  return once((rungId, hand) => {
    const { coupons, rods } = drawn.get(rungId) ?? { coupons: 0, rods: new Map<string, number>() }
    const usual = reckoned(rungId, hand)
    // A school that runs a rung with other rods than its card says goes by its own.
    const weight = coupons >= RECKONED_COUPONS ? 0 : RECKONED_COUPONS - coupons
    return new Map(
      [...new Set([...rods.keys(), ...usual.keys()])].map(kind => [
        kind,
        ((rods.get(kind) ?? 0) + weight * times * (usual.get(kind) ?? 0)) / (coupons + weight),
      ]),
    )
  })
}

/** What a usual coupon of a rung burns; nothing for a rung that the ladder does not have. */
const reckonedRods = ({ rungs }: Ladder, rules: HouseRules): PerCoupon =>
  once((rungId, hand) => {
    const rung = rungs.find(one => one.id === rungId)
    const needed = rung ? rungNeeds(rung, hand, rules).rods : []
    return new Map(needed.map(rod => [kindOf(rod), rod.count]))
  })

/** The same rung is asked for hundreds of times. */
function once(find: PerCoupon): PerCoupon {
  const known = new Map<string, ByKind>()
  return (rungId, hand) => {
    const key = `${rungId} ${hand}`
    const rods = known.get(key) ?? find(rungId, hand)
    known.set(key, rods)
    return rods
  }
}
