import { describe, expect, it } from 'vitest'
import { newFlaw, putMark, type CouponDocument, type FlawMark } from '../coupon'
import { aCoupon, aJoint } from '../coupon/example'
import { DEFAULT_HOUSE_RULES } from '../house'
import {
  CAUSES,
  courseOf,
  diagnose,
  ofOneKind,
  priorsFor,
  shows,
  SIGNS,
  toldTallies,
  type CauseId,
  type SignId,
  type Telling,
} from '.'

const rules = DEFAULT_HOUSE_RULES
/** A pad with a flaw along the whole of its first beads. */
function flawed(flaw: FlawMark['flaw'], beads: number, more: Partial<FlawMark> = {}): CouponDocument {
  return aCoupon()
    .beads.slice(0, beads)
    .reduce((coupon, bead) => {
      const fresh = newFlaw(coupon, `${flaw} ${bead.id}`, flaw, { beadId: bead.id, atMm: bead.fromMm })
      return putMark(coupon, { ...fresh, atMm: bead.fromMm, toMm: bead.toMm, ...more })
    }, aCoupon())
}
const course = (before: CouponDocument, after: CouponDocument, telling: Telling = { cause: null, done: null }) =>
  courseOf([before, rules], [after, rules], telling)
const ofSign = (rows: ReturnType<typeof course>, sign: SignId) => rows.find(row => row.sign === sign)
const undercut = (beads: number) => flawed('undercut', beads, { side: 'both' })
/** A cause that shows a sign, and one that never does. */
const explains = (sign: SignId, does: boolean): CauseId =>
  CAUSES.find((_, index) => shows(sign).shows[index]! > 0 === does)!.id

describe('what became of a sign on the next coupon', () => {
  it.each([
    [6, 0, true],
    [6, 3, true],
    [6, 4, false],
    [6, 6, false],
    [2, 1, true],
    [1, 1, false],
  ])('undercut on %i beads, then on %i: gone %s', (then, now, gone) =>
    expect(ofSign(course(undercut(then), undercut(now)), 'undercut both')).toMatchObject({ gone }),
  )

  it('belongs to the cause that was told when that cause shows it, and is left alone otherwise', () => {
    const [fits, misfits] = [explains('undercut both', true), explains('undercut both', false)]
    const told = (cause: CauseId) => course(undercut(6), undercut(0), { cause, done: 'yes' })
    expect(ofSign(told(fits), 'undercut both')).toMatchObject({ cause: fits, done: 'yes' })
    expect(ofSign(told(misfits), 'undercut both')).toMatchObject({ cause: null, done: null })
  })

  it('a sign that only the next coupon shows is nothing that was told about', () =>
    expect(ofSign(course(undercut(0), undercut(6)), 'undercut both')).toBeUndefined())

  it('what a student said of the arc is not compared: nobody looked for it on both', () => {
    const said = { ...undercut(6), answers: { [SIGNS.find(sign => sign.ask !== null)!.id]: 'yes' as const } }
    expect(course(said, aCoupon()).map(row => row.sign)).toEqual(course(undercut(6), aCoupon()).map(row => row.sign))
  })

  it('is compared on the same piece, position and family of rod alone', () => {
    const pad = aCoupon()
    expect(ofOneKind(pad, aCoupon({ ticket: { travel: 'right to left', hand: 'left', currentA: 110 } }))).toBe(true)
    expect(ofOneKind(pad, aCoupon({ ticket: { position: '2G' } }))).toBe(false)
    expect(ofOneKind(pad, aCoupon({ ticket: { classification: 'E6010' } }))).toBe(false)
    expect(ofOneKind(pad, aJoint())).toBe(false)
  })
})

describe('what telling came to', () => {
  const rows = [
    { sign: 'undercut both', cause: 'arc long', seen: 8, gone: 6 },
    { sign: 'spatter', cause: 'arc long', seen: 4, gone: 4 },
    { sign: 'undercut both', cause: null, seen: 40, gone: 10 },
    { sign: 'spatter', cause: null, seen: 20, gone: 15 },
    { sign: 'porosity', cause: null, seen: 9, gone: 9 },
    { sign: 'porosity', cause: 'damp rod', seen: 2, gone: 0 },
  ] as const

  it('stands beside what the same signs do alone, weighed as they were told for', () =>
    expect(toldTallies(rows as never)).toEqual([
      // 8 of 1/4 and 4 of 3/4: 5 of 12.
      { cause: 'arc long', seen: 12, gone: 10, alone: 5 / 12 },
      { cause: 'damp rod', seen: 2, gone: 0, alone: null },
    ]))

  it('is nothing where nothing was told', () => expect(toldTallies([])).toEqual([]))
})

describe('whether it was done is evidence', () => {
  const odds = (done: 'yes' | 'no' | null, cause: string | null = 'arc long') => {
    const coupon = { ...undercut(6), toldBefore: { couponId: 'c', says: 'Close the arc', cause, done } }
    const found = diagnose(coupon, rules).causes.find(row => row.cause.id === 'arc long')!.odds
    return found / (1 - found)
  }
  const asIfNobodyAsked = odds(null)

  it('a cause that was put right and did not help loses odds; one that was not put right is likelier', () => {
    expect(odds('yes')).toBeLessThan(asIfNobodyAsked / 2)
    expect(odds('no')).toBeGreaterThan(asIfNobodyAsked * 1.3)
  })

  it('by so much: put right it is a quarter as likely before anything is seen, left as it was twice', () => {
    const prior = (done: 'yes' | 'no' | null) => {
      const coupon = { ...aCoupon(), toldBefore: { couponId: 'c', says: 'Close the arc', cause: 'arc long', done } }
      const chance = priorsFor(coupon, rules)[CAUSES.findIndex(cause => cause.id === 'arc long')]!
      return chance / (1 - chance)
    }
    expect(prior('yes') / prior(null)).toBeCloseTo(0.25, 9)
    expect(prior('no') / prior(null)).toBeCloseTo(2, 9)
  })

  it('moves no other cause', () => {
    const priors = (done: 'yes' | null) =>
      priorsFor({ ...aCoupon(), toldBefore: { couponId: 'c', says: '', cause: 'arc long', done } }, rules)
    const moved = CAUSES.filter((_, n) => priors('yes')[n] !== priors(null)[n]).map(cause => cause.id)
    expect(moved).toEqual(['arc long'])
  })

  it('says nothing while nobody asked, or where it was said for no cause', () => {
    const plain = diagnose(undercut(6), rules).causes.find(row => row.cause.id === 'arc long')!.odds
    expect(asIfNobodyAsked).toBeCloseTo(plain / (1 - plain), 12)
    expect(odds('yes', null)).toBeCloseTo(asIfNobodyAsked, 12)
  })
})
