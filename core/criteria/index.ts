/**
 * Named criteria of codes and schools as data, held against what was marked and gauged on a finished weld.
 */
export * from './windows'
export * from './observed'
export * from './criteriaSet'
export * from './shippedSets'
export * from './holdAgainst'
