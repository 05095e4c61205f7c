import { SHIPPED_SETS } from '../core/criteria'
import { evidenceOf, gradeCoupon } from '../core/grading'
import { triedOf, type Tried } from '../core/progress'
import { SHIPPED_BOOKS } from '../core/qualification'
import { rejectedCounts, rejectedMarks } from '../core/readiness'
import { SCHOOL_RULES, type DemoStudent } from './gannetQuay'

const TEST_CRITERIA = SHIPPED_SETS.filter(set => SHIPPED_BOOKS.some(book => book.criteriaId === set.id))

/** What a made-up student tried, oldest first, as the server would keep it. */
export const triedBy = ({ coupons, hand: usualHand, section }: DemoStudent): Tried[] =>
  coupons.flatMap(({ document }, n) => {
    const { hand, travel } = document.ticket
    const run = {
      couponId: String(n),
      classDay: document.classDay,
      hand,
      usualHand,
      travel,
      mock: false,
      // Each section has an instructor of its own.
      reader: `instructor ${section}`,
    }
    const rejected = rejectedMarks(document, TEST_CRITERIA, SCHOOL_RULES.unit)
    return evidenceOf(document, gradeCoupon(document, SCHOOL_RULES), SCHOOL_RULES).flatMap(row =>
      triedOf(row, run, rejectedCounts(rejected, row.element, row.rodFamily)),
    )
  })
