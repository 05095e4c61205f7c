import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { Browser, Page } from 'playwright-core'
import { classDayAt, MACHINE_CLOCK } from '../../core/calendar'
import { aCoupon } from '../../core/coupon/example'
import { passedExample } from '../../core/welderTest/example'
import { drawLearner, weldCoupon } from '../../core/simulate'
import { seededRandom } from '../../core/statistics'
import { foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { openBrowser, settled, signedIn, teaching } from './browser'

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

let browser: Browser
let school: School
const passedTest = uuid()
beforeAll(async () => {
  school = await foundTestSchool()
  const random = seededRandom(4)
  for (let n = 0; n < 8; n++)
    await school.lead.ask('PUT', `/api/coupons/${uuid()}`, {
      baseVersion: 0,
      why: '',
      document: weldCoupon(aCoupon({ studentId: school.mine.id }), drawLearner(random, null), n, random),
    })
  const document = { ...passedExample(school.mine.id), couponId: uuid() }
  expect((await school.lead.ask('PUT', `/api/tests/${passedTest}`, { baseVersion: 0, document })).status).toBe(200)
  browser = await openBrowser()
})
afterAll(() => browser?.close())

interface Violation {
  id: string
  impact: string
  nodes: { html: string }[]
}

/** In the page: axe's own run over the whole document, by all its rules or by some. */
async function runAxe(rules: readonly string[] | null): Promise<Violation[]> {
  const { axe } = window as unknown as {
    axe: { run: (root: unknown, options: object) => Promise<{ violations: Violation[] }> }
  }
  const only = rules === null ? {} : { runOnly: rules }
  const result = await axe.run(window.document, { resultTypes: ['violations'], ...only })
  return result.violations
}

/**
 * In the page: what lies past the right edge of the window, where nothing
 * can scroll it into view. The page clips, so its own scroll width is silent.
 */
function pastTheEdge(): string[] {
  const held = (element: Element): boolean => {
    for (let up = element.parentElement; up && up !== document.body; up = up.parentElement)
      if (/auto|scroll|hidden|clip/.test(getComputedStyle(up).overflowX)) return true
    return false
  }
  return [...document.querySelectorAll('main *:not(.sr-only):not(svg *)')]
    .filter(element => element.getBoundingClientRect().right > window.innerWidth + 1 && !held(element))
    .map(element => `${element.tagName} ${element.className}`)
}

/** What axe-core finds serious or critical on a page. */
async function serious(page: Page, rules: readonly string[] | null = null): Promise<string[]> {
  await page.evaluate(AXE)
  const violations = await page.evaluate(runAxe, rules)
  return violations
    .filter(row => row.impact === 'serious' || row.impact === 'critical')
    .map(row => `${row.id}: ${row.nodes[0]?.html}`)
}

const PAGES: readonly (readonly [name: string, path: () => string, heading: string])[] = [
  ['the floor', () => '/', 'Evening T'],
  ['the day', () => '/day', 'Who is here'],
  ['the plan of a day', () => '/plan', 'What it takes'],
  ['the wall', () => '/wall', 'Evening T'],
  ['the bench', () => `/bench?student=${school.mine.id}`, 'Oriel Tamsin'],
  ['a record', () => `/record/${school.mine.id}`, 'Coupons'],
  ['the records', () => '/record', 'Whose record?'],
  ['the house', () => '/house', 'Accounts'],
  ['the first day', () => '/first-day', 'The first day'],
  ['the rod room', () => '/rods', 'Rod room'],
  ['the shop', () => '/house/shop', 'House'],
  ['the calendar', () => '/house/calendar', 'House'],
  ['the house rules', () => '/house/rules', 'Example coupon'],
  ['a settings card', () => '/set-up?position=4G+overhead&joint=T', 'Watch'],
  ['the pad planner', () => '/set-up/pad', 'Set-up'],
  ['the cutting plan', () => '/set-up/cutting', 'Set-up'],
  ['the stopwatch', () => '/set-up/clock', 'Set-up'],
  ['the drill', () => '/set-up/drill', 'Set-up'],
  ['rods and polarity', () => '/set-up/rods', 'Polarity'],
  ['a sheet of arithmetic', () => '/set-up/arithmetic?sheet=fillet', 'Fillet size and weight'],
  ['the Board', () => '/board', 'Board'],
  ['the way to a test', () => `/record/${school.mine.id}/progress`, 'Oriel Tamsin'],
  ['a student’s tests', () => `/record/${school.mine.id}/tests`, 'How it stands'],
  ['the ladder', () => '/house/ladder', 'House'],
  ['the test bay', () => '/test-bay', 'To do'],
  ['a test', () => `/test-bay/${passedTest}`, 'Qualifies'],
  ['planning a test', () => `/test-bay/plan?student=${school.mine.id}`, 'Would qualify'],
  ['continuity', () => '/test-bay/continuity', 'Stands'],
  ['tests in figures', () => '/test-bay/cohort', 'Passed the first time'],
  ['code books', () => '/house/codes', 'AWS D1.1'],
  ['the causes', () => '/house/causes', 'House'],
  ['the readers', () => '/house/readers', 'Waiting for a second reader'],
  ['the trail', () => '/house/trail', 'House'],
]

describe('every room', () => {
  // One sign-in for all of them: what a page shows does not hang on the page before.
  let page: Page
  beforeAll(async () => {
    page = await teaching(browser, 'maren', school.section.id)
  })
  afterAll(() => page?.context().close())

  it.each(PAGES)('axe finds nothing serious on %s, and nothing of it lies past the edge', async (_, path, heading) => {
    await page.emulateMedia({ colorScheme: 'light' })
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.goto(`${ADDRESS}${path()}`)
    await page.getByRole('heading', { name: heading }).first().waitFor()
    await settled(page)
    expect(await serious(page)).toEqual([])
    // The other theme is the same page in other colours.
    await page.emulateMedia({ colorScheme: 'dark' })
    await page.locator('.v-application.v-theme--booth').waitFor({ state: 'attached' })
    expect(await serious(page, ['color-contrast'])).toEqual([])
    for (const [width, height] of [
      [1280, 800],
      [820, 1180],
      ...(/^\/(house|set-up)/.test(path()) ? [] : [[390, 844]]),
    ] as const) {
      await page.setViewportSize({ width, height })
      await settled(page)
      await expect.poll(() => page.evaluate(pastTheEdge), { message: `at ${width} wide`, timeout: 5000 }).toEqual([])
    }
  })
})

it('`?` says in a few steps what is done in a room, with its keys; so does a tap', async () => {
  const page = await teaching(browser, 'tobias', school.section.id)
  await page.getByText('Evening T').first().waitFor()
  await page.keyboard.press('?')
  const floor = page.getByRole('dialog', { name: 'Floor' })
  await floor.getByText('Who waits stands in order of the wait').waitFor()
  expect(await floor.getByRole('term').allInnerTexts()).toEqual(['N'])
  expect(await serious(page)).toEqual([])
  await floor.getByRole('button', { name: 'Close' }).click()
  await page.goto(`${ADDRESS}/bench?student=${school.mine.id}`)
  await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
  await page.keyboard.press('?')
  await page.getByRole('dialog', { name: 'Bench' }).getByText('mark only what is wrong').waitFor()
  expect(await page.getByRole('dialog').count()).toBe(1)
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Help with this room' }).click()
  await page.getByRole('dialog', { name: 'Bench' }).getByText('Say the one change').waitFor()
  await page.context().close()
})

it.each(['light', 'dark'] as const)('axe finds nothing serious on the sign-in page in the %s theme', async theme => {
  const door = await browser.newPage({ colorScheme: theme })
  await door.goto(`${ADDRESS}/sign-in`)
  await door.getByRole('heading', { name: 'Gannet Quay Trades Hall' }).waitFor()
  expect(await serious(door)).toEqual([])
  await door.close()
})

it('an address without a page says so inside the frame, and leads home', async () => {
  const page = await signedIn(browser, 'tobias', { at: '/floor/of/nothing' })
  await page.getByRole('heading', { name: 'There is no page here' }).waitFor()
  await page.getByText('/floor/of/nothing').waitFor()
  await page.getByRole('main').getByRole('link', { name: 'Floor' }).click()
  await page.waitForURL(`${ADDRESS}/`)
  await page.context().close()
})

it('the drawing takes at least 60 % of the width at 1280x800', async () => {
  const page = await teaching(browser, 'tobias', school.section.id, { at: `/bench?student=${school.mine.id}` })
  const stage = await page.getByRole('region', { name: 'Coupon' }).boundingBox()
  expect(stage!.width / 1280).toBeGreaterThanOrEqual(0.6)
  await page.context().close()
})

describe('a student', () => {
  it('opens on the own day, and is led back to it from anywhere else', async () => {
    const page = await signedIn(browser, 'oriel')
    for (const path of ['/', '/bench', '/house', `/record/${school.other.id}`]) {
      await page.goto(`${ADDRESS}${path}`)
      await page.getByRole('heading', { name: 'How far along' }).waitFor()
      expect(new URL(page.url()).pathname).toBe('/today')
    }
    expect(await page.getByRole('navigation', { name: 'Rooms' }).getByRole('link').allInnerTexts()).toEqual([
      'Today',
      'Read',
      'Record',
      'Set-up',
      'Practice',
    ])
    await page.goto(`${ADDRESS}/record/${school.mine.id}`)
    await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
    await page.context().close()
  })

  it('sets up by every card and sheet, and prints none for a class', async () => {
    const page = await signedIn(browser, 'oriel', { at: '/set-up?position=4G+overhead&joint=T' })
    await page.getByRole('article', { name: 'Settings card' }).waitFor()
    expect(await page.getByRole('button', { name: 'Cards for booths' }).count()).toBe(0)
    for (const [path, says] of [
      ['pad', 'Overlap'],
      ['joint', 'Beads'],
      ['clock', 'Start'],
      ['rods', 'Polarity'],
      ['arithmetic?sheet=fillet', 'Fillet size and weight'],
    ] as const) {
      await page.goto(`${ADDRESS}/set-up/${path}`)
      await page.getByText(says).filter({ visible: true }).first().waitFor()
    }
    await page.context().close()
  })

  it.each(['light', 'dark'] as const)('sees what was said once asked for it, in the %s theme', async theme => {
    const couponId = uuid()
    const document = {
      ...aCoupon({ studentId: school.mine.id }),
      classDay: classDayAt(new Date(), MACHINE_CLOCK),
      nextRun: 'Hold the rod square to the plate',
    }
    const saved = await school.instructor.ask('PUT', `/api/coupons/${couponId}`, { baseVersion: 0, why: '', document })
    expect(saved.status).toBe(200)
    const page = await signedIn(browser, 'oriel', { at: '/today', colorScheme: theme })
    const last = page.getByRole('region', { name: 'Last coupon' })
    await last.getByRole('link', { name: 'Read it myself' }).waitFor()
    expect(await last.innerText()).not.toContain('Hold the rod square')
    await last.getByRole('button', { name: 'Show what was said' }).click()
    await last.getByText('Hold the rod square to the plate').waitFor()
    await last.getByText('move on').waitFor()
    const next = page.getByRole('region', { name: 'Next coupon' })
    await next.getByRole('heading', { name: 'Next: ' }).waitFor()
    expect(await serious(page)).toEqual([])
    // Seen once, it stands there at once.
    await page.reload()
    await last.getByText('Hold the rod square to the plate').waitFor()
    await page.getByRole('button', { name: 'My coupon is ready' }).click()
    await page.getByText('You are next.').waitFor()
    await page.getByRole('button', { name: 'Take it back' }).click()
    await page.getByRole('button', { name: 'My coupon is ready' }).waitFor()
    await page.context().close()
  })
})

describe('a roster from a file', () => {
  const choose = async (page: Page, text: string) =>
    page
      .getByLabel('or a CSV file')
      .setInputFiles({ name: 'roster.csv', mimeType: 'text/csv', buffer: Buffer.from(text, 'latin1') })

  it('shows what is wrong by line and imports nobody; mended, it imports everybody, Latin-1 or not', async () => {
    const page = await signedIn(browser, 'maren', { at: '/house' })
    await page.getByRole('button', { name: 'Import a list' }).click()
    await choose(page, 'name,hand\nZo\xEB Camber,left\nDario Venn,both\n')
    await page.getByText('1 of 2 lines need mending').waitFor()
    await page.getByText('hand is right or left').waitFor()
    expect(await page.getByRole('button', { name: 'Import 2 students' }).isDisabled()).toBe(true)
    await choose(page, 'name,hand\nZo\xEB Camber,left\nDario Venn,right\n')
    await page.getByRole('button', { name: 'Import 2 students' }).click()
    await page.getByText('2 students imported').waitFor()
    await page.getByRole('link', { name: 'Zoë Camber' }).waitFor()
    await page.context().close()
  })
})

it('adds a student, and says at the field what is wrong', async () => {
  const page = await teaching(browser, 'tobias', school.section.id, { at: '/house' })
  await page.getByRole('button', { name: 'Add student' }).click()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await page.getByText('This is missing').waitFor()
  await page.getByLabel('Name').fill('Freya Pell 🔧')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await page.getByRole('link', { name: 'Freya Pell 🔧' }).waitFor()
  await page.context().close()
})
