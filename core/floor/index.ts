/** The class as it happens: who is here, who waits to be read, in what order, and what the day came to. */
export * from './queue'
export * from './attendance'
export * from './meetings'
export * from './arcMinutes'
export * from './demonstration'
export * from './wallPlaces'
export * from './cautionsOfClass'
export * from './ordinal'
