import { ref } from 'vue'
import type { sealedDrawer } from '~/sync/sealedDrawer'

/**
 * Keeps what lies on a bench in the browser, sealed for the one who marks it, so that a reload or a dead server loses
 * nothing.
 * @typeParam Draft what is kept, plain data
 */
export function useCouponDraft<Draft>(drawer: ReturnType<typeof sealedDrawer<Draft>>) {
  const keptAt = ref<'here' | 'nowhere'>('here')
  /** Where the browser keeps it, and for whom; empty until a bench is open. */
  let key = ''
  let owner = ''

  async function keep(draft: Draft): Promise<void> {
    keptAt.value = (await drawer.keep(key, owner, draft)) ? 'here' : 'nowhere'
  }

  const drop = (): void => drawer.drop(key)

  /** What the browser keeps there and can be opened: one as a rule, none, or one more that was kept beside it. */
  const found = (): Promise<Draft[]> => drawer.found(key, owner)

  /** Keeps under another key from now on, sealed for its owner. True when it was another. */
  function keepAt(where: string, whose: string): boolean {
    const moved = where !== key
    key = where
    owner = whose
    return moved
  }

  return { keptAt, keep, drop, found, keepAt }
}
