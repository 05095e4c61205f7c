/**
 * What counting and chance need everywhere, one of each: means, quantiles, exact binomials, logistic fits, agreement
 * beyond chance, and a seeded generator.
 */
export * from './mean'
export * from './quantile'
export * from './alike'
export * from './beta'
export * from './binomial'
export * from './logistic'
export * from './poisson'
export * from './logisticFit'
export * from './cholesky'
export * from './kappa'
export * from './random'
