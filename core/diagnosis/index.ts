/**
 * From what is seen to the one thing to change on the next run: signs, causes, the exact odds between them, and the
 * question that tells most.
 */
export * from './signTable'
export * from './sign'
export * from './signs'
export * from './causes'
export * from './inference'
export * from './network'
export * from './priors'
export * from './question'
export * from './gain'
export * from './change'
export * from './diagnose'
export * from './drill'
export * from './place'
export * from './strength'
export * from './readerScore'
export * from './told'
export * from './course'
export * from './helped'
