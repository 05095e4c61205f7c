import { isPlate, nextCoupon, type CouponDocument } from '../coupon'
import type { BoothNeed } from '../floor'
import type { HouseRules } from '../house'
import type { LadderRung } from '../ladder'
import { rodRun } from '../setup'
import { runAs } from '../trade'
import { needsOf } from '../welderTest'
import type { WantedCoupon } from './planCase'

/** A coupon of a rung, as a student of that hand would first run it: by its card, on a usual piece. */
export const firstOfRung = (rung: LadderRung, ownHand: 'right' | 'left', rules: HouseRules): CouponDocument =>
  nextCoupon({ id: '', hand: ownHand, booth: null, last: null }, { classDay: '2000-01-01', version: 1, rules }, rung)

/** What a coupon of a rung asks of its booth, and what it burns, as a student of that hand would first run it. */
export function rungNeeds(
  rung: LadderRung,
  ownHand: 'right' | 'left',
  rules: HouseRules,
): { readonly need: BoothNeed; readonly rods: WantedCoupon['rods'] } {
  const coupon = firstOfRung(rung, ownHand, rules)
  const { ticket } = coupon
  const currents = [ticket.currentA, ...(coupon.passes ?? []).map(pass => pass.currentA)]
  return {
    need: {
      piece: rung.piece,
      position: rung.position,
      currentA: Math.max(...currents),
      polarity: ticket.polarity,
    },
    rods: rung.rods === 'stubs' ? [] : rodsOf(coupon, rules),
  }
}

/** Rods by kind: passes of a joint begin with a whole rod each, beads of a pad are run on till the rod is burnt. */
function rodsOf(coupon: CouponDocument, rules: HouseRules): WantedCoupon['rods'] {
  if (!isPlate(coupon.piece)) return needsOf(coupon, rules).rods
  const lengthMm = coupon.beads.reduce((sum, bead) => sum + bead.toMm - bead.fromMm, 0)
  const { ticket, piece } = coupon
  const wanted = { ...ticket, position: runAs(ticket.position), thicknessMm: piece.thicknessMm } as const
  const runMm = rodRun({ ...wanted, joint: 'pad', pass: 'bead' }, ticket.currentA, rules)
  const { classification, diameterMm } = ticket
  return [{ classification, diameterMm, count: Math.ceil(lengthMm / runMm) }]
}
