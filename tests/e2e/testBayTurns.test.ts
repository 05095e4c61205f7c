import { readFile } from 'node:fs/promises'
import type { Browser, Page } from 'playwright-core'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES } from '../../core/house'
import { testCoupon, type WelderTest } from '../../core/welderTest'
import { aTest, passedExample } from '../../core/welderTest/example'
import { newFlaw, putMark } from '../../core/coupon'
import type { SavedWelderTest, TestBay } from '../../contract/welderTests'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { choose, listOf, openBrowser, teaching, waitingIn } from './browser'

let school: School
let browser: Browser
let section: string
let student: string
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
  const made = await addClass(school, 'Evening Z turns', 'Runa Halder')
  section = made.section.id
  student = made.student.id
})
afterAll(() => browser.close())

/** Keeps a test as it stands, and answers its id. */
async function kept(document: WelderTest): Promise<string> {
  const id = uuid()
  expect(
    (await school.lead.ask('PUT', `/api/tests/${id}`, { baseVersion: 0, document: { ...document, couponId: uuid() } }))
      .status,
  ).toBe(200)
  return id
}
const testOf = async (id: string) => (await school.lead.ask<SavedWelderTest>('GET', `/api/tests/${id}`)).body.document
/** Welded out and read, with an undercut on the cap that is too deep, or without. */
async function read(undercut: boolean): Promise<string> {
  const id = await kept({ ...passedExample(student), visual: null, results: {} })
  const document = await testOf(id)
  const coupon = testCoupon(document, DEFAULT_HOUSE_RULES, moment => moment.slice(11, 16))
  const cap = coupon.beads.at(-1)!
  const flaw = { ...newFlaw(coupon, 'u1', 'undercut', { beadId: cap.id, atMm: 90 }), sizeMm: 1.6 }
  const saved = await school.lead.ask('PUT', `/api/coupons/${document.couponId}`, {
    baseVersion: 0,
    why: '',
    document: undercut ? putMark(coupon, flaw) : coupon,
  })
  expect(saved.status).toBe(200)
  return id
}
const next = (page: Page) => page.getByRole('region', { name: 'What is next' })
const at = async (id: string, by = 'tobias') => {
  const page = await teaching(browser, by, section)
  await page.goto(`${ADDRESS}/test-bay/${id}`)
  await next(page).waitFor()
  return page
}

describe('the visual', () => {
  it('can be signed against the criteria, with a reason; both are kept', async () => {
    const id = await read(true)
    const page = await at(id)
    await page
      .getByRole('region', { name: 'Visual' })
      .getByRole('row', { name: /Undercut, deepest/ })
      .getByText('fails')
      .waitFor()
    await page.getByRole('button', { name: 'Sign otherwise' }).click()
    await page.getByRole('button', { name: 'Sign it so' }).click()
    await page.getByRole('dialog').getByText('Say why').waitFor()
    await page.getByRole('dialog').getByLabel('Why').fill('it is a shadow: felt with a nail')
    await page.getByRole('button', { name: 'Sign it so' }).click()
    await next(page)
      .getByRole('button', { name: /^Sound: face bend/ })
      .waitFor()
    await page.getByText('the criteria say it fails').waitFor()
    await expect
      .poll(async () => (await testOf(id)).visual)
      .toMatchObject({ computed: 'fails', outcome: 'passes', why: 'it is a shadow: felt with a nail' })
    await page.context().close()
  })
})

describe('a radiograph in place of bends', () => {
  it('is one film, judged by hand, with what it shows', async () => {
    const id = await read(false)
    const page = await at(id)
    await next(page)
      .getByRole('button', { name: /^Sign the visual/ })
      .click()
    await next(page)
      .getByRole('button', { name: /^Sound: face bend/ })
      .waitFor()
    await choose(page, listOf(page, 'Examined by'), 'radiograph')
    await next(page)
      .getByRole('button', { name: /^Judge the radiograph/ })
      .click()
    const dialog = page.getByRole('dialog', { name: 'radiograph' })
    await dialog.getByRole('button', { name: 'Keep it' }).click()
    await page.getByText('Say what the film shows, or that it shows nothing').waitFor()
    await dialog.getByLabel(/^Indications/).fill('slag, 1/16 in, at 3 in')
    await dialog.getByRole('button', { name: 'Keep it' }).click()
    await next(page).getByText('Passed', { exact: true }).waitFor()
    await expect
      .poll(async () => (await testOf(id)).results['radiograph-1'])
      .toMatchObject({ byHand: 'passes', note: 'slag, 1/16 in, at 3 in' })
    const [file] = await Promise.all([page.waitForEvent('download'), page.keyboard.press('j')])
    const whole = JSON.parse(await readFile(await file.path(), 'utf8')) as {
      test: WelderTest
      book: { name: string }
      coupon: { mock: boolean }
    }
    expect(whole).toMatchObject({
      test: { examinedBy: 'radiograph' },
      book: { name: 'AWS D1.1' },
      coupon: { mock: true },
    })
    const [labels] = await Promise.all([page.waitForEvent('download'), page.keyboard.press('l')])
    expect((await readFile(await labels.path())).subarray(0, 5).toString()).toBe('%PDF-')
    await page.context().close()
  })
})

describe('two instructors at one test', () => {
  it('whoever comes second is asked, and nothing of either is lost unasked', async () => {
    const id = await kept({ ...aTest(student), stamp: 'RH 1' })
    const [one, other] = [await at(id), await at(id, 'maren')]
    await one.keyboard.press('Enter')
    await next(one)
      .getByRole('button', { name: /^Seen: piece stamped/ })
      .waitFor()
    await expect.poll(async () => (await testOf(id)).checks['whole rods, in date']).toBe(true)
    await other.getByLabel('Notes').fill('seen by Maren')
    await other.getByLabel('Notes').blur()
    await other.getByRole('dialog', { name: 'Somebody else changed this test' }).waitFor()
    await other.getByRole('button', { name: 'Theirs stands' }).click()
    await next(other)
      .getByRole('button', { name: /^Seen: piece stamped/ })
      .waitFor()
    expect((await testOf(id)).notes).toBe('')
    await other.getByLabel('Notes').fill('seen by Maren')
    await other.getByLabel('Notes').blur()
    await expect.poll(async () => (await testOf(id)).notes).toBe('seen by Maren')
    await one.keyboard.press('Enter')
    await one
      .getByRole('dialog', { name: 'Somebody else changed this test' })
      .getByRole('button', { name: 'Mine goes over it' })
      .click()
    await expect.poll(async () => await testOf(id)).toMatchObject({ notes: '', checks: { 'piece stamped': true } })
    await one.context().close()
    await other.context().close()
  })
})

describe('a slow network', () => {
  it('loses nothing when the page is left before it has answered, and asks nobody', async () => {
    const id = await kept({ ...aTest(student), stamp: 'RH 2' })
    const page = await at(id)
    await page.route(`**/api/tests/${id}`, async route => {
      if (route.request().method() === 'PUT') await new Promise(done => setTimeout(done, 700))
      await route.continue()
    })
    await page.keyboard.press('Enter')
    await page.keyboard.press('Enter')
    await page.keyboard.press('b')
    await page.getByRole('button', { name: /^Save, back to the test/ }).waitFor()
    await page.goBack()
    await next(page)
      .getByRole('button', { name: /^Seen: fit-up within limits/ })
      .waitFor()
    await page.keyboard.press('Enter')
    await next(page)
      .getByRole('button', { name: /^Seen: position fixed/ })
      .waitFor()
    await expect
      .poll(async () => (await testOf(id)).checks, { timeout: 5000 })
      .toMatchObject({ 'piece stamped': true, 'fit-up within limits': true })
    expect(await page.getByRole('dialog').count()).toBe(0)
    expect(await waitingIn(page)).toEqual([])
    await page.context().close()
  })
})

describe('planning for pipe', () => {
  it('proposes a 6G pipe, says what pieces a book has no test for, and draws four specimens at 45 degrees', async () => {
    const page = await teaching(browser, 'tobias', section, { at: `/test-bay/plan?student=${student}` })
    await page.getByText('Runa Halder, right hand').waitFor()
    await page.getByRole('button', { name: 'Pipe', exact: true }).click()
    const sets = page.getByRole('region', { name: 'The fewest pieces' })
    await sets
      .getByRole('button', { name: /ASME IX.*6G pipe, NPS 6 Sch 80/ })
      .first()
      .click()
    await page
      .getByRole('region', { name: 'What they would qualify' })
      .getByText(/^Pipe: 2 7\/8 in and over/)
      .waitFor()
    await page.getByLabel('Thickest joint').fill('3 in')
    await sets.getByText(/No set of up to four of the school’s pieces covers it by .*API 1104/).waitFor()
    await page.getByLabel('Thickest joint').fill('1/2')
    await sets
      .getByRole('button', { name: /ASME IX.*6G pipe, NPS 6 Sch 80/ })
      .first()
      .click()
    await page.getByLabel('Limit, min').fill('3')
    await page.getByRole('button', { name: /^Plan this test/ }).click()
    await page.getByText('The limit is 5 to 6000 minutes, or nothing').waitFor()
    await page.getByLabel('Limit, min').fill('240')
    await page.getByRole('button', { name: /^Plan this test/ }).click()
    await next(page).getByText('limit 240 min').waitFor()
    const end = page.getByRole('img', { name: /^The pipe from its end/ })
    await end.waitFor()
    expect((await end.locator('text').allTextContents()).filter(text => text.endsWith('°'))).toEqual([
      '45°',
      '135°',
      '225°',
      '315°',
    ])
    expect(
      (await school.lead.ask<TestBay>('GET', `/api/students/${student}/tests`)).body.tests.some(
        test => test.position === '6G' && test.book.id === 'pressure',
      ),
    ).toBe(true)
    await page.context().close()
  })

  it('keeps the fit-up as it is gauged, a pass more, and the coupon opens with both', async () => {
    const id = await kept({ ...aTest(student), stamp: 'RH 2' })
    const page = await at(id)
    await page.keyboard.press('f')
    await page.getByRole('dialog', { name: 'Fit-up' }).getByRole('button', { name: 'Keep the fit-up' }).click()
    await page.getByRole('button', { name: 'Fit-up kept' }).waitFor()
    await page.keyboard.press('+')
    await expect.poll(async () => (await testOf(id)).passes.length).toBe(aTest(student).passes.length + 1)
    const { test, fitUp } = await testOf(id)
    expect(fitUp).not.toBeNull()
    expect(test.fillers.reduce((sum, filler) => sum + filler.depositMm, 0)).toBeCloseTo(test.thicknessMm, 6)
    await page.context().close()
  })
})
