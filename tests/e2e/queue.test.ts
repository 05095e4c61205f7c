import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Browser } from 'playwright-core'
import { v7 as uuid } from 'uuid'
import type { Section, Student } from '../../contract/people'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { choose, openBrowser, settled, signedIn, teaching } from './browser'

let browser: Browser
let school: School
let section: Section
let student: Student
beforeAll(async () => {
  school = await foundTestSchool()
  const made = await addClass(school, 'Evening W floor', 'Signe Tarrow')
  section = made.section
  student = made.student
  await school.lead.ask<Student>('POST', '/api/students', {
    ...made.student,
    id: undefined,
    name: 'Ulf Pender',
    booth: 7,
  })
  browser = await openBrowser()
})
afterAll(() => browser?.close())

describe('the queue', () => {
  it('is asked for once by a page that opens, and again when it changes', async () => {
    const page = await teaching(browser, 'tobias', section.id, { at: '/' })
    await page.getByText('nobody waits').waitFor()
    await settled(page)
    const asked: string[] = []
    page.on('request', request => {
      const path = new URL(request.url()).pathname
      if (/\/(queue|remarks|booths|floor)$/.test(path)) asked.push(path.split('/').at(-1)!)
    })
    await page.reload()
    await page.getByText('nobody waits').waitFor()
    const { body } = await school.instructor.ask<Student[]>('GET', `/api/sections/${section.id}/students`)
    const id = uuid()
    await school.instructor.ask('PUT', `/api/waiting/${id}`, { studentId: body[0]!.id })
    await page.getByText('1 waits').waitFor()
    // Once by the page that opens, and once by the change: the live word of what it had already asks for nothing.
    expect(asked.sort()).toEqual(['booths', 'booths', 'floor', 'queue', 'queue', 'remarks', 'remarks'])
    await school.instructor.ask('DELETE', `/api/waiting/${id}`)
    await page.getByText('nobody waits').waitFor()
  })
  it('two instructors and the tablet see each other’s queue, from ready to saved', async () => {
    const one = await teaching(browser, 'tobias', section.id)
    const other = await teaching(browser, 'maren', section.id)
    for (const page of [one, other]) {
      await page.goto(`${ADDRESS}/`)
      await page.getByText('nobody waits').waitFor()
    }
    await one.getByRole('button', { name: 'Ulf Pender: coupon is ready' }).click()
    const queue = (page: typeof one) => page.getByRole('region', { name: 'Waiting to be read' })
    await queue(other).getByRole('link', { name: 'Ulf Pender', exact: true }).waitFor()
    await queue(other).getByText('1 waits').waitFor()

    // The tablet: a name, and that it is ready. Four taps are allowed, two are needed.
    const tablet = await teaching(browser, 'tobias', section.id, { at: '/' })
    await tablet.getByRole('button', { name: 'Hand over tablet' }).click()
    await tablet.getByRole('dialog').getByRole('button', { name: 'Hand over' }).click()
    await tablet.waitForURL('**/kiosk')
    await tablet.getByRole('button', { name: 'Signe Tarrow' }).click()
    await tablet.getByRole('button', { name: 'My coupon is ready' }).click()
    await tablet.getByText('You are 2nd in the queue').waitFor()
    await queue(one).getByRole('listitem').nth(1).getByText('Signe Tarrow').waitFor()
    await tablet.getByRole('button', { name: 'Take it back' }).click()
    await queue(one).getByText('1 waits').waitFor()
    await tablet.getByRole('button', { name: 'My coupon is ready' }).click()
    await queue(one).getByText('2 wait').waitFor()

    // One opens the first; the other sees with whom, and is given the next.
    await one.keyboard.press('n')
    await one.getByRole('heading', { name: 'Ulf Pender' }).waitFor()
    await queue(other).getByText('with tobias').waitFor()
    await other.keyboard.press('n')
    await other.getByRole('heading', { name: 'Signe Tarrow' }).waitFor()

    await one.keyboard.press('Enter')
    await one.getByText('Ulf Pender: saved').waitFor()
    await one.goto(`${ADDRESS}/`)
    await queue(one).getByText('1 waits').waitFor()
    await queue(one).getByText('with Maren Holt').waitFor()
    for (const page of [one, other, tablet]) await page.context().close()
  })

  it('a student with an own account says it, and sees the place', async () => {
    const page = await signedIn(browser, 'oriel', { at: '/kiosk' })
    await page.getByRole('button', { name: 'My coupon is ready' }).click()
    await page.getByText(/^You are (next|\d)/).waitFor()
    await page.getByRole('button', { name: 'Take it back' }).click()
    await page.getByRole('button', { name: 'My coupon is ready' }).waitFor()
    expect(await page.getByText(/^You are/).count()).toBe(0)
    await page.context().close()
  })
})

it('a table is read one coupon after the other: the ticket of the first goes on to the next', async () => {
  const page = await teaching(browser, 'tobias', section.id)
  await page.goto(`${ADDRESS}/`)
  await page.getByRole('button', { name: 'Read a table' }).click()
  const dialog = page.getByRole('dialog', { name: 'Read a table' })
  for (const box of await dialog.getByRole('checkbox').all()) await box.uncheck()
  await dialog.getByLabel('7 Ulf Pender').check()
  await dialog.getByRole('button', { name: 'Choose two or more' }).click()
  await dialog.getByLabel('5 Signe Tarrow').check()
  await dialog.getByRole('button', { name: 'Read 2 one after the other' }).click()
  await page.getByText('1 of 2 at this table').waitFor()
  const first = await page.getByRole('heading', { level: 1 }).innerText()
  await page.keyboard.press('i')
  await page.getByRole('dialog', { name: 'Ticket' }).getByLabel('Current').fill('117')
  await page.getByRole('button', { name: 'Set the ticket' }).click()
  await page.getByRole('group', { name: 'Ticket' }).getByText('117 A').waitFor()
  await page.keyboard.press('Enter')
  await page.getByText('2 of 2 at this table').waitFor()
  expect(await page.getByRole('heading', { level: 1 }).innerText()).not.toBe(first)
  await page.getByRole('group', { name: 'Ticket' }).getByText('117 A').waitFor()
  // A reload loses nothing of it; after the last one it is over.
  await page.reload()
  await page.getByText('2 of 2 at this table').waitFor()
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'Read a table' }).waitFor()
  await page.context().close()
})

describe('remarks for next time', () => {
  it('are left on the Floor, stand on another’s Floor and on the Bench, and are ticked off there', async () => {
    const one = await teaching(browser, 'tobias', section.id)
    const other = await teaching(browser, 'maren', section.id)
    for (const page of [one, other]) {
      await page.goto(`${ADDRESS}/`)
      await page.getByRole('button', { name: 'Remark' }).click()
      await page.getByRole('dialog', { name: 'For next time' }).waitFor()
    }
    await other.keyboard.press('Escape')
    const dialog = one.getByRole('dialog', { name: 'For next time' })
    await dialog.getByRole('button', { name: 'Save' }).click()
    await dialog.getByText('What to remember is missing').waitFor()
    await choose(one, dialog.locator('.v-autocomplete'), 'Signe Tarrow')
    await dialog.getByLabel('What to remember').fill('left glove wears through')
    await dialog.getByRole('button', { name: 'Save' }).click()
    const strip = other.getByRole('region', { name: 'For next time' })
    await strip.getByText('Signe Tarrow: left glove wears through').waitFor()
    await one.goto(`${ADDRESS}/bench?student=${student.id}`)
    await one.getByRole('heading', { name: 'Signe Tarrow' }).waitFor()
    await one.getByRole('button', { name: 'Tick off: left glove wears through' }).click()
    await expect.poll(() => strip.count()).toBe(0)
    await one.context().close()
    await other.context().close()
  })
})
