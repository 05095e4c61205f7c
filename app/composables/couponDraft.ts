import { ref } from 'vue'

/**
 * Keeps what lies on a bench in the browser, so that a reload or a dead server loses nothing.
 * @typeParam Draft what is kept, plain data
 */
export function useCouponDraft<Draft>() {
  const keptAt = ref<'here' | 'nowhere'>('here')
  /** Where the browser keeps it; empty until somebody's bench is open. */
  let key = ''

  function keep(draft: Draft): void {
    try {
      localStorage.setItem(key, JSON.stringify(draft))
      keptAt.value = 'here'
    } catch {
      keptAt.value = 'nowhere'
    }
  }

  function drop(): void {
    localStorage.removeItem(key)
  }

  /** What the browser keeps there; null when there is nothing that can be read. */
  function found(): Draft | null {
    const kept = localStorage.getItem(key)
    if (!kept) return null
    try {
      return JSON.parse(kept) as Draft
    } catch {
      drop()
      return null
    }
  }

  /** Keeps under another key from now on. True when it was another. */
  function keepAt(where: string): boolean {
    const moved = where !== key
    key = where
    return moved
  }

  return { keptAt, keep, drop, found, keepAt }
}
