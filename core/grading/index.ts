/**
 * From marks to judgement: measures are taken off the document, held against the house's criteria, and summed to a
 * verdict.
 */
export * from './elements'
export * from './measures'
export * from './sizeLimits'
export * from './spans'
export * from './straightness'
export * from './laps'
export * from './restartQualities'
export * from './undercutDepths'
export * from './criteria'
export * from './verdict'
export * from './evidence'
