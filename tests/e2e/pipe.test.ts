import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { Browser, Page } from 'playwright-core'
import type { Section, Student } from '../../contract/people'
import type { CouponPage, StudentRecord } from '../../contract/record'
import { addPass, isFlaw, isTry, layOutAgain } from '../../core/coupon'
import { aJoint } from '../../core/coupon/example'
import { DEFAULT_HOUSE_RULES } from '../../core/house'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { choose, countingKeys, listOf, openBrowser, teaching } from './browser'

let browser: Browser
let school: School
let section: Section
let student: Student
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
  ;({ section, student } = await addClass(school, 'Evening U, pipe', 'Mirela Stroud'))
  // Her last coupon was a 6G pipe of five passes: the next one opens alike.
  const four = aJoint()
  const document = {
    ...layOutAgain(four, { passes: addPass(four.passes!, 'p2') }, DEFAULT_HOUSE_RULES),
    studentId: student.id,
  }
  await school.lead.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document })
})
afterAll(() => browser?.close())

const newest = async () =>
  (await school.lead.ask<CouponPage>('GET', `/api/students/${student.id}/coupons`)).body.coupons.toSorted((a, b) =>
    b.savedAt.localeCompare(a.savedAt),
  )[0]!.document

async function bench(options = {}): Promise<Page> {
  const page = await teaching(browser, 'tobias', section.id, options)
  await page.goto(`${ADDRESS}/bench?student=${student.id}`)
  await page.getByRole('heading', { name: 'Mirela Stroud' }).waitFor()
  await page.waitForURL(`${ADDRESS}/bench`)
  return page
}
const pick = (page: Page, label: string, option: string) => choose(page, listOf(page, label), option)

describe('a pipe on the bench', () => {
  it('of five passes in 6G with four flaws goes from next coupon to saved in at most 30 presses', async () => {
    const page = await teaching(browser, 'tobias', section.id, { at: '/bench' })
    await page.getByRole('button', { name: 'Next coupon' }).waitFor()
    const { press, count } = countingKeys(page)
    await press('n')
    await page.getByText('5 passes, travel up').waitFor()
    // The cursor stands on the root pass, in the middle of its right half. Down: the root side.
    await press(
      'ArrowDown',
      'f',
      'ArrowUp',
      'ArrowUp',
      'r',
      '2',
      'ArrowUp',
      'g',
      'ArrowUp',
      'ArrowUp',
      'Shift+ArrowRight',
      'u',
      '1',
    )
    await press('Enter')
    await page.getByText('Mirela Stroud: saved').waitFor()
    expect(count()).toBeLessThanOrEqual(30)

    const document = await newest()
    expect(document.passes!.map(pass => pass.role)).toEqual(['root', 'hot', 'fill', 'cap', 'cap'])
    expect(document.marks.filter(isFlaw).map(mark => [mark.flaw, mark.beadId, mark.severity])).toEqual([
      ['incomplete penetration', 'root-side', 2],
      ['slag', 'p5-right', 2],
      ['undercut', 'p4-right', 1],
    ])
    expect(document.marks.filter(isTry).filter(mark => mark.degree !== 'sound')).toMatchObject([
      { kind: 'restart', degree: 'workable' },
    ])
    await page.context().close()
  })

  it('says places by the clock, goes over 6 into the other half, and shows all passes in rows', async () => {
    const page = await bench()
    await page.getByRole('button', { name: '2 hot' }).click()
    for (let n = 0; n < 4; n++) await page.keyboard.press('Shift+ArrowRight')
    await page.keyboard.press('p')
    const marks = page.locator('details.marks')
    await marks.locator('summary').click()
    expect(await marks.getByRole('button').first().innerText()).toBe(
      'pass 2, hot, left half, porosity at 186° (6), 3 7/8 in, 1/16 in across',
    )
    await page.keyboard.press('0')
    await page.getByRole('button', { name: 'all passes' }).and(page.locator('[aria-pressed="true"]')).waitFor()
    expect(await page.locator('svg text.number').allTextContents()).toEqual(['root', '1', '2', '3', '4', '5'])
    await page.context().close()
  })

  it('keeps how a pass was run: what is off its card stands out, a time must be one', async () => {
    const page = await bench()
    await page.keyboard.press(';')
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('Current').fill('110')
    await dialog.getByText('25 A over 75–85 A').waitFor()
    await pick(page, 'Cleaned after', 'brush')
    await dialog.getByLabel('Began').fill('6 pm')
    await dialog.getByRole('button', { name: 'Keep the pass' }).click()
    await dialog.getByText('A time like 18:05').waitFor()
    await dialog.getByLabel('Began').fill('18:05')
    await dialog.getByRole('button', { name: 'Keep the pass' }).click()
    await page.getByRole('button', { name: /E6010, 110 A, up.*25 A over/ }).waitFor()
    await page.keyboard.press('Enter')
    await page.getByText('Mirela Stroud: saved').waitFor()
    expect((await newest()).passes![0]).toMatchObject({ currentA: 110, log: { cleaned: 'brush', started: '18:05' } })
    // The log is that day's; the settings are run again.
    await page.getByRole('button', { name: /E6010, 110 A/ }).waitFor()
    await page.context().close()
  })

  it('a GTAW root is kept under its own process', async () => {
    const page = await bench()
    await page.keyboard.press(';')
    await pick(page, 'Process', 'GTAW')
    await page.getByText('card: 95 A, 70–120 A').waitFor()
    await page.getByRole('button', { name: 'Keep the pass' }).click()
    await page.getByRole('button', { name: /ER70S-2, 95 A/ }).waitFor()
    await page.keyboard.press('Enter')
    await page.getByText('Mirela Stroud: saved').waitFor()
    expect((await newest()).passes![0]).toMatchObject({ process: 'GTAW', classification: 'ER70S-2', polarity: 'DCEN' })
    const { body } = await school.lead.ask<StudentRecord>('GET', `/api/students/${student.id}/record`)
    expect(new Set(body.evidence.filter(row => row.work === 'pipe').map(row => row.rodFamily))).toEqual(
      new Set(['cellulosic', 'GTAW wire', 'low hydrogen']),
    )
    await page.context().close()
  })

  it('keeps a fit-up, says what is off, and proposes the next pre-set', async () => {
    const page = await bench()
    await page.keyboard.press("'")
    const dialog = page.getByRole('dialog')
    await pick(page, 'Gauged', 'welded')
    await dialog.getByLabel('Right, tack 1').fill('3/32')
    await dialog.getByText('1/32 in tight at the right end after tack 1.').waitFor()
    await dialog.getByLabel('Drawn in still').fill('2')
    await dialog.getByText('Pre-set the next one 5°.').waitFor()
    await dialog.getByRole('button', { name: 'Add a tack' }).click()
    await dialog.getByLabel('Feathered').uncheck()
    await dialog.getByText('Tack at 1/4 in not feathered.').waitFor()
    await dialog.getByRole('button', { name: 'Keep the fit-up' }).click()
    await page.getByRole('button', { name: 'fit-up: 2 off' }).waitFor()
    await page.keyboard.press('Enter')
    await page.getByText('Mirela Stroud: saved').waitFor()
    expect((await newest()).fitUp).toMatchObject({ leftDegrees: 2, tacks: [{ feathered: false }] })
    await page.keyboard.press("'")
    expect(await page.getByRole('dialog').getByLabel('Pre-set').inputValue()).toBe('5')
    await page.context().close()
  })
})

describe('another piece', () => {
  it('comes with its rung, is refused where it cannot be welded, and reads its legs', async () => {
    const page = await bench()
    await page.keyboard.press('i')
    const dialog = page.getByRole('dialog')
    await dialog.getByLabel('Rung').fill('T fillet 2F')
    await page.getByRole('option', { name: 'T fillet 2F' }).click()
    await pick(page, 'Rod', 'E7024')
    await pick(page, 'Position', '4F overhead')
    await dialog.getByRole('button', { name: 'Set the ticket' }).click()
    await dialog.getByText(/E7024 is made for flat work and horizontal fillets/).waitFor()
    await pick(page, 'Position', '2F horizontal')
    await pick(page, 'Rod', 'E7018')
    await dialog.getByRole('button', { name: 'Set the ticket' }).click()
    await page.getByText('3 passes, travel left to right').waitFor()
    await page.keyboard.press('w')
    // The first field takes the focus a moment after it is drawn; what is typed into another before that would land
    // in it.
    await page.locator('.v-field--focused', { hasText: 'Upper leg here' }).waitFor()
    await dialog.getByLabel('Upper leg here').fill('7/32')
    await dialog.getByLabel('Lower leg here').fill('1/4')
    await dialog.getByLabel('Lower leg here').press('Enter')
    await expect
      .poll(() => page.locator('body').innerText(), { timeout: 10_000 })
      .toContain('Upper leg 7/32 in, wants 1/4 in or more')
    await page.keyboard.press('Enter')
    await page.getByText('Mirela Stroud: saved').waitFor()
    expect((await newest()).piece).toMatchObject({ kind: 'T', sides: 1 })
    await page.goto(`${ADDRESS}/record/${student.id}`)
    await page.getByRole('row', { name: /2F horizontal fillet, low hydrogen/ }).waitFor()
    await page.getByRole('row', { name: /6G pipe at 45° pipe, cellulosic/ }).waitFor()
    await page.context().close()
  })
})
