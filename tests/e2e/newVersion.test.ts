import { createServer, request, type Server } from 'node:http'
import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Browser, Page } from 'playwright-core'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS, PASSWORD } from '../session'
import { openBrowser } from './browser'

/** The server as it is, and then as it is after an update: its service worker differs. */
let updated = false
const school = createServer((asked, answer) => {
  const { hostname, port } = new URL(ADDRESS)
  const { url = '/', method, headers } = asked
  const isNewer = updated && url.startsWith('/sw.js')
  // As it is in the file, whole: neither what the browser has of it nor packed.
  const { 'if-none-match': _, 'if-modified-since': __, 'accept-encoding': ___, ...plain } = headers
  const onward = request({ hostname, port, path: url, method, headers: isNewer ? plain : headers }, found => {
    const { 'content-length': ____, 'etag': _____, ...rest } = found.headers
    answer.writeHead(found.statusCode!, isNewer ? rest : found.headers)
    found.pipe(answer, { end: !isNewer })
    if (isNewer) found.on('end', () => answer.end('\n// A newer one.\n'))
  })
  onward.on('error', () => answer.destroy())
  asked.pipe(onward)
})
const listening = (server: Server) =>
  new Promise<string>(resolve =>
    server.listen(0, '127.0.0.1', () => resolve(`http://127.0.0.1:${(server.address() as { port: number }).port}`)),
  )

let browser: Browser
let made: School
let page: Page
let address: string
let studentId: string
beforeAll(async () => {
  made = await foundTestSchool()
  const { section, student } = await addClass(made, 'Evening V newer', 'Tressa Vance')
  studentId = student.id
  address = await listening(school)
  browser = await openBrowser()
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' })
  await context.addInitScript(id => localStorage.setItem('fusilis.section', id), section.id)
  page = await context.newPage()
  page.setDefaultTimeout(20_000)
  await page.goto(`${address}/sign-in`)
  await page.getByLabel('User name').fill('tobias')
  await page.getByLabel('Password').fill(PASSWORD)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.getByRole('navigation', { name: 'Rooms' }).waitFor()
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => true))
}, 90_000)
afterAll(async () => {
  await browser?.close()
  school.closeAllConnections()
  await new Promise(resolve => school.close(resolve))
})

it('a new version waits while a coupon is read, says so, and is taken when somebody says so', async () => {
  const take = page.getByRole('button', { name: 'New version: take it' })
  await page.goto(`${address}/bench?student=${studentId}`)
  await page.getByRole('heading', { name: 'Tressa Vance' }).waitFor()
  for (const key of ['ArrowUp', 'u']) await page.keyboard.press(key)
  updated = true
  await page.evaluate(async () => {
    await (await navigator.serviceWorker.getRegistration())!.update()
  })
  await page.getByText('A new version waits until this coupon is saved or parked.').waitFor()
  expect(await take.count()).toBe(0)
  const atLoad = await page.evaluate(() => performance.timeOrigin)

  await page.keyboard.press('Enter')
  await take.waitFor()
  expect(await page.evaluate(() => performance.timeOrigin)).toBe(atLoad)
  await Promise.all([page.waitForEvent('load', { timeout: 30_000 }), take.click()])
  await page.getByRole('navigation', { name: 'Rooms' }).waitFor()
  const waits = () => page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.waiting !== null)
  await expect.poll(() => waits().catch(() => true), { timeout: 20_000 }).toBe(false)
  await page.reload()
  await page.getByRole('navigation', { name: 'Rooms' }).waitFor()
  expect(await page.evaluate(() => performance.timeOrigin)).toBeGreaterThan(atLoad)
  expect(await take.count()).toBe(0)
})
