import { expect } from 'vitest'
import type { Browser, BrowserContextOptions, Locator, Page } from 'playwright-core'
import { ADDRESS, Visitor } from '../session'

export { openChromium as openBrowser } from '../../bin/tasks/chromium'

interface PageOptions extends BrowserContextOptions {
  /** The page that is opened first. */
  readonly at?: string
  /** The section that the browser last taught. */
  readonly section?: string
}

/** A page of its own, with a session of its own: the door itself has its own tests. */
export async function signedIn(
  browser: Browser,
  username: string,
  { at = '/', section, ...options }: PageOptions = {},
): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    colorScheme: 'light',
    // Tests stand in for the server and cut it off: a page that opens from what is kept would not notice.
    serviceWorkers: 'block',
    ...options,
  })
  const page = await context.newPage()
  page.setDefaultTimeout(15_000)
  const heard: string[] = []
  page.on('console', message => heard.push(message.text()))
  page.on('pageerror', error => heard.push(error.stack ?? error.message))
  page.on('requestfailed', request => heard.push(`${request.url()} ${request.failure()?.errorText}`))
  page.on('framenavigated', frame => heard.push(`at ${frame.url()}`))
  page.on('request', request => heard.push(`> ${request.url()}`))
  page.on('response', response => heard.push(`${response.status()} ${response.url()}`))
  const { cookies } = await new Visitor().signIn(username)
  await context.addCookies(cookies.map(cookie => ({ ...cookie, url: ADDRESS })))
  // Once: a page may choose another.
  if (section)
    await context.addInitScript(id => {
      if (localStorage.getItem('fusilis.section') === null) localStorage.setItem('fusilis.section', id)
    }, section)
  await page.goto(`${ADDRESS}${at}`)
  await page
    .getByRole('navigation', { name: 'Rooms' })
    .waitFor()
    .catch(async () => {
      throw new Error(
        `${username} did not get in; the page says: ${await page.locator('body').innerText()}\n${heard.join('\n')}`,
      )
    })
  return page
}

/** A page signed in, with a section chosen: whatever the browser last taught. */
export const teaching = (browser: Browser, username: string, section: string, options: PageOptions = {}) =>
  signedIn(browser, username, { ...options, section })

/** Waits until a page has come to rest: nothing on it has changed for a moment, and nothing moves. */
export const settled = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>(resolve => {
        const QUIET_MS = 250
        const moves = () =>
          document
            .getAnimations()
            .some(one => one.playState === 'running' && one.effect?.getComputedTiming().endTime !== Infinity)
        const seen = new MutationObserver(again)
        let timer = window.setTimeout(look, QUIET_MS)
        function again() {
          window.clearTimeout(timer)
          timer = window.setTimeout(look, QUIET_MS)
        }
        function look() {
          if (moves()) return again()
          seen.disconnect()
          resolve()
        }
        seen.observe(document.body, { subtree: true, childList: true, attributes: true, characterData: true })
      }),
  )

/** Presses keys one by one and counts them: how long a piece of work is in hand movements. */
export function countingKeys(page: Page): { press: (...keys: string[]) => Promise<void>; count: () => number } {
  let presses = 0
  return {
    press: async (...keys) => {
      for (const key of keys) {
        await page.keyboard.press(key)
        presses++
      }
    },
    count: () => presses,
  }
}

/** The list of this label, to choose from. */
export const listOf = (page: Page, label: string): Locator =>
  page
    .locator('.v-select, .v-combobox', { has: page.getByRole('combobox', { name: label, exact: true }) })
    .filter({ visible: true })
    .first()

/**
 * Chooses from a list that opens over the page. A click that lands while the list is still opening is not taken: then
 * it is made once more.
 */
export async function choose(page: Page, list: Locator, option: string): Promise<void> {
  const wanted = page.getByRole('option', { name: option, exact: true })
  for (let attempt = 1; ; attempt++) {
    if (!(await wanted.isVisible())) await list.click()
    try {
      await wanted.click({ timeout: 5000 })
      const taken = async () => !(await wanted.isVisible()) || (await wanted.getAttribute('aria-selected')) === 'true'
      await expect.poll(taken, { timeout: 3000 }).toBe(true)
      return
    } catch (error) {
      if (attempt === 4) throw error
    }
  }
}

/** What waits in this page's browser for the server to answer. */
export const waitingIn = (page: Page): Promise<{ id: string; kind: string }[]> =>
  page.evaluate(
    () =>
      new Promise((resolve, reject) => {
        const opened = indexedDB.open('fusilis')
        opened.onerror = () => reject(opened.error)
        opened.onsuccess = () => {
          const asked = opened.result.transaction('outbox').objectStore('outbox').getAll()
          asked.onsuccess = () => resolve(asked.result as { id: string; kind: string }[])
          asked.onerror = () => reject(asked.error)
        }
      }),
  )
