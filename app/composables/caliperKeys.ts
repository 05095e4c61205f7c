import { CALIPER_KEY_MS, caliperReading, isOfReading, type TypedKey } from '~~/core/working'

/** Keys that end a caliper's reading, as it is set up. */
const ENDS = ['Enter', 'Tab']
/** No reading is longer. */
const MOST_KEYS = 16

const typedKey = ({ key, timeStamp }: KeyboardEvent): TypedKey => ({ key, atMs: timeStamp })

/** Listens to the keys of one place for a caliper that types its reading. */
export function useCaliperKeys() {
  let keys: TypedKey[] = []

  /** Takes a key; the reading that it ends, mm, where the keys before it came from a caliper. */
  function ended(event: KeyboardEvent): number | null {
    if (event.ctrlKey || event.altKey || event.metaKey || event.key === 'Shift') return null
    if (!ENDS.includes(event.key)) {
      keys = [...keys, typedKey(event)].slice(-MOST_KEYS)
      return null
    }
    const reading = caliperReading(keys)
    keys = []
    return reading
  }
  return { ended }
}

/** Keys that a reading may begin with. */
const BEGINS = /^[\d.,+]$/

interface HeldKeys {
  /** What to do with a reading, mm. */
  readonly reading: (mm: number) => void
  /** What a key does that turns out to be a hand's. */
  readonly release: (event: KeyboardEvent) => unknown
}

/**
 * Holds figures back from the keys of a page for as long as a caliper takes to send the next one: a reading is not
 * taken for keys of the page, nor the key that ends it for the one that saves.
 */
export function useCaliperHold({ reading, release }: HeldKeys) {
  let held: KeyboardEvent[] = []
  let timer = 0

  function letGo(): void {
    window.clearTimeout(timer)
    const keys = held
    held = []
    for (const key of keys) release(key)
  }

  /**
   * True where the key is held, or was the end of a reading: it is none of the page's.
   * @param isTaken the key belongs to what has the focus: no reading begins with it, but it may end one
   */
  function takes(event: KeyboardEvent, isTaken: boolean): boolean {
    const plain = !event.ctrlKey && !event.altKey && !event.metaKey && !event.repeat
    const goesOn = held.length > 0 ? isOfReading(event.key) : !isTaken && BEGINS.test(event.key)
    if (plain && goesOn) {
      window.clearTimeout(timer)
      held = [...held, event]
      timer = window.setTimeout(letGo, CALIPER_KEY_MS + 10)
      return true
    }
    const mm = ENDS.includes(event.key) ? caliperReading(held.map(typedKey)) : null
    if (mm === null) {
      letGo()
      return false
    }
    window.clearTimeout(timer)
    held = []
    reading(mm)
    return true
  }
  onScopeDispose(() => window.clearTimeout(timer))
  return { takes }
}

/** From a field that was filled to the next empty one of its form; from the last the form is handed in. */
export function toNextField(from: HTMLElement): void {
  const form = from.closest('form')
  const fields = [...(form?.querySelectorAll<HTMLInputElement>('input:not([readonly]):not([disabled])') ?? [])]
  const next = fields.slice(fields.findIndex(field => field === from) + 1).find(field => field.value === '')
  if (next) next.focus()
  else form?.requestSubmit()
}
