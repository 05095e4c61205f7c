import { useEventListener } from '@vueuse/core'
import { actOn, keyOf, type KeyRow } from '~/keys/keyTable'

const OPEN_DIALOG = '.v-dialog.v-overlay--active'

/** True where keys belong to what is being typed or chosen, or to an open dialog, not to the page. */
export function isTaken(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement
  if (target.ownerDocument.querySelector(OPEN_DIALOG)) return true
  if (target.closest('input, textarea, select, [contenteditable], [role="dialog"], .v-overlay')) return true
  return (event.key === 'Enter' || event.key === ' ') && target.closest('button, a, summary') !== null
}

/** The keys of a page; while a dialog is open they are the dialog's, wherever the focus is. */
export function usePageKeys<Act extends string>(
  rows: readonly KeyRow<Act>[],
  acts: Readonly<Record<Act, () => unknown>>,
  busy: () => boolean = () => false,
): void {
  useEventListener(window, 'keydown', event => {
    const key = keyOf(event)
    const act = key === null || busy() || isTaken(event) ? undefined : actOn(rows, key)
    if (act === undefined) return
    event.preventDefault()
    acts[act]()
  })
}
