/**
 * Before the arc is lit: which current suits the rod and position, and whether the ticket fits.
 */
export * from './currentWindow'
export * from './checkTicket'
