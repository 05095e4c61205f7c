import { isTry, type CouponDocument } from '../coupon'

/**
 * A coupon as it lies before anybody has judged it: the same piece, beads and tries, all sound, and nothing that
 * was said of it.
 * Where rods were changed is a fact of the coupon and stays; what came of it does not.
 * @example blindCopy(read).marks.every(mark => isTry(mark) && mark.degree === 'sound') // true
 */
export function blindCopy(document: CouponDocument): CouponDocument {
  const { answers: _, trueCause: __, advised: ___, advisedCause: ____, toldBefore: _____, ...bare } = document
  return {
    ...bare,
    notes: '',
    nextRun: null,
    overrule: null,
    cleanUp: 'sound',
    marks: document.marks.filter(isTry).map(mark => ({ ...mark, degree: 'sound', fault: null })),
  }
}

/**
 * A coupon that its student has read, as it lies for the next reader: what the student saw and heard is a fact of the
 * run, and stays; what the student marked does not.
 * @example ownCopy(read).answers // { 'rod stuck': 'yes' }
 */
export const ownCopy = (document: CouponDocument): CouponDocument => ({
  ...blindCopy(document),
  ...(document.answers ? { answers: document.answers } : {}),
})
