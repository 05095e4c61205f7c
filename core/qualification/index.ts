/**
 * Code books as data, and what a test qualifies by them: test pieces, positions, thickness, diameters, fillers, and the
 * fewest tests that cover what is wanted.
 * All from memory of the published codes, each line with its clause: the code in force and the qualified inspector
 * decide.
 */
export * from './codeBook'
export * from './shippedBooks'
export { STRUCTURAL } from './books/structural'
export { PRESSURE } from './books/pressure'
export { ISO_9606 } from './books/iso9606'
export { PIPELINE } from './books/pipeline'
export * from './bookLines'
export * from './printedSize'
export * from './testPlace'
export * from './testTaken'
export * from './testPieces'
export * from './qualifiedPositions'
export * from './qualifiedThickness'
export * from './qualifiedDiameter'
export * from './qualifiedFillers'
export * from './qualifies'
export * from './designation'
export * from './fewestTests'
