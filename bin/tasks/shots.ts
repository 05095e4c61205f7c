import type { Page } from 'playwright-core'
import { DEMO_PASSWORD } from '../../server/demoAccounts'
import { openChromium } from './chromium'

const ADDRESS = process.env.FUSILIS_URL!
const FOLDER = 'docs/screenshots'

const browser = await openChromium()

async function visit(username: string, { width = 1280, height = 800, dark = false } = {}): Promise<Page> {
  const context = await browser.newContext({ viewport: { width, height }, colorScheme: dark ? 'dark' : 'light', reducedMotion: 'reduce' })
  const page = await context.newPage()
  await page.goto(`${ADDRESS}/sign-in`)
  await page.getByText('Demo school').waitFor()
  await page.getByLabel('User name').fill(username)
  await page.getByLabel('Password').fill(DEMO_PASSWORD)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.getByRole('navigation', { name: 'Rooms' }).waitFor()
  return page
}

async function take(page: Page, name: string): Promise<void> {
  await page.evaluate(() => window.scrollTo(0, 0))
  await page.waitForTimeout(900)
  await page.screenshot({ path: `${FOLDER}/${name}.png` })
  await page.context().close()
}

async function chooseSection(page: Page, name: string): Promise<void> {
  await page.goto(`${ADDRESS}/`)
  await page.locator('.chooser').click()
  await page.getByRole('option', { name }).click()
  await page.getByRole('heading', { name }).waitFor()
}

/** A coupon of a student on a rung, marked as it would be in the queue. No picture is taken of another rung than the one that is meant. */
async function bench(student: string, rung: string, keys: readonly string[], options = {}): Promise<Page> {
  const page = await visit('tobias', options)
  await chooseSection(page, 'Evening A')
  await page.getByRole('link', { name: `Read a coupon of ${student}` }).click()
  await page.getByRole('heading', { name: student }).waitFor()
  await page.getByRole('group', { name: 'Ticket' }).getByText(rung).waitFor()
  for (const key of keys) await page.keyboard.press(key)
  return page
}

const RESTARTS = ['ArrowUp', 'ArrowUp', 'r', 'r', 'ArrowUp', 'r', 'r', 'ArrowUp', 'ArrowUp', 'u', ']', ']', 'ArrowUp', 'ArrowUp', 'ArrowUp', 'p', 'ArrowDown', 'r', 'r']

await take(await chooseThenStay(), 'floor')
await take(await bench('Dario Venn', 'overhead pad', RESTARTS), 'bench')
await take(await bench('Dario Venn', 'overhead pad', RESTARTS, { width: 820, height: 1180 }), 'bench-tablet')
await take(await bench('Pavo Lindqvar', 'vertical pad', ['ArrowRight', 'ArrowRight', 'ArrowRight', 'u']), 'bench-vertical')
const PIPE = ['ArrowDown', 'f', 'ArrowUp', 'ArrowUp', 'r', 'r', 'ArrowUp', 'ArrowUp', 'Shift+ArrowLeft', 'u']
await take(await bench('Mirela Stroud', 'pipe 6G', PIPE), 'bench-pipe')
await take(await bench('Mirela Stroud', 'pipe 6G', [...PIPE, '0'], { width: 820, height: 1180 }), 'bench-passes')
await take(await bench('Isolde Brack', 'open root 3G', ['ArrowUp', 'g', ']'], { dark: true }), 'bench-groove')
await take(await bench('Mirela Stroud', 'pipe 6G', ['ArrowUp', 'ArrowUp', 'u', '3', '7']), 'bench-codes')
await take(await visit('oriel'), 'record')
await take(await visit('oriel', { width: 390, height: 844, dark: true }), 'record-phone')
const laidOver = await visit('oriel')
await laidOver.getByRole('button', { name: /^(horizontal|vertical) pad, / }).first().click()
await laidOver.getByRole('heading', { name: /^Found/ }).waitFor()
await take(laidOver, 'laid-over')
const shownBead = await visit('oriel')
await shownBead.goto(`${ADDRESS}/reading-room`)
for (const asked of ['What is wrong?', 'What would you change?']) await shownBead.getByRole('region', { name: asked }).getByRole('button').nth(1).click()
await shownBead.getByRole('button', { name: /^Next bead/ }).waitFor()
await take(shownBead, 'reading-room')
const house = await visit('maren')
await house.goto(`${ADDRESS}/house`)
await house.getByRole('heading', { name: 'Accounts' }).waitFor()
await take(house, 'house')

/** A page of a room, once what it is for is on it. */
async function room(path: string, seen: string, options = {}): Promise<Page> {
  const page = await visit('maren', options)
  await page.goto(`${ADDRESS}${path}`)
  await page.getByText(seen).first().waitFor()
  return page
}

await take(await room('/set-up?position=3G+vertical&size=3/32', 'Take care'), 'card')
await take(await room('/set-up/pad', 'Weld metal'), 'pad')
await take(await room('/set-up/joint?position=4G+overhead', 'Weld metal'), 'joint')
await take(await room('/set-up/arithmetic?sheet=run-out', 'Arc time of a rod'), 'arithmetic')
const rules = await room('/house/rules', 'Example coupon')
await rules.getByRole('button', { name: 'Moving up' }).click()
await rules.getByLabel('Sound restarts').fill('60')
await take(rules, 'rules')
const drill = await room('/set-up/drill', 'Run one too hot', { width: 820, height: 1180, dark: true })
for (const [width, height, toes] of [['13/32', '1/16', 'undercut'], ['3/16', '5/32', 'rolled over'], ['9/32', '3/32', 'wetted in']] as const) {
  await drill.getByLabel('Width').fill(width)
  await drill.getByLabel('Height').fill(height)
  await drill.locator('.v-select', { has: drill.getByRole('combobox', { name: 'Toes' }) }).click()
  await drill.getByRole('option', { name: toes }).click()
  await drill.getByRole('button', { name: /read$/ }).click()
}
await take(drill, 'drill-tablet')
await browser.close()

async function chooseThenStay(): Promise<Page> {
  const page = await visit('tobias')
  await chooseSection(page, 'Evening A')
  return page
}
