/**
 * Tests as data, by family of codes: what a test qualifies, its specimens and when they fail, retests, and the dates that keep it alive.
 * All from memory of the published codes, each line with its clause: the code in force and the qualified inspector decide.
 */
export * from './codeFamily'
export * from './printedSize'
export * from './qualifiedPositions'
export * from './qualifiedThickness'
export * from './qualifiedDiameter'
export * from './qualifiedFillers'
export * from './specimens'
export * from './bendVerdict'
export * from './retest'
export * from './continuity'
export * from './testTaken'
export * from './qualifies'
export * from './fewestTests'
export * from './testDocument'
