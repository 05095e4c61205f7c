import { useEventListener } from '@vueuse/core'

/** True where keys belong to what is being typed or chosen, not to the page. */
export function isTaken(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement
  if (target.closest('input, textarea, select, [contenteditable], [role="dialog"], .v-overlay')) return true
  return (event.key === 'Enter' || event.key === ' ') && target.closest('button, a, summary') !== null
}

/**
 * Keys of a page, one letter or named key each; while a dialog is open they are the dialog's, wherever the focus
 * is.
 */
export function usePageKeys(keys: Readonly<Record<string, () => unknown>>, busy: () => boolean = () => false): void {
  useEventListener(document, 'keydown', event => {
    const undo = (event.ctrlKey || event.metaKey) && !event.shiftKey && event.key.toLowerCase() === 'z'
    if (busy() || isTaken(event) || event.altKey || ((event.ctrlKey || event.metaKey) && !undo)) return
    const act = keys[undo ? 'Ctrl Z' : event.key.length === 1 ? event.key.toUpperCase() : event.key]
    if (!act) return
    event.preventDefault()
    act()
  })
}
