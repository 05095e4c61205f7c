/**
 * Millimetres, kilograms and seconds inside; inches, pounds and feet at the edges.
 * Here they are read from what a person types and written as a person says them.
 */
export * from './length'
export * from './weld'
export * from './tolerance'
export * from './money'
