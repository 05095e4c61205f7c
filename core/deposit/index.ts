/**
 * What a rod leaves on the plate: deposition, metal in a rod, length of bead from it, heat, weld metal, beads on a pad.
 */
export * from './weldMetal'
export * from './depositionRate'
export * from './burnOff'
export * from './heatInput'
export * from './padPlan'
export * from './padSection'
export * from './jointSection'
export * from './layBead'
export * from './beadStack'
export * from './stackTotals'
