import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Browser, Page } from 'playwright-core'
import { foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { openBrowser, teaching } from './browser'

let browser: Browser
let school: School
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
})
afterAll(() => browser?.close())

const heading = (page: Page) => page.getByRole('heading', { level: 1 }).innerText()
const strip = (page: Page) => page.getByRole('navigation', { name: 'Parked coupons' })
/** Opens somebody else's coupon by keys: the next hot one. */
async function interruptedBy(page: Page, name: string) {
  await page.keyboard.press('/')
  const picker = page.getByRole('dialog', { name: 'Choose a student' })
  await picker.getByLabel('Name or booth').fill(name)
  await page.keyboard.press('Enter')
  await page.getByRole('heading', { name }).waitFor()
}

describe('an instructor is interrupted', () => {
  it('and the coupon that was begun waits, with all its steps, through a reload too', async () => {
    const page = await teaching(browser, 'tobias', school.section.id, { at: `/bench?student=${school.mine.id}` })
    await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
    await page.waitForURL(`${ADDRESS}/bench`)
    await page.keyboard.press('u')
    await page.keyboard.press('ArrowUp')
    await page.keyboard.press('p')

    await interruptedBy(page, 'Pavo Lindqvar')
    await strip(page)
      .getByRole('button', { name: /^Oriel Tamsin 1G pad/ })
      .waitFor()
    await page.keyboard.press('g')

    // Back by one key: where it was left, and it can still be undone.
    await page.keyboard.press('`')
    await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
    expect(await strip(page).getByRole('button').count()).toBe(1)
    await page.getByText(/^2 marked/).waitFor()
    await page.keyboard.press('Control+z')
    await page.getByText(/^1 marked/).waitFor()

    await page.reload()
    await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
    await strip(page)
      .getByRole('button', { name: /^Pavo Lindqvar/ })
      .click()
    await page.getByRole('heading', { name: 'Pavo Lindqvar' }).waitFor()
    await strip(page)
      .getByRole('button', { name: /^Oriel Tamsin/ })
      .waitFor()

    // The same student chosen again is the same coupon, not a second one.
    await interruptedBy(page, 'Oriel Tamsin')
    expect(await strip(page).getByRole('button').count()).toBe(1)
    await page.keyboard.press('Enter')
    await page.getByText('Oriel Tamsin: saved').waitFor()
    // What was begun of the other is not lost: on the bench where the queue has come to it, else still parked.
    await expect
      .poll(
        async () =>
          (await heading(page)) === 'Pavo Lindqvar' ||
          (await strip(page)
            .getByRole('button', { name: /^Pavo Lindqvar/ })
            .count()) === 1,
      )
      .toBe(true)
    await page.context().close()
  })

  it('a name that is entered before the class has come is taken when it comes', async () => {
    const page = await teaching(browser, 'tobias', school.section.id)
    let letIn = () => {}
    const asked = new Promise<void>(resolve => {
      letIn = resolve
    })
    await page.route('**/api/sections/*/floor', async route => {
      await asked
      await route.continue()
    })
    await page.goto(`${ADDRESS}/bench`)
    await page.getByLabel('Loading the section').waitFor()
    await page.keyboard.press('/')
    const picker = page.getByRole('dialog', { name: 'Choose a student' })
    await picker.getByLabel('Name or booth').fill('Oriel')
    await page.keyboard.press('Enter')
    await picker.getByText('The class is being fetched.').waitFor()
    letIn()
    await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
    await page.context().close()
  })

  it('what was not marked is not kept, and what another account parked is not shown', async () => {
    const page = await teaching(browser, 'maren', school.section.id, { at: `/bench?student=${school.mine.id}` })
    await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
    expect(await strip(page).count()).toBe(0)
    await interruptedBy(page, 'Pavo Lindqvar')
    expect(await strip(page).count()).toBe(0)
    expect(await heading(page)).toBe('Pavo Lindqvar')
    await page.context().close()
  })

  it('by touch on a tablet: the strip stands above the coupon and nothing runs off the side', async () => {
    const page = await teaching(browser, 'tobias', school.section.id, {
      viewport: { width: 820, height: 1180 },
      hasTouch: true,
    })
    for (const [id, name] of [
      [school.mine.id, 'Oriel Tamsin'],
      [school.other.id, 'Pavo Lindqvar'],
    ] as const) {
      await page.goto(`${ADDRESS}/bench?student=${id}`)
      await page.getByRole('heading', { name }).waitFor()
      await page.waitForURL(`${ADDRESS}/bench`)
      await page.keyboard.press('u')
    }
    const chip = strip(page).getByRole('button', { name: /^Oriel Tamsin/ })
    const box = (await chip.boundingBox())!
    expect(box.height).toBeGreaterThanOrEqual(44)
    expect(box.x + box.width).toBeLessThanOrEqual(820)
    await chip.tap()
    await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
    await page.context().close()
  })
})
