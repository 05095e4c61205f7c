/**
 * The rod room: lots, the clock of low-hydrogen rods, what is drawn and what comes back, what it costs and what to buy.
 */
export * from './lot'
export * from './exposure'
export * from './sayExposure'
export * from './stubs'
export * from './movements'
export * from './bookLine'
export * from './movementFault'
export * from './use'
export * from './cost'
