/** Fits a school's curves. */
export { fitSchool as fit } from '../../core/progress'
