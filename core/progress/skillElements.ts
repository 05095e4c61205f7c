import { ELEMENTS, type ElementId } from '../grading'

/** The elements that skill is kept of: all but what is judged once a coupon. */
export const SKILL_ELEMENTS: readonly ElementId[] = ELEMENTS.filter(element => element.counted !== 'coupon').map(
  element => element.id,
)
