/** The class as it happens: who waits to be read, in what order, and how long it takes. */
export * from './queue'
