/**
 * The forward model: technique makes a bead, a bead shows marks; students who learn; chance comes in as a seeded
 * generator.
 */
export * from './learner'
export * from './weldCoupon'
export * from './technique'
export * from './flawLaws'
export * from './padRun'
export * from './jointRun'
export * from './shownRun'
export * from './toldLaw'
export * from './beadFigures'
export * from './shownBead'
export * from './madeUpSchool'
