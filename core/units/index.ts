/**
 * Lengths are millimetres inside; inches and their fractions live at the edges.
 * Here they are read from what a person types and written as a person says them.
 */
export * from './length'
