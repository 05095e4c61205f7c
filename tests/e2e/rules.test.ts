import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Browser, Page } from 'playwright-core'
import { DEFAULT_HOUSE_RULES, writeRule } from '../../core/house'
import type { RulesVersion } from '../../contract/record'
import { writeRulesFile } from '../../contract/houseRules'
import { foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { openBrowser, signedIn, teaching } from './browser'

let browser: Browser
let school: School
let page: Page
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
  page = await teaching(browser, 'maren', school.section.id)
})
afterAll(() => browser?.close())

const newest = async () => (await school.lead.ask<RulesVersion[]>('GET', '/api/house-rules')).body.at(-1)!
const saveBeside = async (rules: unknown) =>
  school.lead.ask('POST', '/api/house-rules', { baseVersion: (await newest()).version, why: 'from beside', rules })
const open = async (on = page) => {
  await on.goto(`${ADDRESS}/house/rules`)
  await on.getByRole('heading', { name: 'Example coupon' }).waitFor()
}
const group = (name: string) => page.getByRole('navigation', { name: 'Groups' }).getByRole('button', { name }).click()
const bring = async (why: string) => {
  await page.getByRole('button', { name: /Save as version/ }).click()
  await page.getByLabel('Why', { exact: true }).fill(why)
  await page.getByRole('button', { name: 'Bring into force' }).click()
}

describe('house rules', () => {
  it('show what a change does on the example, keep it over a reload, and save it with a reason', async () => {
    await saveBeside(DEFAULT_HOUSE_RULES)
    await open()
    await group('Moving up')
    await page.getByLabel('Sound restarts').fill('100')
    const edited = page.locator('.verdicts p').nth(1)
    await edited.getByText('run it again').waitFor()
    await page.getByText('1 line changed').waitFor()
    await page.reload()
    await edited.getByText('run it again').waitFor()
    await page.getByRole('button', { name: /Save as version/ }).click()
    await page.getByRole('button', { name: 'Bring into force' }).click()
    await page.getByText('This is missing').waitFor()
    await page.getByLabel('Why', { exact: true }).fill('every restart counts')
    await page.getByRole('button', { name: 'Bring into force' }).click()
    await page.getByText('is in force. Coupons read before keep').waitFor()
    expect(await newest()).toMatchObject({
      rules: { pass: { restarts: 1 } },
      saved: { why: 'every restart counts', by: 'Maren Holt' },
    })
    await group('Departures')
    await page.getByText('default 80 %').waitFor()
  })

  it('say the range of what cannot be, and do not save it', async () => {
    await open()
    await group('The bead')
    await page.getByLabel('from').nth(1).fill('200 %')
    await page.getByText('From 10 to 80 %').waitFor()
    expect(await page.getByRole('button', { name: /Save as version/ }).isDisabled()).toBe(true)
  })

  it('take a school’s own window, shown beside the published one and held to on the Bench', async () => {
    await page.evaluate(() => localStorage.removeItem('fusilis.rules-draft'))
    await open()
    await group('Current')
    const row = page.getByRole('form').or(page.locator('.windows form')).first()
    await row.getByLabel('from').fill('95')
    await row.getByLabel('to').fill('90')
    await row.getByRole('button', { name: 'Add' }).click()
    await page.getByText('the lower first').waitFor()
    await row.getByLabel('to').fill('105')
    await row.getByRole('button', { name: 'Add' }).click()
    await page.getByRole('row', { name: /E7018 · 1\/8 3G vertical 95–105 A 115–165 A/ }).waitFor()
    await bring('our machines')
    await page.getByText('is in force').first().waitFor()
    await page.goto(`${ADDRESS}/set-up?position=3G+vertical`)
    await page.getByText('95–105 A in this house').waitFor()
    await page.getByText('105', { exact: true }).waitFor()
  })

  it('are exported and imported as JSON; a wrong file takes nothing', async () => {
    await open()
    const chosen = (name: string, text: string) =>
      page
        .getByLabel('File of house rules')
        .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(text) })
    await chosen('wrong.json', writeRulesFile(writeRule(DEFAULT_HOUSE_RULES, 'overlap', { low: 0.3, high: 7 })))
    await page.getByText('Overlap on the last bead: from 10 % to 80 %').waitFor()
    await chosen('ours.json', writeRulesFile(writeRule(DEFAULT_HOUSE_RULES, 'goodInARow', 5)))
    await page.getByText('ours.json is on the table').waitFor()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export' }).click(),
    ])
    expect(download.suggestedFilename()).toBe('house-rules.json')
    await page.getByRole('button', { name: 'Throw the changes away' }).click()
  })

  it('two leads at once: the second is told, loads the newer, and keeps the own changes', async () => {
    await open()
    await group('Moving up')
    await page.getByLabel('Good coupons in a row').fill('7')
    await saveBeside(writeRule(DEFAULT_HOUSE_RULES, 'endWithinMm', 6.35))
    await bring('seven')
    await page.getByText('Maren Holt saved newer house rules meanwhile').waitFor()
    await page.getByRole('button', { name: 'Load the newer rules' }).click()
    await page.getByText('is loaded beneath your changes').waitFor()
    await bring('seven')
    await page.getByText('is in force. Coupons').waitFor()
    expect((await newest()).rules.goodInARow).toBe(7)
  })

  it('an instructor reads them and changes nothing', async () => {
    const reader = await signedIn(browser, 'tobias')
    await open(reader)
    await reader.getByText('A lead instructor changes these.').waitFor()
    expect(await reader.getByRole('button', { name: /Save as version/ }).count()).toBe(0)
    expect(await reader.locator('fieldset[disabled]').count()).toBeGreaterThan(3)
    await reader.context().close()
    await saveBeside(DEFAULT_HOUSE_RULES)
  })
})
