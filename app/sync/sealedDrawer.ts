import type { createSeal, Sealed } from './seal'

type Seal = Pick<ReturnType<typeof createSeal>, 'seal' | 'open'>
type Kept<Value> = Value | { readonly sealed: Sealed }

const isSealed = <Value>(kept: Kept<Value>): kept is { readonly sealed: Sealed } =>
  typeof kept === 'object' && kept !== null && 'sealed' in kept

/** Where a value lies, and where the next one goes while the first cannot be opened. */
const placesOf = (key: string) => [key, `${key} later`] as const

/**
 * Keeps plain data in this browser under a key, sealed for its owner: the next person at a shared device reads nothing
 * of it. Where nothing can be sealed it is kept as it is. What cannot be opened now, for want of its key, is never
 * written over: a newer value is kept beside it, and both are found again.
 * @typeParam Value plain data without a field `sealed`
 */
export function sealedDrawer<Value>({ seal, open }: Seal) {
  /** Sealing takes a moment: of two values for one key the later one is kept, whichever is sealed first. */
  const turns = new Map<string, number>()
  /** Places that hold what cannot be opened here. */
  const shut = new Set<string>()
  function takeTurn(key: string): number {
    const turn = (turns.get(key) ?? 0) + 1
    turns.set(key, turn)
    return turn
  }

  /** @returns false where the browser has no room, or holds what cannot be opened in either place */
  async function keep(key: string, owner: string, value: Value): Promise<boolean> {
    const turn = takeTurn(key)
    const sealed = await seal(owner, value)
    if (turns.get(key) !== turn) return true
    const [place, ...others] = placesOf(key).filter(one => !shut.has(one))
    if (place === undefined) return false
    try {
      localStorage.setItem(place, JSON.stringify(sealed ? { sealed } : value))
      for (const other of others) localStorage.removeItem(other)
      return true
    } catch {
      return false
    }
  }

  function drop(key: string): void {
    takeTurn(key)
    for (const place of placesOf(key)) if (!shut.has(place)) localStorage.removeItem(place)
  }

  /**
   * All that lies under a key and can be opened, the oldest first; what its owner alone opens stays for the owner. What
   * cannot be read at all is thrown away.
   */
  async function found(key: string, owner: string): Promise<Value[]> {
    const values = await Promise.all(placesOf(key).map(place => valueAt(place, owner)))
    return values.filter(value => value !== null)
  }

  async function valueAt(place: string, owner: string): Promise<Value | null> {
    shut.delete(place)
    const text = localStorage.getItem(place)
    if (!text) return null
    try {
      const kept = JSON.parse(text) as Kept<Value>
      const value = isSealed(kept) ? await open<Value>(owner, kept.sealed) : kept
      if (value === null) shut.add(place)
      return value
    } catch {
      localStorage.removeItem(place)
      return null
    }
  }

  return { keep, drop, found }
}
