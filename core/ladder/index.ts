/**
 * The ladder: rungs as data and what each needs first, the rules by which one is signed off, and where a student
 * stands on it.
 */
export * from './ladder'
export * from './shippedLadders'
export * from './ladderFaults'
export * from './lcCusum'
export * from './signOffRule'
export * from './signOffChance'
export * from './climb'
export * from './rungFinder'
