/**
 * The trade's reference tables: positions, electrodes, rod sizes, discontinuities.
 * Data only; each row or table names its source.
 */
export * from './source'
export * from './positions'
export * from './electrodes'
export * from './classification'
export * from './rodSizes'
export * from './pipeSizes'
export * from './pieces'
export * from './clock'
export * from './fillers'
export * from './discontinuities'
export * from './catalogue'
export * from './cautions'
