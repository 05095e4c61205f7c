import type { createSeal, Sealed } from './seal'

type Seal = Pick<ReturnType<typeof createSeal>, 'seal' | 'open'>
type Kept<Value> = Value | { readonly sealed: Sealed }

const isSealed = <Value>(kept: Kept<Value>): kept is { readonly sealed: Sealed } =>
  typeof kept === 'object' && kept !== null && 'sealed' in kept

/**
 * Keeps plain data in this browser under a key, sealed for its owner: the next person at a shared device reads nothing
 * of it. Where nothing can be sealed it is kept as it is.
 * @typeParam Value plain data without a field `sealed`
 */
export function sealedDrawer<Value>({ seal, open }: Seal) {
  /** Sealing takes a moment: of two values for one key the later one is kept, whichever is sealed first. */
  const turns = new Map<string, number>()
  function takeTurn(key: string): number {
    const turn = (turns.get(key) ?? 0) + 1
    turns.set(key, turn)
    return turn
  }

  /** @returns false where the browser has no room */
  async function keep(key: string, owner: string, value: Value): Promise<boolean> {
    const turn = takeTurn(key)
    const sealed = await seal(owner, value)
    if (turns.get(key) !== turn) return true
    try {
      localStorage.setItem(key, JSON.stringify(sealed ? { sealed } : value))
      return true
    } catch {
      return false
    }
  }

  function drop(key: string): void {
    takeTurn(key)
    localStorage.removeItem(key)
  }

  /**
   * What lies under a key; null where nothing does, or what its owner alone opens: that stays for the owner. What
   * cannot be read at all is thrown away.
   */
  async function found(key: string, owner: string): Promise<Value | null> {
    const text = localStorage.getItem(key)
    if (!text) return null
    try {
      const kept = JSON.parse(text) as Kept<Value>
      return isSealed(kept) ? await open<Value>(owner, kept.sealed) : kept
    } catch {
      drop(key)
      return null
    }
  }

  return { keep, drop, found }
}
