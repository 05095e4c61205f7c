import { describe, expect, it } from 'vitest'
import { FULL_LADDER, rungsInUse, saySignOff, signOffChance, SHIPPED_LADDERS, USUALLY_ALIKE, type LadderRung } from '.'

const IN_A_ROW = 3
/** Tries of its element on one coupon of a rung, about. */
const TRIES_A_COUPON = 6

/** How many coupons, or tries, a rung usually takes. */
const usualOf = ({ signOff, coupons }: LadderRung) => ('element' in signOff ? TRIES_A_COUPON * coupons : coupons)
/** Signed off by luck: half of the work is good, over as long as the rung usually takes. */
const byLuck = (rung: LadderRung) =>
  signOffChance(rung.signOff, 0.5, usualOf(rung), IN_A_ROW, { coupons: rung.coupons, alike: USUALLY_ALIKE })
/** Held back though nine of ten are good, over twice as long. */
const heldBack = (rung: LadderRung) =>
  1 - signOffChance(rung.signOff, 0.9, 2 * usualOf(rung), IN_A_ROW, { coupons: 2 * rung.coupons, alike: USUALLY_ALIKE })

describe('what every shipped rule of sign-off lets through', () => {
  // Exact, by the recursion that ladder.test.ts checks against worked runs.
  it.each([
    ['arc strikes', '90 % sure that arc starts are at least 60 % sound', 0.051, 0.038],
    ['flat pad', '3 good in a row', 0.418, 0],
    ['flat pad, stubs', 'LC-CUSUM on restarts: 90 % sound is enough, 70 % is not, limit 2.25', 0, 0.094],
    ['flat pad, other hand', '2 good in a row', 0.375, 0.004],
    ['restart strip', '90 % sure that restarts are at least 70 % sound', 0.006, 0.028],
    ['square butt', '3 good in a row', 0.125, 0.052],
    ['T fillet 2F', '3 good in a row', 0.25, 0.005],
    ['V with backing 3G', '3 good in a row', 0.3125, 0.001],
    ['open root 3G', '4 good in a row', 0.156, 0.008],
    ['pipe 5G', '4 good in a row', 0.1875, 0.003],
    ['pipe 6G', '4 good in a row', 0.245, 0.001],
  ])('%s, %s: %d by luck, %d held back', (name, says, luck, held) => {
    const rung = FULL_LADDER.rungs.find(one => one.name === name)!
    expect(saySignOff(rung.signOff, IN_A_ROW)).toBe(says)
    expect([byLuck(rung), heldBack(rung)]).toEqual([expect.closeTo(luck, 3), expect.closeTo(held, 3)])
  })
  it('half good is signed off at most one time in three where a test follows, and nine of ten nearly always', () => {
    for (const rung of SHIPPED_LADDERS.flatMap(rungsInUse)) {
      // What goes by tries wants more of them, as those of one coupon are alike.
      expect(heldBack(rung), rung.name).toBeLessThan('element' in rung.signOff ? 0.1 : 0.06)
      if (/groove|pipe/.test(rung.piece)) expect(byLuck(rung), rung.name).toBeLessThan(1 / 3)
    }
  })
  it('no rule is met by three lucky tries', () => {
    for (const { signOff } of FULL_LADDER.rungs.filter(rung => 'element' in rung.signOff))
      expect(signOffChance(signOff, 1, 3, IN_A_ROW)).toBe(0)
  })
})
