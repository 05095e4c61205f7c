import { keyOf, type Intent } from './intents'

/**
 * Says how old an intent is, ms. The wall clock of a tablet is corrected now and then, by hours where it was wrong:
 * what this page has seen ages by the page's own clock, which only goes on; what lay there before, by the wall clock
 * until then.
 * @param steady ms since the page began, never set back
 * @example ageOf(intent) // 4200
 */
export function steadyAges(wall: () => number = Date.now, steady: () => number = () => performance.now()) {
  const seen = new Map<string, { readonly at: number; readonly age: number }>()
  return (intent: Pick<Intent, 'kind' | 'id' | 'madeAt'>): number => {
    const key = `${keyOf(intent)} ${intent.madeAt}`
    const first = seen.get(key) ?? { at: steady(), age: Math.max(0, wall() - Date.parse(intent.madeAt)) }
    seen.set(key, first)
    return first.age + steady() - first.at
  }
}
