import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Browser, Page } from 'playwright-core'
import { freePort, startMariadb } from '../../bin/mariadb.mjs'
import { runTask } from '../../bin/run.mjs'
import { serve } from '../../bin/serve.mjs'
import { PASSWORD } from '../session'
import { openBrowser } from './browser'

/** A school's own server on an empty database: what somebody sees who has just installed it and has read nothing. */
let dir: string
let database: Awaited<ReturnType<typeof startMariadb>>
let server: Awaited<ReturnType<typeof serve>>
let browser: Browser
let page: Page
beforeAll(async () => {
  dir = await mkdtemp(`${tmpdir()}/fusilis-first-`)
  database = await startMariadb(dir, { durable: false })
  await runTask('migrate', [], { env: { FUSILIS_DB_URL: database.ownerUrl } })
  server = await serve({ dir, url: database.url, port: await freePort() })
  browser = await openBrowser()
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    serviceWorkers: 'block',
  })
  page = await context.newPage()
})
afterAll(async () => {
  await browser?.close()
  await server?.stop()
  await database?.stop()
  await rm(dir, { recursive: true, force: true })
})

const button = (name: string) => page.getByRole('button', { name, exact: true })
const step = (name: string) => page.getByRole('button', { name: new RegExp(`${name}.*done$`, 's') })

it('goes from an empty database to the first coupon read, by somebody who has read nothing', async () => {
  await page.goto(server.address)
  await page.getByLabel('School').fill('Gannet Quay Trades Hall')
  await page.getByLabel('Your name').fill('Maren Holt')
  await page.getByLabel('User name').fill('maren')
  await page.getByLabel('Password').fill(PASSWORD)
  await button('Create the first lead instructor').click()
  await page.getByRole('heading', { name: 'The first day' }).waitFor()

  await page.getByRole('button', { name: /^Here: / }).click()
  await step('Where the school stands').waitFor()

  await button('Name the class').click()
  await page.getByLabel('Name', { exact: true }).fill('Evening T')
  await page.getByLabel('to', { exact: true }).fill('2099-12-18')
  await button('Save').click()
  await step('The first class').waitFor()

  // Left in the middle, it is taken up where it was.
  await page.goto(`${server.address}/`)
  await page.getByText('Nobody is in Evening T yet.').waitFor()
  await page.getByRole('link', { name: 'Set the school up' }).click()
  await page.getByText('2 of 5 done').waitFor()

  await button('Paste the roster').click()
  await page
    .getByLabel(/^Paste the list here/)
    .fill('Surname\tGiven name\tBay\tDominant\nVenn\tDario\t3\tL\nHaddix\tNoor\tx\tR\n')
  await page.getByText('1 of 2 lines need mending').waitFor()
  await page.getByLabel('Booth of Noor Haddix').fill('4')
  await page.getByLabel('Booth of Noor Haddix').blur()
  expect(await page.getByLabel('Hand of Dario Venn').inputValue()).toBe('right')
  await button('Import 2 students').click()
  await step('Who is in it').waitFor()

  await page.getByLabel('How many booths').fill('none')
  await button('Lay them out').click()
  await page.getByText('Booths: a whole number from 1 to 60').waitFor()
  await page.getByLabel('How many booths').fill('8')
  await button('Lay them out').click()
  await step('The booths').waitFor()

  await page.getByText('Strict stringers').click()
  await page.getByLabel('Millimetres').check()
  await button('Teach this way').click()
  await page.getByText('5 of 5 done').waitFor()

  await page.getByRole('link', { name: 'Try the Bench' }).click()
  await page.getByRole('heading', { name: 'A coupon to try' }).waitFor()
  await page.keyboard.press('u')
  await page.keyboard.press('Enter')
  await page.getByText('That one was to try: nothing of it is kept').waitFor()

  await page.keyboard.press('n')
  await page
    .getByRole('heading', { name: 'Dario Venn' })
    .or(page.getByRole('heading', { name: 'Noor Haddix' }))
    .waitFor()
  await page.keyboard.press('Enter')
  await page.getByText(/(Dario Venn|Noor Haddix): saved/).waitFor()

  await page.goto(`${server.address}/`)
  await page.getByText('1 read today').waitFor()
  await page.goto(`${server.address}/house/rules`)
  await page
    .getByText(/the house follows: Strict stringers/i)
    .first()
    .waitFor()
})
