import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Browser } from 'playwright-core'
import { fusilisThemes } from '../../app/assets/themes'
import { foundTestSchool } from '../school'
import { ADDRESS, PASSWORD } from '../session'
import { openBrowser, settled } from './browser'

let browser: Browser
beforeAll(async () => {
  browser = await openBrowser()
})
afterAll(() => browser?.close())

const hexOf = (rgb: string) =>
  `#${[...rgb.matchAll(/\d+/g)].map(part => Number(part[0]).toString(16).padStart(2, '0')).join('')}`

/** What is painted while none of the application's own script has come. */
async function painted(
  kept: Readonly<Record<string, string>>,
  {
    colorScheme = 'light',
    width = 1280,
    path = '/',
  }: { colorScheme?: 'light' | 'dark'; width?: number; path?: string },
) {
  const context = await browser.newContext({ colorScheme, viewport: { width, height: 800 }, serviceWorkers: 'block' })
  await context.addInitScript(
    all => Object.entries(all).forEach(([key, value]) => localStorage.setItem(key, value)),
    kept,
  )
  const page = await context.newPage()
  await page.route('**/_nuxt/**', route => route.abort())
  await page.goto(`${ADDRESS}${path}`, { waitUntil: 'domcontentloaded' })
  const frame = page.locator('.first-paint')
  const rail = frame.locator('i')
  const found = {
    background: hexOf(await frame.evaluate(one => getComputedStyle(one).backgroundColor)),
    rail: (await rail.isVisible()) ? await rail.boundingBox() : null,
  }
  await context.close()
  return found
}

describe('the door', () => {
  it('asks for nothing that the server refuses, from the first visit to the first room', async () => {
    await foundTestSchool()
    const context = await browser.newContext({ serviceWorkers: 'block' })
    const page = await context.newPage()
    const refused: string[] = []
    page.on('response', response => {
      if (response.status() >= 400) refused.push(`${response.status()} ${new URL(response.url()).pathname}`)
    })
    await page.goto(`${ADDRESS}/sign-in`)
    await page.getByLabel('User name').fill('maren')
    await page.getByLabel('Password').fill(PASSWORD)
    await page.getByRole('button', { name: 'Sign in' }).click()
    await page.waitForURL(url => url.pathname !== '/sign-in')
    await settled(page)
    expect(refused).toEqual([])
    await context.close()
  })
})

describe('the first bytes of a page', () => {
  it('are painted in the theme of the device, or the one that was chosen here', async () => {
    const { shop, booth } = fusilisThemes
    expect((await painted({}, {})).background).toBe(shop.colors.background)
    expect((await painted({}, { colorScheme: 'dark' })).background).toBe(booth.colors.background)
    expect((await painted({ 'fusilis.theme': 'booth' }, {})).background).toBe(booth.colors.background)
    expect((await painted({ 'fusilis.theme': 'shop' }, { colorScheme: 'dark' })).background).toBe(
      shop.colors.background,
    )
  })
  it('have the rail where an instructor has taught, and not at the door', async () => {
    const taught = { 'fusilis.section': '01900000-0000-7000-8000-000000000001' }
    expect((await painted(taught, {})).rail).toMatchObject({ x: 0, width: 96, height: 800 })
    expect((await painted(taught, { width: 390 })).rail).toMatchObject({ x: 0, y: 740, width: 390, height: 60 })
    expect((await painted(taught, { path: '/sign-in' })).rail).toBeNull()
    expect((await painted({}, {})).rail).toBeNull()
  })
})
