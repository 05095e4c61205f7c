import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { Browser, Page } from 'playwright-core'
import { aCoupon } from '../../core/coupon/example'
import type { Section, Student } from '../../contract/people'
import type { ShopVersion } from '../../contract/shop'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { openBrowser, signedIn, teaching } from './browser'

let browser: Browser
let school: School
let section: Section
let student: Student
beforeAll(async () => {
  school = await foundTestSchool()
  ;({ section, student } = await addClass(school, 'Evening S shop', 'Runa Wick'))
  const inBooth = { ...student, id: undefined, booth: 2 }
  expect((await school.lead.ask('PUT', `/api/students/${student.id}`, inBooth)).status).toBeLessThan(300)
  browser = await openBrowser()
})
afterAll(async () => {
  await browser?.close()
  // Whoever reads after this stands at machines whose panels are right.
  for (const booth of [2, 7])
    await school.lead.ask('PUT', `/api/clamp-readings/${uuid()}`, { booth, panelA: 100, clampA: 100 })
})

const saved = async () => (await school.lead.ask<ShopVersion>('GET', '/api/shop')).body
const place = (page: Page, name: string) => page.getByRole('button', { name, exact: true })

describe('the shop', () => {
  it('is laid out by number, moved about by keys and by taps, and saved', async () => {
    const page = await signedIn(browser, 'maren', { at: '/house/shop' })
    await page.getByRole('spinbutton', { name: 'Booths' }).fill('4')
    await page.getByRole('spinbutton', { name: 'In a row' }).fill('2')
    await page.getByRole('button', { name: 'Lay them out' }).click()
    await place(page, 'booth 1, column 1, row 1').press('ArrowRight')
    await expect.poll(() => page.evaluate(() => document.activeElement?.ariaLabel)).toBe('booth 1, column 2, row 1')
    await place(page, 'booth 2, column 1, row 1').waitFor()
    await page.getByRole('button', { name: '+ oven' }).click()
    await place(page, 'oven, column 1, row 3').click()
    await place(page, 'aisle, column 2, row 3').click()
    await place(page, 'oven, column 2, row 3').waitFor()
    await place(page, 'booth 4, column 2, row 2').press('Delete')
    await place(page, 'aisle, column 2, row 2').waitFor()
    await page.getByRole('textbox', { name: 'Room' }).fill('Plate bay')
    const means = page.getByRole('group', { name: 'Booth 2 is good for' })
    await place(page, 'booth 2, column 1, row 1').click()
    await means.getByLabel('pipe, on a stand').click()
    await means.getByLabel('plates overhead').click()
    await means.getByLabel('Its machine gives at most, A').fill('160')
    // What is not saved is kept by the browser.
    await page.reload()
    await page.getByRole('button', { name: 'Save the shop' }).click()
    await page.getByText('Laid out by Maren Holt').waitFor()
    const [room] = (await saved()).plan!.rooms
    expect(room).toMatchObject({ name: 'Plate bay', columns: 2, rows: 3 })
    expect(room!.fixtures).toContainEqual({ kind: 'oven', booth: null, column: 1, row: 2 })
    expect(room!.fixtures.find(one => one.booth === 2)?.means).toEqual({
      lies: ['1G', '2G', '3G'],
      pipeStand: false,
      ac: true,
      mostA: 160,
    })
    expect(room!.fixtures.map(one => one.booth).sort()).toEqual([1, 2, 3, null])
    await page.context().close()
  })

  it('is what the Floor is drawn as; a booth out of service stands so on another’s, until it is put back', async () => {
    const one = await teaching(browser, 'tobias', section.id)
    const other = await teaching(browser, 'maren', section.id)
    for (const page of [one, other]) {
      await page.goto(`${ADDRESS}/`)
      await page.getByRole('region', { name: 'Plate bay' }).getByText('Runa Wick').waitFor()
    }
    await one.getByRole('button', { name: /more of booth 2/ }).click()
    await one.getByText('Out of service').click()
    const dialog = one.getByRole('dialog', { name: 'Booth 2 out of service' })
    await dialog.getByRole('button', { name: 'Out of service' }).click()
    await dialog.getByText('What is wrong is missing').waitFor()
    await dialog.getByLabel('What is wrong').fill('extraction fan stopped')
    await dialog.getByRole('button', { name: 'Out of service' }).click()
    await other.getByText('extraction fan stopped').waitFor()
    await other.getByRole('button', { name: /more of booth 2/ }).click()
    await other.getByText('In service again').click()
    await expect.poll(() => one.getByText('extraction fan stopped').count()).toBe(0)
    // One tap: ready, and the tile leads to the Bench.
    await one.getByRole('button', { name: 'Runa Wick: coupon is ready' }).click()
    await other.getByRole('region', { name: 'Plate bay' }).getByText('waits to be read').waitFor()
    await other
      .getByRole('region', { name: 'Plate bay' })
      .getByRole('link', { name: 'Read a coupon of Runa Wick' })
      .click()
    await other.getByRole('heading', { name: 'Runa Wick' }).waitFor()
    await one.getByRole('region', { name: 'Plate bay' }).getByText('is read now').waitFor()
    for (const page of [one, other]) await page.context().close()
  })

  it('a clamp meter held to a machine moves the window and the card of whoever runs there', async () => {
    const page = await teaching(browser, 'tobias', section.id)
    await page.goto(`${ADDRESS}/`)
    await page.getByRole('button', { name: /more of booth 2/ }).click()
    await page.getByText('Clamp meter', { exact: true }).click()
    const dialog = page.getByRole('dialog', { name: 'Clamp meter at booth 2' })
    await dialog.getByLabel('Panel says').fill('120')
    await dialog.getByLabel('Clamp meter reads').fill('220')
    await dialog.getByRole('button', { name: 'Save' }).click()
    await dialog.getByText('100 A apart: read it again').waitFor()
    await dialog.getByLabel('Clamp meter reads').fill('126')
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect.poll(() => dialog.count()).toBe(0)
    await page.getByRole('button', { name: /more of booth 2/ }).click()
    await page.getByText('Clamp meter', { exact: true }).click()
    await dialog.getByText('the arc has 6 A more than the panel says').waitFor()
    await page.keyboard.press('Escape')
    await page.goto(`${ADDRESS}/bench?student=${student.id}`)
    const ticket = page.getByRole('group', { name: 'Ticket' })
    await ticket.getByText('A on this panel').waitFor()
    expect(await ticket.innerText()).toContain('119 A DCEP')
    await page.context().close()
  })

  it('on a phone the Floor is a list, and an instructor looks at the shop without changing it', async () => {
    const page = await teaching(browser, 'tobias', section.id, { viewport: { width: 390, height: 844 } })
    await page.goto(`${ADDRESS}/`)
    await page.getByText('Runa Wick').first().waitFor()
    expect(await page.getByRole('region', { name: 'Plate bay' }).count()).toBe(0)
    // Whoever goes round with a clamp meter has a phone.
    await page.getByRole('button', { name: 'Clamp meter' }).click()
    const dialog = page.getByRole('dialog', { name: 'Clamp meter' })
    await dialog.getByLabel('Booth').fill('7')
    await dialog.getByText('Nobody has held one to this machine yet').waitFor()
    await dialog.getByLabel('Panel says').fill('100')
    await dialog.getByLabel('Clamp meter reads').fill('97')
    await dialog.getByRole('button', { name: 'Save' }).click()
    await expect.poll(() => dialog.count()).toBe(0)
    await page.goto(`${ADDRESS}/house/shop`)
    await place(page, 'booth 2, column 1, row 1').press('ArrowRight')
    await place(page, 'booth 2, column 1, row 1').waitFor()
    expect(await page.getByRole('button', { name: 'Save the shop' }).count()).toBe(0)
    await page.context().close()
  })
})

describe('hours of a programme', () => {
  it('are asked for in House, and what is left of them stands on the Record', async () => {
    const page = await signedIn(browser, 'maren', { at: '/house' })
    const hours = page.getByRole('region', { name: 'Hours', exact: true })
    await hours.getByRole('button', { name: 'Ask for hours' }).click()
    await hours.getByLabel('Hours').fill('0')
    await hours.getByRole('button', { name: 'Save the hours' }).click()
    await hours.getByText(/at least 1 hour/).waitFor()
    await hours.getByLabel('Hours').fill('120')
    await hours.getByRole('button', { name: 'Save the hours' }).click()
    await expect.poll(() => hours.getByRole('button', { name: 'Save the hours' }).count()).toBe(0)
    const document = aCoupon({ studentId: student.id })
    await school.lead.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document })
    await page.goto(`${ADDRESS}/record/${student.id}`)
    const panel = page.getByRole('region', { name: 'Hours this term' })
    await panel.getByText(/of 120 h/).waitFor()
    await panel.getByText(/h left/).waitFor()
    await school.lead.ask('PUT', '/api/school/programme', { wanted: [] })
    await page.context().close()
  })
})
