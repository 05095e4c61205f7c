import type { Browser, Page } from 'playwright-core'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { BEAD_CARDS, changeOfCard, nameOfCard, type BeadAnswer } from '../../core/readingRoom'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { openBrowser, signedIn, teaching } from './browser'

let school: School
let browser: Browser
let section: string
let student: string

beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
  const made = await addClass(school, 'Evening X beads', 'Corin Vale')
  section = made.section.id
  student = made.student.id
  await school.lead.ask('PUT', `/api/students/${student}/code`, { code: '1357' })
})
afterAll(() => browser.close())

const causes = (page: Page) => page.getByRole('region', { name: 'What is wrong?' })
const changes = (page: Page) => page.getByRole('region', { name: 'What would you change?' })
/** The key of an answer, as it stands beside it. */
const keyOf = async (page: Page, where: ReturnType<typeof causes>, name: string) => {
  await where.getByRole('button', { name }).waitFor()
  return (await where.getByRole('button', { name }).locator('kbd').innerText()).trim()
}

describe('the reading room', () => {
  it('a student at the tablet names a bead by keys, is told what told, and misses one that comes back', async () => {
    const tablet = await teaching(browser, 'tobias', section, { viewport: { width: 820, height: 1180 } })
    await tablet.goto(`${ADDRESS}/`)
    await tablet.getByRole('button', { name: 'Hand over tablet' }).click()
    await tablet.getByRole('button', { name: 'Hand over', exact: true }).click()
    await tablet.getByRole('button', { name: 'Corin Vale' }).click()
    await tablet.getByLabel('Your code').fill('1357')
    await tablet.getByRole('link', { name: 'Reading room' }).click()

    // The first bead is the first card: known to the test, not told on the page.
    const first = BEAD_CARDS[0]!
    await tablet.getByRole('img', { name: 'A bead to read' }).waitFor()
    await tablet.keyboard.press(await keyOf(tablet, causes(tablet), nameOfCard(first)))
    await tablet.keyboard.press(await keyOf(tablet, changes(tablet), changeOfCard(first)))
    const told = tablet.getByRole('status', { name: 'What it was' })
    await told.getByText('Read right').waitFor()
    await told.getByText(/^Wide: .* is right$/).waitFor()
    await told.getByText(/^Flat: /).waitFor()
    await tablet.keyboard.press('Enter')

    const second = BEAD_CARDS[1]!
    await causes(tablet)
      .getByRole('button', { name: 'Nothing wrong' })
      .or(causes(tablet).getByRole('button').first())
      .first()
      .waitFor()
    const wrong = (await causes(tablet).getByRole('button').allInnerTexts()).findIndex(
      text => !text.includes(nameOfCard(second)),
    )
    await tablet.keyboard.press(String(wrong + 1))
    await tablet.keyboard.press('1')
    await told.getByText('Not this time: it comes back soon').waitFor()
    await told.getByRole('heading', { name: nameOfCard(second) }).waitFor()
    await tablet.reload()
    await tablet.getByText('1 of the last 2 named').waitFor()
    await tablet.context().close()

    const answers = (await school.instructor.ask<BeadAnswer[]>('GET', `/api/students/${student}/reading-room`)).body
    expect(answers.map(({ card, cause }) => [card, cause === card])).toEqual([
      [first, true],
      [second, false],
    ])
    const page = await signedIn(browser, 'tobias', { at: `/record/${student}` })
    await page.getByRole('heading', { name: 'Corin Vale' }).waitFor()
    await page.context().close()
  })

  it('an answer that does not reach the server waits here, practice goes on, and it is one answer', async () => {
    const page = await signedIn(browser, 'maren', { at: '/reading-room' })
    await causes(page).getByRole('button').first().click()
    await page.route('**/api/reading-room/*', route => route.abort())
    await changes(page).getByRole('button').first().click()
    await page.getByRole('status', { name: 'What it was' }).waitFor()
    await page.getByText('1 kept here').waitFor()
    await page.unroute('**/api/reading-room/*')
    await page.reload()
    await page.getByText('all saved').waitFor()
    expect((await school.lead.ask<BeadAnswer[]>('GET', '/api/reading-room')).body).toHaveLength(1)
    await page.context().close()
  })
})
