/**
 * What a rod leaves on the plate: metal in a rod, length of bead from it, beads on a pad.
 */
export * from './burnOff'
export * from './padPlan'
