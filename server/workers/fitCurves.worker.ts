import { fitCurves, withHistory, type Tried } from '../../core/progress'

/** Fits the school's curves to what its students tried. */
export const fit = (students: readonly (readonly Tried[])[]) => fitCurves(students.map(withHistory))
