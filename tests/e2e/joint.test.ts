import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Browser, Page } from 'playwright-core'
import { foundTestSchool } from '../school'
import { ADDRESS } from '../session'
import { choose, openBrowser, signedIn } from './browser'

let browser: Browser
let page: Page
beforeAll(async () => {
  await foundTestSchool()
  browser = await openBrowser()
  page = await signedIn(browser, 'tobias')
})
afterAll(() => browser?.close())

const open = async (query: string) => {
  await page.goto(`${ADDRESS}/set-up/joint?${query}`)
  await page.getByRole('group', { name: /^Section, / }).waitFor()
}
const figure = (name: string) => page.locator('dl div', { hasText: name }).first().locator('dd').innerText()
const aim = (bead: number) => page.getByRole('slider', { name: new RegExp(`^Aim of bead ${bead},`) })

describe('the bead stack', () => {
  // Common practice: 3/8 in on backing, overhead, takes 1 root, 2 fill, 3 cap.
  it('is planned for the joint, bead by bead', async () => {
    await open('position=4G+overhead')
    expect(await figure('Beads')).toBe('6: 1 + 2 + 3')
    await page.getByRole('slider', { name: /^Laid/ }).fill('2')
    await page.getByText(/Next, bead 3 \(fill\): aim .* right of the middle/).waitFor()
    await page.getByText(/Left to do: 4 beads, \d+ rods/).waitFor()
    expect(await page.locator('.ahead').count()).toBe(4)
  })

  it('a bead’s aim moves by keys and by dragging, and the rest is planned around it', async () => {
    await open('position=4G+overhead')
    const words = () => aim(2).getAttribute('aria-valuetext')
    const before = await words()
    await aim(2).focus()
    await page.keyboard.press('Shift+ArrowLeft')
    await expect.poll(words).not.toBe(before)
    await page.getByRole('button', { name: 'Back to the plan' }).click()
    await expect.poll(words).toBe(before)
    const dot = (await aim(2).locator('circle').last().boundingBox())!
    await page.mouse.move(dot.x + dot.width / 2, dot.y + dot.height / 2)
    await page.mouse.down()
    await page.mouse.move(dot.x + 90, dot.y, { steps: 5 })
    await page.mouse.up()
    await expect.poll(words).not.toBe(before)
    await page.getByRole('button', { name: 'Back to the plan' }).waitFor()
  })

  // Common practice: 1/64 in a press. Keys come faster than a thick groove is planned.
  it('keys that come faster than the beads are planned are all counted', async () => {
    await open('joint=V%2C+backing&plate=25.4mm&position=4G+overhead')
    const at = async () => Number(await aim(2).getAttribute('aria-valuenow'))
    const before = await at()
    await aim(2).evaluate(async dot => {
      for (let n = 0; n < 12; n++) {
        dot.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowLeft', bubbles: true }))
        await new Promise(resolve => setTimeout(resolve))
      }
    })
    await expect.poll(at).toBeCloseTo(before - (12 * 25.4) / 64, 0)
  })

  it('says when a slot is too narrow for the rod, and puts it right', async () => {
    await open('joint=V%2C+backing&plate=25.4mm&position=4G+overhead')
    const total = await page.locator('.bead').count()
    let warned = false
    for (let bead = 2; bead <= total && !warned; bead++) {
      await aim(bead).focus()
      for (let n = 0; n < 7 && !warned; n++) {
        const words = () => aim(bead).getAttribute('aria-valuetext')
        const before = await words()
        await page.keyboard.press('Shift+ArrowRight')
        await expect.poll(words).not.toBe(before)
        warned = (await page.getByText('leaves a slot too narrow for the rod').count()) > 0
      }
      if (!warned) await page.getByRole('button', { name: 'Back to the plan' }).click()
    }
    expect(warned).toBe(true)
    await page.getByRole('button', { name: 'Do that' }).click()
    await page.getByText('leaves a slot too narrow for the rod').waitFor({ state: 'hidden' })
  })

  it('builds a T 1, 2, 3, and says what does not go together', async () => {
    await open('joint=T+fillet')
    expect(await figure('Beads')).toBe('6: 1 + 2 + 3')
    expect(await figure('Legs')).toBe('1/2 in, 1/2 in')
    await page.goto(`${ADDRESS}/set-up/joint?joint=V%2C+open+root&plate=6mm&land=7mm`)
    await page.getByText('The land is thinner than the plate').waitFor()
  })
})

describe('the fit-up', () => {
  it('says what is off as it is gauged, what to do, and the next pre-set', async () => {
    await open('joint=V%2C+open+root&gap=3.175mm&land=2.4mm&angle=60')
    const fitUp = page.getByRole('region', { name: 'Fit-up' })
    await fitUp.getByText('Nothing off').waitFor()
    await choose(
      page,
      fitUp.locator('.v-select', { has: page.getByRole('combobox', { name: 'Gauged' }) }),
      'after tack 1',
    )
    await fitUp.getByLabel('Right, tack 1').fill('3/32')
    await fitUp.getByText('1/32 in tight at the right end after tack 1.').waitFor()
    await fitUp.getByText('Wedge it before tack 2.').waitFor()
    await choose(page, fitUp.locator('.v-select', { has: page.getByRole('combobox', { name: 'Gauged' }) }), 'welded')
    await fitUp.getByLabel('Drawn in still').fill('2')
    await fitUp.getByText('Pre-set the next one 5°.').waitFor()
    await fitUp.getByLabel('Left, tacked').fill('1/4')
    await fitUp.getByRole('button', { name: 'Plan with the gap as gauged' }).click()
    await expect.poll(() => page.getByLabel('Root opening').inputValue()).toBe('3/16')
  })
})
