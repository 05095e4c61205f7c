/**
 * Before the arc is lit: the settings card for a rod, position and joint, whether the ticket fits, and the drills
 * that set a machine.
 */
export * from './joint'
export * from './setUpCase'
export * from './practiceCurrents'
export * from './currentWindow'
export * from './startCurrent'
export * from './angles'
export * from './rodAngles'
export * from './arcVolts'
export * from './plateFit'
export * from './checkTicket'
export * from './settingsCard'
export * from './wrongPolarity'
export * from './remote'
export * from './arcRun'
export * from './threeBeads'
export * from './lensShade'
export * from './carbonEquivalent'
export * from './preheat'
export * from './rungs'
export * from './fitUp'
