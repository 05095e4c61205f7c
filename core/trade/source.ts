/** How sure a figure is. */
export type Certainty = 'published' | 'common practice' | 'from memory, check your copy'

/** Where a figure comes from, as a person reads it beside the figure. */
export interface Source {
  readonly name: string
  /** Clause, table or figure, where there is one. */
  readonly clause?: string
  readonly certainty: Certainty
}

export const COMMON_PRACTICE: Source = { name: 'common practice', certainty: 'common practice' }

export const A5_1_CURRENT: Source = {
  name: 'AWS A5.1/A5.1M:2012',
  clause: 'Annex A, typical amperage ranges',
  certainty: 'from memory, check your copy',
}
