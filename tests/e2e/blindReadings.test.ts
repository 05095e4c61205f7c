import type { Browser } from 'playwright-core'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { exampleRead } from '../../core/coupon/example'
import { DEFAULT_HOUSE_RULES } from '../../core/house'
import { addClass, foundTestSchool, type School } from '../school'
import { closeDatabase } from '../../server/store/database'
import { fitHere, keepCurves } from '../../server/store/schoolCurves'
import { ADDRESS } from '../session'
import { openBrowser, signedIn, teaching } from './browser'

let school: School
let browser: Browser
let section: string
let student: string
const today = new Date().toISOString().slice(0, 10)

beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
  const made = await addClass(school, 'Evening W readings', 'Isolde Brack')
  section = made.section.id
  student = made.student.id
  await school.lead.ask('PUT', `/api/students/${student}/code`, { code: '4711' })
})
afterAll(async () => {
  await browser.close()
  await closeDatabase()
})

describe('the tablet that goes round', () => {
  it('a student reads the own coupon, the instructor the same one unseen, and both lie over each other on the record', async () => {
    const tablet = await teaching(browser, 'tobias', section, { viewport: { width: 820, height: 1180 } })
    await tablet.goto(`${ADDRESS}/`)
    await tablet.getByRole('button', { name: 'Hand over tablet' }).click()
    await tablet.getByRole('button', { name: 'Hand over', exact: true }).click()
    await tablet.getByRole('button', { name: 'Isolde Brack' }).click()
    await tablet.getByLabel('Your code').fill('471')
    await tablet.getByRole('button', { name: 'Go on' }).click()
    await tablet.getByText('Type the four digits of your code').waitFor()
    // On the pad, and the fourth digit goes on by itself.
    await tablet.getByRole('button', { name: '1', exact: true }).click()
    await tablet.getByRole('button', { name: /The one in my hand/ }).click()
    await tablet.getByRole('button', { name: 'Hand in the reading' }).waitFor()
    await tablet.keyboard.press('u')
    await tablet.getByText('1 marked').waitFor()
    // What leaves no mark: its number, or a tap.
    await tablet.keyboard.press('6')
    const heard = tablet.getByRole('dialog', { name: 'What you saw and heard' })
    await heard.getByRole('button', { name: 'the rod reddened' }).click()
    await heard.getByRole('button', { name: 'Done' }).click()
    await tablet.getByRole('list', { name: 'What you saw and heard' }).getByText('the rod reddened').waitFor()
    // A reload loses nothing: the student takes up where the mark was.
    await tablet.reload()
    await tablet.getByRole('button', { name: /The one in my hand/ }).click()
    await tablet.getByText('1 marked').waitFor()
    await tablet.keyboard.press('Enter')
    await tablet.getByText('Your instructor reads it without seeing yours').waitFor()

    // Nothing of the school is open at the tablet.
    await tablet.goto(`${ADDRESS}/record/${student}`)
    await tablet.getByRole('heading', { name: 'Isolde Brack' }).waitFor()
    expect(new URL(tablet.url()).pathname).toBe('/kiosk')
    await tablet.getByRole('button', { name: 'Next student' }).click()
    await tablet.getByRole('heading', { name: 'Your coupon' }).waitFor()

    const page = await teaching(browser, 'tobias', section, { at: '/?' })
    await page.getByText('has read it').waitFor()
    await page.getByRole('link', { name: 'Read a coupon of Isolde Brack' }).first().click()
    await page.getByText('0 marked').waitFor()
    // The instructor sees none of the marks, and what the student saw and heard.
    await page.keyboard.press('6')
    await page.getByRole('button', { name: 'the rod reddened', pressed: true }).waitFor()
    await page.getByRole('button', { name: 'Done' }).click()
    await page.keyboard.press('g')
    await page.keyboard.press('Enter')
    await page.getByText('Isolde Brack: saved').waitFor()
    await page.goto(`${ADDRESS}/record/${student}`)
    const own = page.getByRole('region', { name: 'Reads own welds' })
    await own.getByRole('row').nth(1).waitFor()
    expect(await own.locator('tbody td').allInnerTexts()).toEqual(['0', '0', '0', '1'])
    await own.getByRole('button', { name: /flat pad/i }).click()
    await page.getByRole('heading', { name: 'Misjudged 1' }).waitFor()
    await page.getByText(/slag.*; read as .*undercut/).waitFor()
    await tablet.context().close()
    await page.context().close()
  })
})

it('a second instructor reads blind, and House shows how the two agree', async () => {
  const couponId = uuid()
  await school.instructor.ask('PUT', `/api/coupons/${couponId}`, {
    baseVersion: 0,
    why: '',
    document: { ...exampleRead(DEFAULT_HOUSE_RULES), studentId: student, classDay: today },
  })
  const page = await signedIn(browser, 'maren', { at: `/second-reading?coupon=${couponId}` })
  await page.getByText('0 marked').waitFor()
  await page.keyboard.press('Enter')
  await page.getByRole('heading', { name: 'Missed 4' }).waitFor()
  await page.getByRole('link', { name: 'Readers' }).click()
  await page.getByRole('heading', { name: /Maren Holt after tobias/ }).waitFor()
  await page.getByRole('row', { name: /Sound or not, all of it/ }).waitFor()
  // How much each marks is said once the school's curves have been fitted to what two have read.
  await keepCurves(new Date(), fitHere)
  await page.reload()
  await page.getByRole('heading', { name: 'How much each marks' }).waitFor()
  await page
    .getByRole('row', { name: /^Maren Holt .* to / })
    .first()
    .waitFor()
  await page.getByRole('link', { name: 'Marks' }).click()
  await page.getByRole('row', { name: /Crack, crater 104/ }).waitFor()
  await page.context().close()
})
