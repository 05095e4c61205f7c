import type { Page } from 'playwright-core'
import { DEMO_PASSWORD } from '../../demo/accounts'
import { openChromium } from './chromium'

const ADDRESS = process.env.FUSILIS_URL!
const FOLDER = 'docs/screenshots'

const browser = await openChromium()

async function visit(username: string, { width = 1280, height = 800, dark = false } = {}): Promise<Page> {
  const context = await browser.newContext({
    serviceWorkers: 'block',
    viewport: { width, height },
    colorScheme: dark ? 'dark' : 'light',
    reducedMotion: 'reduce',
    // On a phone there is a finger, and no keyboard.
    hasTouch: width < 600,
    isMobile: width < 600,
  })
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

/**
 * A coupon of a student on a rung, marked as it would be in the queue. No picture is taken of another rung than the
 * one that is meant.
 */
async function bench(student: string, rung: string, keys: readonly string[], options = {}): Promise<Page> {
  const page = await visit('tobias', options)
  await chooseSection(page, 'Evening A')
  await page
    .getByRole('link', { name: `Read a coupon of ${student}` })
    .first()
    .click()
  await page.getByRole('heading', { name: student }).waitFor()
  await page.getByRole('group', { name: 'Ticket' }).getByText(rung).waitFor()
  for (const key of keys) await page.keyboard.press(key)
  return page
}

const RESTARTS = [
  'ArrowUp',
  'ArrowUp',
  'r',
  'r',
  'ArrowUp',
  'ArrowUp',
  'ArrowUp',
  'u',
  ']',
  ']',
  'ArrowUp',
  'ArrowUp',
  'ArrowUp',
  'p',
  'ArrowDown',
  'r',
  'r',
]

await take(await chooseThenStay(), 'floor')
const evening = await visit('tobias')
await chooseSection(evening, 'Evening A')
await evening.goto(`${ADDRESS}/day`)
await evening.getByRole('button', { name: 'The class day before' }).click()
await evening.getByRole('heading', { name: 'Who was here' }).waitFor()
await take(evening, 'day')
const planned = await visit('tobias')
await chooseSection(planned, 'Evening A')
await planned.goto(`${ADDRESS}/plan?day=2026-12-07`)
await planned.getByText('Nothing is planned yet.').waitFor()
await planned.keyboard.press('p')
await planned.getByText(/is better|under the best/).waitFor()
await take(planned, 'day-plan')
const interrupted = await bench('Isolde Brack', 'open root 3G', ['ArrowUp', 'g', ']'])
await interrupted.keyboard.press('/')
await interrupted.getByRole('dialog').getByLabel('Name or booth').fill('Dario Venn')
await interrupted.keyboard.press('Enter')
await interrupted.getByRole('heading', { name: 'Dario Venn' }).waitFor()
for (const key of RESTARTS) await interrupted.keyboard.press(key)
await take(interrupted, 'bench')
const held = await visit('tobias', { width: 390, height: 844 })
await chooseSection(held, 'Evening A')
await held.getByRole('link', { name: 'Read a coupon of Isolde Brack' }).first().click()
await held.getByRole('heading', { name: 'Isolde Brack' }).waitFor()
await held.getByRole('group', { name: 'Passes' }).getByRole('button').last().tap()
await held.getByRole('toolbar', { name: 'Marks' }).getByRole('button', { name: 'Undercut' }).tap()
for (const name of ['which toe', 'Stretch the span', 'Stretch the span']) await held.getByRole('button', { name }).tap()
await take(held, 'bench-phone')
const PIPE = ['ArrowDown', 'f', 'ArrowUp', 'ArrowUp', 'r', 'r', 'ArrowUp', 'ArrowUp', 'Shift+ArrowLeft', 'u']
await take(await bench('Mirela Stroud', 'pipe 6G', PIPE, { dark: true }), 'bench-pipe')
const ownDay = await visit('oriel')
await ownDay.getByRole('heading', { name: /^Next: / }).waitFor()
const show = ownDay.getByRole('button', { name: 'Show what was said' })
if (await show.isVisible()) await show.click()
await ownDay.getByRole('img', { name: /^Coupon of / }).waitFor()
await take(ownDay, 'today')
/** The own record of the student who is signed in. */
async function ownRecord(): Promise<Page> {
  const page = await visit('oriel')
  await page.getByRole('navigation', { name: 'Rooms' }).getByRole('link', { name: 'Record' }).click()
  await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
  return page
}
await take(await ownRecord(), 'record')

/** A pad that a picture was taken of, with its marks over it. */
async function pictured(): Promise<Page> {
  const page = await visit('maren')
  const get = async <T>(path: string): Promise<T> => (await page.request.get(`${ADDRESS}${path}`)).json() as Promise<T>
  const students = await Promise.all(
    (await get<{ id: string }[]>('/api/sections')).map(({ id }) =>
      get<{ id: string; name: string }[]>(`/api/sections/${id}/students`),
    ),
  )
  for (const { id, name } of students.flat()) {
    const { coupons } = await get<{ coupons: { id: string; pictures: number }[] }>(`/api/students/${id}/coupons`)
    const found = coupons.find(coupon => coupon.pictures > 0)
    if (!found) continue
    await page.goto(`${ADDRESS}/bench?coupon=${found.id}&name=${encodeURIComponent(name)}`)
    break
  }
  await page.getByRole('button', { name: '1 picture' }).click()
  await page.getByRole('button', { name: 'Under the marks' }).click()
  await page.locator('.drawing image').waitFor()
  for (let n = 0; n < 20; n++) await page.keyboard.press('ArrowUp')
  for (let n = 0; n < 20; n++) await page.keyboard.press('ArrowRight')
  const measure = page.getByRole('button', { name: /^Measure/ })
  await measure.click()
  await page.getByRole('button', { name: 'Keep as gauged' }).waitFor()
  return page
}
await take(await pictured(), 'picture')
const laidOver = await ownRecord()
await laidOver
  .getByRole('button', { name: /^(horizontal|vertical) pad, / })
  .first()
  .click()
await laidOver.getByRole('heading', { name: /^Found/ }).waitFor()
await take(laidOver, 'laid-over')
const shownBead = await visit('oriel')
await shownBead.goto(`${ADDRESS}/reading-room`)
for (const asked of ['What is wrong?', 'What would you change?'])
  await shownBead.getByRole('region', { name: asked }).getByRole('button').nth(1).click()
await shownBead.getByRole('button', { name: /^Next bead/ }).waitFor()
await take(shownBead, 'reading-room')
/** A page of a room, once what it is for is on it. */
async function room(path: string, seen: string, options = {}): Promise<Page> {
  const page = await visit('maren', options)
  await page.goto(`${ADDRESS}${path}`)
  await page.getByText(seen).first().waitFor()
  return page
}

await take(await room('/set-up?position=3G+vertical&size=3/32', 'Take care'), 'card')
const board = await visit('tobias')
await chooseSection(board, 'Evening A')
await board.goto(`${ADDRESS}/board`)
await board.getByRole('heading', { name: 'Board' }).waitFor()
await board.getByRole('link', { name: 'Mirela Stroud' }).waitFor()
await take(board, 'board')

const progress = await visit('tobias', { dark: true })
await chooseSection(progress, 'Evening A')
await progress.goto(`${ADDRESS}/board`)
await progress.getByRole('link', { name: 'Mirela Stroud' }).click()
await progress.getByRole('link', { name: 'Progress' }).click()
await progress.getByRole('heading', { name: 'What would help most' }).waitFor()
await take(progress, 'progress')

const plan = await visit('tobias')
await chooseSection(plan, 'Evening A')
await plan.goto(`${ADDRESS}/test-bay/plan`)
await plan.getByLabel('Name or booth').fill('isolde')
await plan.keyboard.press('Enter')
await plan
  .getByText(/^about \d of 10$/)
  .first()
  .waitFor()
await take(plan, 'test-plan')

const test = await room('/test-bay', 'to be bent')
await test.getByText('to be bent').click()
await test.getByRole('button', { name: /^Sound: face bend/ }).waitFor()
await test.keyboard.press('Enter')
await test.getByRole('button', { name: /^Sound: root bend/ }).waitFor()
await take(test, 'test')
await take(await room('/house/readers', 'How much each marks'), 'readers')
await take(await room('/test-bay/cohort', 'Were the odds honest?'), 'figures')
const rods = await visit('tobias')
await chooseSection(rods, 'Evening A')
await rods.goto(`${ADDRESS}/rods`)
await rods.getByText('past their hours: bring them back').waitFor()
await rods
  .getByText(/most likely/)
  .first()
  .waitFor()
await rods.getByText(/whose rods are in the book/).waitFor()
await take(rods, 'rods')
await browser.close()

async function chooseThenStay(): Promise<Page> {
  const page = await visit('tobias')
  await chooseSection(page, 'Evening A')
  return page
}
