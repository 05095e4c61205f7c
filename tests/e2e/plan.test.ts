import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Browser, Page } from 'playwright-core'
import { classDayAt, MACHINE_CLOCK } from '../../core/calendar'
import type { DayToPlan } from '../../contract/dayPlan'
import type { Section, Student } from '../../contract/people'
import { closeDatabase } from '../../server/store/database'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { choose, openBrowser, teaching } from './browser'

let school: School
let browser: Browser
let section: Section
let student: Student
let page: Page
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
  ;({ section, student } = await addClass(school, 'Evening S plan', 'Eseld Carne'))
  const { id: _, ...fields } = student
  for (const [name, booth] of [
    ['Branok Tye', 1],
    ['Tamsyn Rowe', 2],
  ] as const)
    await school.lead.ask('POST', '/api/students', { ...fields, name, booth })
  page = await teaching(browser, 'tobias', section.id)
  // The search has work to do, and a busy machine takes its time over it.
  page.setDefaultTimeout(60_000)
})
afterAll(async () => {
  await browser?.close()
  await closeDatabase()
})

const kept = async () =>
  (
    await school.instructor.ask<DayToPlan>(
      'GET',
      `/api/sections/${section.id}/plan?day=${classDayAt(new Date(), MACHINE_CLOCK)}`,
    )
  ).body.kept
/** A student's coupons as the plan has them: in which booth, from when to when on the wall. */
const placed = async (name: string) =>
  (await coupons(name).evaluateAll(all => all.map(one => one.ariaLabel!))).map(label => {
    const [, booth, from, to] = /booth (\d+), (\d\d:\d\d) to (\d\d:\d\d)/.exec(label)!
    return { label, booth: Number(booth), from: from!, to: to! }
  })
/** Which row of the plan is a booth's. */
const rowOf = async (booth: number) =>
  (await page.getByRole('group', { name: /^Booth \d+$/ }).evaluateAll(all => all.map(one => one.ariaLabel))).indexOf(
    `Booth ${booth}`,
  )
const coupons = (name: string) => page.getByRole('button', { name: new RegExp(`^${name}: `) })

it('a day is planned by one key, changed by keys, and kept', async () => {
  await page.goto(`${ADDRESS}/day`)
  await page.getByRole('link', { name: 'Plan', exact: true }).click()
  await page.getByText('Nothing is planned yet.').waitFor()
  await page.keyboard.press('p')
  await page.getByText(/^3 of 3 weld, \d+ coupons\. (No plan is better\.|At most \d+ % under the best)/).waitFor()
  await coupons('Branok Tye').first().waitFor()

  await coupons('Branok Tye').last().focus()
  await page.keyboard.press('Delete')
  await page.getByText(/^3 of 3 weld, \d+ coupons\.$/).waitFor()
  // A row up is another booth: two at once, said at once. Whose is above goes by the booths that the shop has.
  const lines = [...(await placed('Tamsyn Rowe')), ...(await placed('Branok Tye'))]
  const meets = lines.flatMap(lower =>
    lines
      .filter(upper => upper.booth < lower.booth && upper.from < lower.to && lower.from < upper.to)
      .map(upper => ({ lower, upper })),
  )[0]!
  await page.getByRole('button', { name: meets.lower.label, exact: true }).focus()
  for (let row = await rowOf(meets.lower.booth); row > (await rowOf(meets.upper.booth)); row--)
    await page.keyboard.press('ArrowUp')
  await expect.poll(() => page.getByRole('alert').filter({ hasText: 'has two at once' }).count()).toBe(1)
  // What is not saved stays in this browser, over another day and a reload.
  await page.getByRole('button', { name: 'The day after' }).click()
  await page.getByText('Nothing is planned yet.').waitFor()
  await page.waitForURL(/day=/)
  await page.reload()
  await page.getByRole('button', { name: 'Today' }).click()
  await page.getByRole('alert').filter({ hasText: 'has two at once' }).waitFor()
  expect((await kept()).version).toBe(0)
  await page.getByRole('button', { name: 'Save' }).click()
  await page.getByText(/saved by tobias/).waitFor()
  expect((await kept()).plan?.lines.some(line => line.pinned)).toBe(true)
})

it('who is missing is said at once, and planned again moves as little as can be', async () => {
  const before = (await kept()).plan!.lines
  await page.getByRole('button', { name: /^Branok Tye/, expanded: false }).click()
  await page.getByRole('button', { name: 'Is missing' }).click()
  await page.getByText('▲ Branok Tye is not here').first().waitFor()
  await page.getByRole('button', { name: 'Plan again' }).click()
  await page.getByText(/^2 of 2 weld/).waitFor()
  await page.getByText(/is better( that moves as few)?\.|under the best/).waitFor()
  expect(await page.getByRole('alert').count()).toBe(0)
  await page.getByRole('button', { name: 'Save' }).click()
  await page.getByText(/saved by tobias/).waitFor()
  const { lines } = (await kept()).plan!
  const own = before.filter(line => line.studentId === student.id)
  expect(lines.filter(line => line.studentId === student.id)).toEqual(expect.arrayContaining(own))
})

/** A plan is looked for in time, which is short where other files of tests run beside this one, ms. */
const PLANNED_MS = 40_000

it('a coupon is put in by two taps, and a demonstration that it misses is said', async () => {
  await page.getByRole('button', { name: /^Eseld Carne \d/ }).click()
  while ((await coupons('Eseld Carne').count()) > 0) {
    await coupons('Eseld Carne').first().focus()
    await page.keyboard.press('Delete')
  }
  await page.getByRole('button', { name: /^\+ / }).first().click()
  await page.getByText('Tap the booth and the time where it goes.').waitFor()
  const booth = page.getByRole('group', { name: /^Booth / }).last()
  await booth.locator('.lane').click({ position: { x: 4, y: 20 } })
  await coupons('Eseld Carne').first().waitFor()
  const name = (await booth.getAttribute('aria-label'))!.toLowerCase()
  expect(await coupons('Eseld Carne').first().getAttribute('aria-label')).toContain(name)

  // Left alone it is as it was saved; what is done while the coupons are being worked out stops nothing.
  await page.getByRole('button', { name: 'Leave it' }).first().click()
  await expect.poll(() => coupons('Eseld Carne').count()).toBeGreaterThan(1)
  await page.getByRole('button', { name: 'Start over' }).click()
  await page.getByText('Nothing is planned yet.').waitFor()
  await page.getByRole('button', { name: 'Plan it' }).click()
  await page.getByText(/is better\.|under the best/).waitFor({ timeout: PLANNED_MS })

  await page.getByRole('button', { name: 'Planned by' }).click()
  await page.getByLabel('Demonstration').fill('Restarts')
  await page.getByRole('button', { name: 'Add', exact: true }).click()
  await page
    .getByText(/▲ Eseld Carne misses “Restarts”/)
    .first()
    .waitFor()
  await page.getByRole('button', { name: 'Plan again' }).click()
  await page.getByText(/is better( that moves as few)?\.|under the best/).waitFor({ timeout: PLANNED_MS })
  expect(await page.getByRole('alert').count()).toBe(0)
})

it('its slips are printed, each opens that rung on the Bench, and its plates are cut', async () => {
  const onPaper = async (what: string) => {
    await page.getByRole('button', { name: 'On paper' }).click()
    await page.getByText(what, { exact: true }).click()
  }
  const downloading = page.waitForEvent('download')
  await onPaper('Slips for the booths')
  expect((await downloading).suggestedFilename()).toMatch(/^Slips \d{4}-\d{2}-\d{2}\.pdf$/)
  const cards = page.waitForEvent('download')
  await onPaper('Settings cards')
  expect((await cards).suggestedFilename()).toMatch(/^Cards \d{4}-\d{2}-\d{2}\.pdf$/)
  const again = page.getByRole('group', { name: 'To be taken again' })
  const toCut = page.getByRole('list', { name: 'Pieces to cut' }).getByText('for arc-strike plate')
  await toCut.waitFor()
  await choose(page, again.locator('.v-select'), 'arc-strike plate')
  await again.getByLabel('How many').fill('99')
  await again.getByRole('button', { name: 'Again', exact: true }).click()
  await page.getByText('again, another layer').waitFor()
  expect(await toCut.count()).toBe(0)
  await again.getByRole('button', { name: 'Not again: arc-strike plate' }).click()
  await toCut.waitFor()
  await page.getByRole('button', { name: 'Save' }).click()
  await page.getByText(/saved by tobias/).waitFor()
  await page.getByRole('button', { name: 'Cut the plates' }).click()
  await page.getByRole('button', { name: 'Work it out' }).click()
  await page.getByRole('region', { name: 'How it is cut' }).getByText(/bar/).first().waitFor()

  await page.goto(`${ADDRESS}/bench?student=${student.id}&rung=overhead-pad`)
  await page.getByRole('group', { name: 'Ticket' }).getByText('overhead pad').waitFor()
})
