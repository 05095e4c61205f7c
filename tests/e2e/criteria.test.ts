import { afterAll, beforeAll, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { Browser } from 'playwright-core'
import type { Section } from '../../contract/people'
import { newReading, putMark } from '../../core/coupon'
import { aFlaw, aJoint } from '../../core/coupon/example'
import { inches } from '../../core/units'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { choose, openBrowser, teaching } from './browser'

let browser: Browser
let school: School
let section: Section
let couponId: string
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
  const { student, ...own } = await addClass(school, 'Evening W, criteria', 'Jonas Merrow')
  section = own.section
  const pipe = aJoint()
  const marks = [
    aFlaw({ id: 'deep', beadId: 'p4-right', side: 'both', sizeMm: inches(3 / 64) }),
    newReading('r', 'height', { beadId: 'p4-right', atMm: 50 }, inches(1 / 16)),
  ]
  couponId = uuid()
  await school.lead.ask('PUT', `/api/coupons/${couponId}`, {
    baseVersion: 0,
    why: '',
    document: { ...marks.reduce(putMark, pipe), studentId: student.id },
  })
})
afterAll(() => browser?.close())

it('a coupon is held against several codes at once, and a failing line leads to its marks', async () => {
  const page = await teaching(browser, 'tobias', section.id, { at: `/bench?coupon=${couponId}&name=Jonas%20Merrow` })
  await page.getByRole('heading', { name: 'Jonas Merrow' }).waitFor()
  await page.keyboard.press('7')
  const dialog = page.getByRole('dialog')
  const test = dialog.getByRole('region', { name: 'Structural plate, welder test' })
  await test.getByText('fails', { exact: true }).first().waitFor()
  expect(
    await test
      .getByRole('row', { name: /Undercut, deepest/ })
      .getByRole('cell')
      .allInnerTexts(),
  ).toEqual(['3/64 in', '1/32 in', '2020 6.10.1 (2015 4.9.1)', 'fails: show'])
  expect(await test.getByRole('row', { name: /^Reinforcement/ }).innerText()).toContain('passes')
  await choose(page, dialog.locator('.v-select'), 'Structural plate, production (static)')
  await page.keyboard.press('Escape')
  const production = dialog.getByRole('region', { name: 'Structural plate, production (static)' })
  expect(await production.getByRole('row', { name: /Undercut, deepest/ }).innerText()).toContain('passes')
  await test.getByRole('button', { name: 'fails: show' }).click()
  await page.getByRole('region', { name: 'Selected mark' }).getByRole('button', { name: 'which toe' }).waitFor()
  await page.context().close()
})

it('a lead copies a shipped set and edits it with the book at hand; it takes the shipped one’s place', async () => {
  const page = await teaching(browser, 'maren', section.id, { at: '/house/criteria' })
  await page.getByRole('button', { name: 'Copy and edit' }).click()
  await page.getByLabel('Name').fill('Welder test, our book')
  const editing = page.getByRole('region', { name: 'Editing' })
  const undercut = editing.locator('.line').nth(2)
  await undercut.getByLabel('Inch').fill('1/16')
  await undercut.getByLabel('Metric').fill('1.5')
  await page.getByRole('button', { name: 'Save the set' }).click()
  await page.getByText('Say why: it is kept with the version').waitFor()
  await page.getByLabel('Why').fill('2025 edition at hand')
  await page.getByRole('button', { name: 'Save the set' }).click()
  await page
    .getByRole('region', { name: 'Welder test, our book' })
    .getByText(/version 1 by Maren Holt: 2025 edition at hand/)
    .waitFor()
  await page.getByText('1/16 in (1.5 mm)').waitFor()
  await page
    .getByRole('button', { name: /^Structural plate, welder test/ })
    .getByText('superseded here')
    .waitFor()

  await page.goto(`${ADDRESS}/bench?coupon=${couponId}&name=Jonas%20Merrow`)
  await page.getByRole('heading', { name: 'Jonas Merrow' }).waitFor()
  await page.keyboard.press('7')
  await choose(page, page.getByRole('dialog').locator('.v-select'), 'Welder test, our book')
  await page.keyboard.press('Escape')
  expect(
    await page
      .getByRole('region', { name: 'Welder test, our book' })
      .getByRole('row', { name: /Undercut, deepest/ })
      .innerText(),
  ).toContain('passes')
  await page.context().close()
})

it('an instructor reads the sets and edits none', async () => {
  const page = await teaching(browser, 'tobias', section.id, { at: '/house/criteria' })
  await page.getByRole('heading', { name: 'Structural plate, welder test' }).waitFor()
  expect(await page.getByRole('button', { name: 'Copy and edit' }).count()).toBe(0)
  await page.context().close()
})
