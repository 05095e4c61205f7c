import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { Browser, Page } from 'playwright-core'
import { aCoupon } from '../../core/coupon/example'
import { drawLearner, weldCoupon } from '../../core/simulate'
import { seededRandom } from '../../core/statistics'
import { addClass, foundTestSchool, type School } from '../school'
import { openBrowser, settled, teaching } from './browser'

let browser: Browser
let school: School
let section: string
let student: string
beforeAll(async () => {
  school = await foundTestSchool()
  const made = await addClass(school, 'Evening P', 'Wenna Marsh')
  section = made.section.id
  student = made.student.id
  const random = seededRandom(8)
  for (let n = 0; n < 12; n++) {
    const document = { ...weldCoupon(aCoupon({ studentId: student }), drawLearner(random, null), n, random) }
    await school.lead.ask('PUT', `/api/coupons/${uuid()}`, {
      baseVersion: 0,
      why: '',
      document: { ...document, classDay: `2026-10-${String(5 + n).padStart(2, '0')}` },
    })
  }
  browser = await openBrowser()
})
afterAll(() => browser?.close())

/** A4 less its margins of 10 mm, CSS pixels. */
const PAPER_WIDTH = Math.floor((190 / 25.4) * 96)

/** In the page, as it is printed: what lies past the edge of the paper. */
function offThePaper(width: number): string[] {
  return [...document.querySelectorAll('main *')]
    .filter(element => {
      const box = element.getBoundingClientRect()
      return (
        box.width > 0 && box.height > 0 && getComputedStyle(element).visibility === 'visible' && box.right > width + 1
      )
    })
    .map(
      element =>
        `${element.tagName} ${element.getAttribute('class') ?? ''} ${element.textContent?.trim().slice(0, 40)}`,
    )
}

/** In the page, as it is printed: words that are too light for white paper, with nothing dark behind them. */
function tooLight(): string[] {
  const light = (color: string) => {
    const [r = 0, g = 0, b = 0, alpha = 1] = (color.match(/[\d.]+/g) ?? []).map(Number)
    return alpha < 0.2 ? 255 : 0.299 * r + 0.587 * g + 0.114 * b
  }
  const behind = (element: Element): number => {
    for (let up: Element | null = element; up; up = up.parentElement) {
      const { backgroundColor } = getComputedStyle(up)
      if (!/, 0\)$|transparent/.test(backgroundColor)) return light(backgroundColor)
    }
    return 255
  }
  return [...document.querySelectorAll('main *:not(svg *)')]
    .filter(element => [...element.childNodes].some(node => node.nodeType === 3 && node.textContent!.trim() !== ''))
    .filter(element => element.getBoundingClientRect().width > 1)
    .filter(element => light(getComputedStyle(element).color) > 170 && behind(element) > 200)
    .map(element => element.textContent!.trim().slice(0, 60))
}

async function onPaper(page: Page): Promise<{ off: string[]; light: string[]; pages: number }> {
  await page.setViewportSize({ width: PAPER_WIDTH, height: 1047 })
  await page.emulateMedia({ media: 'print' })
  await settled(page)
  const [off, light] = [await page.evaluate(offThePaper, PAPER_WIDTH), await page.evaluate(tooLight)]
  const pdf = (await page.pdf({ format: 'A4', printBackground: false })).toString('latin1')
  return { off, light, pages: (pdf.match(/\/Type\s*\/Page\b/g) ?? []).length }
}

const PRINTED: readonly (readonly [name: string, path: () => string, seen: string, mostPages: number])[] = [
  ['a record', () => `/record/${student}`, 'Wenna Marsh', 6],
  ['a way to a test', () => `/record/${student}/progress`, 'What would help most', 5],
  ['a section’s report', () => '/report', 'Wenna Marsh', 3],
  ['a class day', () => '/day?day=2026-10-06', 'Wenna Marsh', 2],
  ['a settings card', () => '/set-up?position=3G+vertical&size=3/32', 'Watch', 4],
]

describe.each(['light', 'dark'] as const)('printed from the %s theme', colorScheme => {
  it.each(PRINTED)('%s fits on A4, and can be read on white', async (_, path, seen, mostPages) => {
    const page = await teaching(browser, 'maren', section, { colorScheme, at: `${path()}` })
    await page.getByText(seen).first().waitFor()
    await settled(page)
    const { off, light, pages } = await onPaper(page)
    expect(off).toEqual([])
    expect(light).toEqual([])
    expect(pages).toBeGreaterThan(0)
    expect(pages).toBeLessThanOrEqual(mostPages)
    await page.context().close()
  })
})
