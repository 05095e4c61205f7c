import type { Page } from 'playwright-core'

/**
 * Stands in for a caliper that sends its reading as a keyboard: one key after the other, faster than any hand, then
 * Enter, to wherever the focus is.
 */
export const caliperSends = (page: Page, reading: string): Promise<void> =>
  page.evaluate(text => {
    const press = (key: string) =>
      (document.activeElement ?? document.body).dispatchEvent(
        new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }),
      )
    for (const character of text) if (press(character)) document.execCommand('insertText', false, character)
    press('Enter')
  }, reading)
