/** Families of codes. They do not agree with each other and share no table. */
export type FamilyId = 'structural' | 'pressure' | 'ISO' | 'pipeline'

export interface CodeFamily {
  readonly id: FamilyId
  readonly name: string
  readonly edition: string
}

/** Editions described, from memory, check your copy. */
export const CODE_FAMILIES: readonly CodeFamily[] = [
  { id: 'structural', name: 'AWS D1.1', edition: '2015 and 2020' },
  { id: 'pressure', name: 'ASME IX', edition: '2013 to 2023' },
  { id: 'ISO', name: 'ISO 9606-1', edition: '2012' },
  { id: 'pipeline', name: 'API 1104', edition: '21st, 2013' },
]

/** The family with this id. @throws RangeError when there is none */
export function familyOfCode(id: string): CodeFamily {
  const found = CODE_FAMILIES.find(family => family.id === id)
  if (!found) throw new RangeError(`No family of codes "${id}"; there are ${CODE_FAMILIES.map(family => family.id).join(', ')}`)
  return found
}

/** How sure a line of a code is remembered. */
export type Remembered = 'sure' | 'check before it decides' | 'may be wrong'

/** Where a statement comes from. */
export interface Clause {
  readonly clause: string
  readonly remembered: Remembered
}
