import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Browser, Page } from 'playwright-core'
import type { CouponPage } from '../../contract/record'
import { foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { choose, listOf, openBrowser, teaching } from './browser'

let browser: Browser
let school: School
let page: Page
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
  page = await teaching(browser, 'tobias', school.section.id, { at: `/bench?student=${school.other.id}` })
  await page.getByRole('heading', { name: 'Pavo Lindqvar' }).waitFor()
})
afterAll(() => browser?.close())

const ticket = () => page.getByRole('group', { name: 'Ticket' })
const editor = () => page.getByRole('dialog', { name: 'Ticket' })
async function edit(change: () => Promise<void>) {
  await page.keyboard.press('i')
  await editor().waitFor()
  await change()
  await editor().getByRole('button', { name: 'Set the ticket' }).click()
  await editor().waitFor({ state: 'hidden' })
}
const pick = (label: string, option: string) => choose(page, listOf(page, label), option)

it('a rung brings its position, its way of travel and the card’s current', async () => {
  await edit(() => pick('Rung', 'vertical pad'))
  const said = await ticket().innerText()
  expect(said).toContain('3G')
  expect(said).toContain('up')
  expect(said).toContain('110 A DCEP')
})

it('a drill brings its plate: arc strikes in rows, a strip of restarts at a spacing', async () => {
  await edit(() => pick('Rung', 'arc strikes'))
  expect(await ticket().innerText()).toContain('arc-strike plate')
  await page.getByText(/^\d+ runs, travel/).waitFor()
  expect(await page.locator('[data-mark*="restart"]').count()).toBe(0)
  await edit(async () => {
    await pick('Rung', 'restart strip')
    await editor().getByLabel('Restart every').fill('1 1/2')
    await editor().getByText('1 1/2 in (38.1 mm)').waitFor()
    await editor().getByLabel('Beads or runs').fill('2')
  })
  expect(await page.locator('[data-mark*="restart"]').count()).toBe(6)
  await edit(async () => {
    await pick('Rung', 'vertical pad')
    await editor().getByLabel('Beads or runs').fill('6')
  })
})

it('another size brings its own current, and more restarts', async () => {
  const restarts = () => page.locator('[data-mark*="restart"]').count()
  const before = await restarts()
  await edit(() => pick('Size', '3/32 in'))
  expect(await ticket().innerText()).toContain('80 A')
  expect(await restarts()).toBeGreaterThan(before)
})

it('marks a rod past its exposure and plate that is too thin, and blocks nothing', async () => {
  await edit(async () => {
    await pick('Size', '1/8 in')
    await editor().getByLabel('Out of the oven').fill('6')
    await editor().getByLabel('Thickness').fill('3/16')
  })
  const said = await ticket().innerText()
  expect(said).toContain('6 h out of the oven; the house allows 4 h')
  expect(said).toContain('This rod wants 1/4 in of plate or more')
})

it('keeps the make of the rod and the arc force, and marks arc force that is off', async () => {
  await edit(async () => {
    await editor().getByLabel('Make').fill('Skerry')
    await editor().getByLabel('Arc force').fill('20')
    await editor().getByText('40–60 % here').waitFor()
  })
  const said = await ticket().innerText()
  expect(said).toContain('Arc force 20 % under 40 to 60 %')
  await page.keyboard.press('i')
  expect(await editor().getByLabel('Make').inputValue()).toBe('Skerry')
  await page.keyboard.press('Escape')
  await editor().waitFor({ state: 'hidden' })
})

it('refuses a current that cannot be, and says the range', async () => {
  await page.keyboard.press('i')
  await editor().getByLabel('Current').fill('0')
  await editor().getByText('From 10 to 500 A').waitFor()
  await editor().getByRole('button', { name: 'Set the ticket' }).click()
  await editor().waitFor()
  await page.keyboard.press('Escape')
  await editor().waitFor({ state: 'hidden' })
})

it('times a bead by one key or typed, and saves it with the coupon', async () => {
  await page.keyboard.press('Space')
  await page.getByText(/break · (0\.[6-9]|[1-9])/).waitFor()
  await page.keyboard.press('Space')
  await page.getByText(/bead 1: .*in\/min/).waitFor()
  await page.getByRole('button', { name: 'type it' }).click()
  await page.getByRole('textbox', { name: 'Arc time' }).fill('soon')
  await page.keyboard.press('Enter')
  await page.getByText('Seconds, from 0.5 to 3600').waitFor()
  await page.getByRole('textbox', { name: 'Arc time' }).fill('45')
  await page.keyboard.press('Enter')
  await page.getByText('45 s, 8 in/min').waitFor()
  await page.getByRole('button', { name: 'type it' }).click()
  await page.getByRole('textbox', { name: /Current from/ }).fill('9')
  await page.keyboard.press('Enter')
  await page.getByText('Whole amperes, from 10 to 500').waitFor()
  await page.getByRole('textbox', { name: /Current from/ }).fill('95')
  await page.keyboard.press('Enter')
  await page.getByText(/45 s, 8 in\/min.*95 A from \d/).waitFor()
  await page.keyboard.press('Enter')
  await page.getByText('Pavo Lindqvar: saved').waitFor()
  const { body } = await school.lead.ask<CouponPage>('GET', `/api/students/${school.other.id}/coupons`)
  const [saved] = body.coupons
  expect(saved!.document.beads[0]).toMatchObject({ arcSeconds: 45, turned: { currentA: 95 } })
  expect(saved!.document.ticket).toMatchObject({
    rung: 'vertical pad',
    hoursOut: 6,
    make: 'Skerry',
    arcForcePercent: 20,
  })
})

it('the next coupon begins as the last, but for how long the rods were out', async () => {
  await page.goto(`${ADDRESS}/bench?student=${school.other.id}`)
  await page.getByRole('heading', { name: 'Pavo Lindqvar' }).waitFor()
  await page.waitForURL(`${ADDRESS}/bench`)
  const said = await ticket().innerText()
  expect(said).toContain('vertical pad')
  expect(said).not.toContain('h out')
  await page.getByRole('button', { name: 'Discard' }).click()
})
