import { readFileSync } from 'node:fs'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Browser, Page } from 'playwright-core'
import { foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { choose, listOf, openBrowser, teaching } from './browser'

let browser: Browser
let school: School
let page: Page
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
  page = await teaching(browser, 'tobias', school.section.id, { permissions: ['clipboard-read', 'clipboard-write'] })
})
afterAll(() => browser?.close())

const visit = async (path: string, heading = 'Set-up') => {
  await page.goto(`${ADDRESS}${path}`)
  await page.getByRole('heading', { name: heading, exact: true }).waitFor()
}
const pick = (label: string, option: string) => choose(page, listOf(page, label), option)

describe('the settings card', () => {
  const card = () => page.getByRole('article', { name: 'Settings card' })

  it('answers every choice, and its address opens it again', async () => {
    await visit('/set-up')
    await card().getByText('E7018 · 1/8').waitFor()
    await pick('Position', '3G vertical')
    await card().getByText('push 5 to 10°').waitFor()
    await pick('Size, in or mm', '3/32')
    await card().getByText('E7018 · 3/32').waitFor()
    expect(await card().innerText()).toMatch(/80\s*A DCEP/)
    expect(await card().innerText()).toContain('70–100 A published')
    await page.waitForURL(/size=3\/32/)
    await page.reload()
    await card().getByText('push 5 to 10°').waitFor()
    expect(await card().innerText()).toMatch(/80\s*A DCEP/)
  })

  it('says how a length was read, and the range when it cannot be', async () => {
    await visit('/set-up')
    await page.getByLabel('Plate', { exact: true }).fill('9.5 mm')
    await page.getByText('3/8 in (9.5 mm)').waitFor()
    await page.getByLabel('Plate', { exact: true }).fill('90 in')
    await page.getByText('From 1/32 to 3 15/16 in').waitFor()
    expect(await page.getByRole('button', { name: 'Cards for booths' }).isDisabled()).toBe(true)
  })

  it('marks what does not fit', async () => {
    await visit('/set-up?rod=E6010&polarity=DCEN')
    await card().getByText('E6010 runs on DCEP').first().waitFor()
  })

  it('prints one card a booth, four on a sheet, and as PDF', async () => {
    await visit('/set-up')
    await page.getByRole('button', { name: 'Cards for booths' }).click()
    await page.getByLabel('Everyone in Evening T').check()
    await page.getByRole('button', { name: /PDF, \d+ cards/ }).waitFor()
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: /PDF, / }).click(),
    ])
    const pdf = readFileSync(await download.path(), 'latin1')
    expect(pdf.startsWith('%PDF')).toBe(true)
    const cards = await page.locator('.paper').count()
    expect(pdf.match(/\/Type \/Page\b/g)).toHaveLength(Math.ceil(cards / 4))
    await page.emulateMedia({ media: 'print' })
    expect(await page.locator('.paper').first().isVisible()).toBe(true)
    expect(await page.getByRole('navigation', { name: 'Rooms' }).isVisible()).toBe(false)
    expect(await page.locator('.paper img').first().getAttribute('src')).toMatch(/^data:image\/png/)
    await page.emulateMedia({ media: 'screen' })
  })

  it('the code on a card opens the Bench for the booth’s next coupon', async () => {
    await visit(`/bench?section=${school.section.id}&booth=2`, 'Pavo Lindqvar')
    await page.getByText('booth 2').waitFor()
    await page.getByRole('button', { name: 'Discard' }).click()
    await page.goto(`${ADDRESS}/bench?section=${school.section.id}&booth=99`)
    await page.getByText('Nobody has booth 99 in Evening T.').waitFor()
  })
})

describe('the pad planner', () => {
  it('answers a slider at once, and says what is out of range', async () => {
    await visit('/set-up/pad')
    const beads = () => page.locator('dl div', { hasText: 'Beads' }).locator('dd').innerText()
    const before = Number(await beads())
    await page.getByRole('slider', { name: 'Overlap' }).fill('70')
    expect(Number(await beads())).toBeGreaterThan(before)
    expect(
      await page
        .getByRole('img', { name: /Plan and section/ })
        .locator('.cut')
        .count(),
    ).toBe(Number(await beads()))
    await page.getByLabel('Overlap').first().fill('200')
    await page.getByText('From 0 to 80 %').waitFor()
    await page.getByLabel('Current').first().fill('0')
    await page.getByText('From 40 to 300 A').waitFor()
  })
})

describe('the stopwatch', () => {
  it('strikes and breaks by one key, takes typed seconds, and keeps them', async () => {
    await visit('/set-up/clock')
    await page.getByText('Nothing is timed yet').waitFor()
    await page.locator('h1').click()
    await page.keyboard.press('Space')
    await page.getByText(/^(0\.[7-9]|[1-9]\.\d) s$/).waitFor()
    await page.keyboard.press('Space')
    await page.getByRole('cell', { name: 'bead, E7018 · 1/8' }).waitFor()
    await page.getByLabel('Or type the arc time').fill('60')
    await page.keyboard.press('Enter')
    await page.getByRole('cell', { name: '6 in/min', exact: true }).waitFor()
    await page.getByLabel('Or type the arc time').fill('soon')
    await page.keyboard.press('Enter')
    await page.getByText('a number of seconds').waitFor()
    await page.reload()
    await page.getByRole('cell', { name: '6 in/min', exact: true }).waitFor()
  })
})

describe('the three-bead drill', () => {
  it('goes hot, cold, between, and stops when two beads agree', async () => {
    await visit('/set-up/drill')
    const next = page.locator('.next b')
    const read = async (width: string, height: string, toes = 'wetted in') => {
      await page.getByLabel('Width').fill(width)
      await page.getByLabel('Height').fill(height)
      if (toes !== 'wetted in') await pick('Toes', toes)
      await page.getByRole('button', { name: /Bead \d read/ }).click()
    }
    expect(await page.getByRole('button', { name: /Bead 1 read/ }).isDisabled()).toBe(true)
    await read('5/16', '1/16', 'undercut')
    await page.getByText('Now one too cold on purpose').waitFor()
    await read('1/8', '5/32', 'rolled over')
    await page.getByText('Now between').waitFor()
    const between = await next.innerText()
    await read('7/32', '3/32')
    await page.getByText('run another to be sure').waitFor()
    expect(await next.innerText()).toBe(between)
    await read('7/32', '3/32')
    await page.getByText('Two beads agree: keep it').waitFor()
    await page.reload()
    await page.getByText('Two beads agree: keep it').waitFor()
  })
})

describe('rod and polarity', () => {
  it('reads a classification part by part, and says which part is wrong', async () => {
    await visit('/set-up/rods')
    await page.getByText('at most 4 mL of diffusible hydrogen').waitFor()
    await page.getByLabel('Classification').fill('E7019')
    await page.getByText('No covering 19 at 70 ksi in A5.1').waitFor()
    await pick('Rod', 'E6010')
    await page.getByText('E6010 does not run on DCEN: it runs on DCEP').waitFor()
  })
})

describe('arithmetic', () => {
  it('works at once, copies a value, and a link opens the same inputs', async () => {
    await visit('/set-up/arithmetic')
    await page.getByText('31.3 kJ/in (1.23 kJ/mm)').waitFor()
    await page.getByLabel('Arc volts').fill('24')
    await page.getByText('30 kJ/in (1.18 kJ/mm)').waitFor()
    await page.getByRole('button', { name: 'Copy Arc energy' }).click()
    expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('30 kJ/in (1.18 kJ/mm)')
    await page.getByRole('button', { name: 'Copy a link' }).click()
    const link = await page.evaluate(() => navigator.clipboard.readText())
    await visit('/set-up/pad')
    await page.goto(link)
    await page.getByText('30 kJ/in (1.18 kJ/mm)').waitFor()
    await page.getByRole('link', { name: 'Preheat' }).click()
    await page.getByLabel('Plate is at').fill('-5')
    await page.getByText('From 0 to 400 °C').waitFor()
  })
})

it('a cutting plan begins the fewest bars, drawn and proved, and says what cannot be read', async () => {
  await visit('/set-up/cutting')
  await page.getByRole('button', { name: 'Work it out' }).click()
  const plan = page.getByRole('region', { name: 'How it is cut' })
  await plan.getByText('2 bars', { exact: false }).first().waitFor()
  await plan.getByText('no plan begins fewer').waitFor()
  expect(await plan.getByRole('img').count()).toBeGreaterThan(0)
  const wanted = page.getByRole('group', { name: 'Piece' })
  await wanted.getByLabel('Length').first().fill('long')
  await page.getByRole('button', { name: 'Work it out' }).click()
  await page.getByText('practice plate: a length like 5 1/2').waitFor()
  await wanted.getByLabel('Length').first().fill('300')
  await page.getByRole('button', { name: 'Work it out' }).click()
  await page.getByText('practice plate is longer than anything there is').waitFor()
})
