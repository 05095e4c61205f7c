const RULES = new Intl.PluralRules('en', { type: 'ordinal' })
const ENDINGS: Readonly<Record<string, string>> = { one: 'st', two: 'nd', few: 'rd', other: 'th' }

/** A place in the queue as it is said. @example ordinal(22) // '22nd' */
export const ordinal = (place: number): string => `${place}${ENDINGS[RULES.select(place)]}`
