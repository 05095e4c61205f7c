import { readFile } from 'node:fs/promises'
import type { Browser } from 'playwright-core'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { setDegree, type CouponDocument, type TryMark } from '../../core/coupon'
import { aCoupon } from '../../core/coupon/example'
import type { LadderVersion, StudentProgress } from '../../contract/progress'
import { addClass, foundTestSchool, type School } from '../school'
import { GIVEN, Visitor } from '../session'
import { openBrowser, signedIn, teaching } from './browser'

let school: School
let browser: Browser
let section: string
let student: string
const dayBefore = (days: number) => new Date(Date.now() - days * 86_400_000).toISOString().slice(0, 10)

beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
  const made = await addClass(school, 'Evening Y progress', 'Wanda Quill')
  section = made.section.id
  student = made.student.id
  for (const [n, poor] of [2, 0, 0, 0].entries()) {
    const pad: CouponDocument = { ...aCoupon({ studentId: student }), classDay: dayBefore(9 - 2 * n) }
    let left = poor
    const document = {
      ...pad,
      marks: pad.marks.map(mark =>
        mark.kind === 'restart' && left-- > 0 ? { ...(setDegree(mark, 3) as TryMark), fault: 'high' } : mark,
      ),
    }
    await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document })
  }
})
afterAll(() => browser.close())
const progress = async () =>
  (await school.instructor.ask<StudentProgress>('GET', `/api/students/${student}/progress`)).body

describe('the Board', () => {
  it('shows who is ready; signing off in turn asks nothing, early asks why', async () => {
    const page = await teaching(browser, 'tobias', section, { at: '/board' })
    await page
      .getByRole('region', { name: 'Ready to move up' })
      .getByRole('button', { name: 'Wanda Quill flat pad' })
      .click()
    await page.getByRole('dialog').getByText('3 of 3 good in a row').waitFor()
    await page.getByRole('dialog').getByText('What the rule lets through').click()
    await page.getByText(/steadily at 50 % meets it within 8 coupons \d+ times in 100/).waitFor()
    await page.getByRole('button', { name: 'Sign off', exact: true }).click()
    await page.getByRole('button', { name: /^Wanda Quill, flat pad: signed off, 4 coupons/ }).waitFor()

    await page.getByRole('button', { name: /^Wanda Quill, horizontal pad: open/ }).click()
    await page.getByRole('button', { name: 'Sign off', exact: true }).click()
    await page.getByText('say why it is signed off now').waitFor()
    await page.getByLabel('Why early').fill('welded for two years elsewhere')
    await page.keyboard.press('Enter')
    await page.getByRole('button', { name: /^Wanda Quill, horizontal pad: signed off/ }).click()
    await page.getByText(/Signed off early by tobias/).waitFor()
    expect((await progress()).signOffs.map(row => [row.rungId, row.outOfTurn])).toEqual([
      ['flat-pad', null],
      ['horizontal-pad', 'early'],
    ])
    await page.context().close()
  })
})

describe('the way to a test', () => {
  it('runs thousands of attempts, says what would help, and lets the instructor pin what is next', async () => {
    const page = await signedIn(browser, 'tobias', { at: `/record/${student}` })
    await page.getByRole('link', { name: 'Progress' }).click()
    const outlook = page.getByRole('region', { name: 'How a test would go today' })
    await outlook.getByText(/attempts would go well/).waitFor()
    const said = await outlook.locator('figcaption').innerText()
    expect(said).toMatch(/^(about \d of 10|fewer than 1 of 20|more than 19 of 20) attempts would go well$/)
    // The same evidence and the same chances: the same answer.
    await page.reload()
    await outlook.getByText(/attempts would go well/).waitFor()
    expect(await outlook.locator('figcaption').innerText()).toBe(said)
    await page.getByRole('heading', { name: 'What ends the others' }).waitFor()
    const until = page.getByRole('region', { name: 'Until the odds wanted' })
    await until.getByText(/four students of five|would hardly bring it|A test still is a test/).waitFor()
    await page.getByRole('button', { name: 'Pin another' }).click()
    await page.getByRole('list', { name: 'Rungs that are open' }).getByRole('button', { name: 'square butt' }).click()
    await page.getByText('Next coupon, pinned').waitFor()
    expect((await progress()).pin).toMatchObject({ rungId: 'square-butt', by: 'tobias' })
    await page.getByRole('button', { name: 'Take the pin out' }).click()
    await page.getByText('Next coupon', { exact: true }).waitFor()
    await page.context().close()
  })

  it('tells the student how far along the work is, and what is next: no count of tests', async () => {
    const username = 'wanda-quill'
    const account = { name: 'Wanda Quill', username, role: 'student', studentId: student, active: true }
    const fields = { ...account, sectionIds: null, password: GIVEN }
    const { status } = await school.lead.ask('POST', '/api/accounts', fields)
    // The second try of a test that was too slow finds the account there.
    if (status === 201) await new Visitor().takeUp(username)
    const page = await signedIn(browser, username, { at: `/record/${student}/progress` })
    const outlook = page.getByRole('region', { name: 'How a test would go today' })
    await outlook.getByText('A few more coupons, and this says how far along you are.').waitFor()
    await outlook.getByText('Run what stands under Next coupon.').waitFor()
    await page.getByText('Read off your own coupons.').waitFor()
    // Rates of the own beads stand below in the table; of tests nothing is counted.
    for (const name of ['How a test would go today', 'Next coupon', 'Where it is decided', 'What would help most']) {
      const said = await page.getByRole('region', { name }).innerText()
      expect(said).not.toMatch(/attempts|of 10\b|of 100|in 100|odds|tests that were said/)
    }
    await page.context().close()
  })
})

describe('the report', () => {
  it('is a table, a spreadsheet and a PDF', async () => {
    const page = await teaching(browser, 'tobias', section, { acceptDownloads: true, at: '/report' })
    await page
      .getByRole('row', { name: /Wanda Quill/ })
      .getByText('4 coupons')
      .waitFor()
    const fetched = async (button: string) => {
      const [download] = await Promise.all([
        page.waitForEvent('download'),
        page.getByRole('button', { name: button, exact: true }).click(),
      ])
      return { name: download.suggestedFilename(), bytes: await readFile(await download.path()) }
    }
    const csv = await fetched('Spreadsheet')
    expect(csv.name).toBe('Evening Y progress.csv')
    expect(csv.bytes.toString('utf8')).toMatch(/Wanda Quill,right,2026-09-01,4,/)
    const pdf = await fetched('PDF of Wanda Quill')
    expect(pdf.bytes.subarray(0, 5).toString()).toBe('%PDF-')
    await page.context().close()
  })
})

describe('the ladder', () => {
  it('is put in order by keys; what cannot be climbed is said at once and not saved', async () => {
    const before = (await school.lead.ask<LadderVersion>('GET', '/api/ladder')).body
    const page = await signedIn(browser, 'maren', { at: '/house/ladder' })
    await page.getByRole('button', { name: 'flat pad up', exact: true }).click()
    await page.getByRole('alert').getByText('flat pad stands before arc strikes, which it needs').waitFor()
    expect(await page.getByRole('button', { name: 'Save the ladder' }).isDisabled()).toBe(true)
    await page.getByRole('button', { name: 'flat pad down', exact: true }).click()
    await page.getByRole('button', { name: 'Add a rung' }).click()
    await page.getByLabel('Name, as on the ticket').fill('flat pad, weave')
    await page.reload()
    await page
      .getByRole('button', { name: /flat pad, weave/ })
      .first()
      .waitFor()
    await page.getByLabel('Why').fill('weaves are wanted here')
    await page.getByRole('button', { name: 'Save the ladder' }).click()
    await page.getByText('by Maren Holt: weaves are wanted here').waitFor()
    const after = (await school.lead.ask<LadderVersion>('GET', '/api/ladder')).body
    expect(after.version).toBe(before.version + 1)
    expect(after.ladder.rungs.at(-1)).toMatchObject({ name: 'flat pad, weave', retired: false })
    await page.context().close()
  })

  it('is dragged into order', async () => {
    const page = await signedIn(browser, 'maren', { at: '/house/ladder' })
    const items = page.getByRole('region', { name: 'The ladder' }).getByRole('listitem')
    await items.first().waitFor()
    const at = 3
    const [from, to] = [items.nth(at).locator('.handle'), items.nth(at + 1)]
    const name = await items.nth(at).locator('b').innerText()
    const [a, b] = [(await from.boundingBox())!, (await to.boundingBox())!]
    await page.mouse.move(a.x + 10, a.y + 10)
    await page.mouse.down()
    await page.mouse.move(a.x + 10, b.y + b.height * 0.6, { steps: 8 })
    await page.mouse.move(a.x + 10, b.y + b.height * 0.9, { steps: 4 })
    await page.mouse.up()
    await expect
      .poll(
        async () =>
          await items
            .nth(at + 1)
            .locator('b')
            .innerText(),
      )
      .toBe(name)
    await page.getByRole('button', { name: 'Leave it' }).click()
    await expect.poll(async () => await items.nth(at).locator('b').innerText()).toBe(name)
    await page.context().close()
  })
})
