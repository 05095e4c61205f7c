import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { Browser, Locator, Page } from 'playwright-core'
import type { Section, Student } from '../../contract/people'
import type { CouponPage } from '../../contract/record'
import { isFlaw, isTry } from '../../core/coupon'
import { aCoupon, aJoint } from '../../core/coupon/example'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { openBrowser, teaching } from './browser'

let browser: Browser
let school: School
let pads: { section: Section; student: Student }
let pipes: { section: Section; student: Student }
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
  pads = await addClass(school, 'Evening V, pads in hand', 'Rune Falkner')
  pipes = await addClass(school, 'Evening V, pipe in hand', 'Sefa Lindholm')
  const keep = (document: object, studentId: string) =>
    school.lead.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document: { ...document, studentId } })
  await keep(aCoupon(), pads.student.id)
  await keep(aJoint(), pipes.student.id)
})
afterAll(() => browser?.close())

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }
const inHand = async (of: typeof pads, options: object = {}) => {
  const page = await teaching(browser, 'tobias', of.section.id, { ...PHONE, ...options })
  await page.goto(`${ADDRESS}/bench`)
  await page.getByRole('button', { name: 'Next coupon' }).waitFor()
  let taps = 0
  const tap = async (what: Locator) => {
    taps++
    await what.tap()
  }
  return { page, tap, taps: () => taps }
}
const lane = (page: Page, name: string) =>
  page.getByRole('group', { name: /Beads|Passes/ }).getByRole('button', { name: new RegExp(`^${name}(,|$)`) })
const kind = (page: Page, name: string) =>
  page.getByRole('toolbar', { name: 'Marks' }).getByRole('button', { name, exact: true })
const strip = (page: Page) => page.locator('.strip svg').first()
const newest = async (studentId: string) =>
  (await school.lead.ask<CouponPage>('GET', `/api/students/${studentId}/coupons`)).body.coupons.toSorted((a, b) =>
    b.savedAt.localeCompare(a.savedAt),
  )[0]!.document
/** By how many pixels a page can be pushed, down and across. */
const pushed = (page: Page) =>
  page.evaluate(() => {
    const { scrollHeight, scrollWidth } = document.scrollingElement!
    return [scrollHeight - window.innerHeight, scrollWidth - window.innerWidth]
  })

describe('the Bench in one hand', () => {
  it('a six-bead pad with three flaws goes from next coupon to saved in at most 12 taps', async () => {
    const { page, tap, taps } = await inHand(pads)
    /** A tap at a share of the strip's length. */
    const at = async (share: number) => {
      const box = (await strip(page).boundingBox())!
      await page.touchscreen.tap(box.x + 16 + share * (box.width - 32), box.y + box.height / 2)
    }
    let placed = 0
    const place = async (share: number) => {
      placed++
      await at(share)
    }
    await tap(page.getByRole('button', { name: 'Next coupon' }))
    await page.getByRole('heading', { name: 'Rune Falkner' }).waitFor()
    await tap(lane(page, 'bead 2'))
    await place(0.5)
    await tap(kind(page, 'Undercut'))
    await tap(lane(page, 'bead 4'))
    await tap(kind(page, 'Porosity'))
    await tap(page.getByRole('group', { name: 'How bad' }).getByRole('button', { name: 'bad' }))
    await tap(lane(page, 'bead 5'))
    await place(0.75)
    await tap(kind(page, 'Slag'))
    await tap(page.getByRole('button', { name: 'Save, next' }))
    await page.getByText('Rune Falkner: saved').waitFor()
    expect(taps() + placed).toBeLessThanOrEqual(12)
    const { marks } = await newest(pads.student.id)
    expect(marks.filter(isFlaw).map(mark => [mark.flaw, mark.beadId, mark.severity])).toEqual([
      ['undercut', 'b2', 2],
      ['porosity', 'b4', 3],
      ['slag', 'b5', 2],
    ])
    const [undercut, , slag] = marks.filter(isFlaw)
    expect((undercut!.atMm + undercut!.toMm) / 2).toBeCloseTo(76, -1)
    expect((slag!.atMm + slag!.toMm) / 2).toBeCloseTo(114, -1)
    await page.context().close()
  })

  it('a 6G pipe with four flaws goes from next coupon to saved in at most 22 taps', async () => {
    const { page, tap, taps } = await inHand(pipes)
    await tap(page.getByRole('button', { name: 'Next coupon' }))
    await page.getByRole('heading', { name: 'Sefa Lindholm' }).waitFor()
    await tap(lane(page, 'root side'))
    await tap(kind(page, 'Not through'))
    await tap(lane(page, 'pass 2'))
    await tap(kind(page, 'Restart'))
    await tap(page.getByRole('group', { name: 'How bad' }).getByRole('button', { name: 'workable' }))
    await tap(lane(page, 'pass 3'))
    await tap(kind(page, 'Undercut'))
    await tap(page.getByRole('button', { name: 'which toe' }))
    await tap(lane(page, 'pass 4'))
    await tap(kind(page, 'Slag'))
    await tap(page.getByRole('button', { name: 'Save, next' }))
    await page.getByText('Sefa Lindholm: saved').waitFor()
    expect(taps()).toBeLessThanOrEqual(22)
    const { marks } = await newest(pipes.student.id)
    expect(marks.filter(isFlaw).map(mark => mark.flaw)).toEqual(['incomplete penetration', 'undercut', 'slag'])
    expect(marks.filter(isTry).filter(mark => mark.degree === 'workable')).toHaveLength(1)
    await page.context().close()
  })

  it.each([
    ['360 x 640', 360, 640],
    ['390 x 844', 390, 844],
    ['430 x 932', 430, 932],
  ])('at %s nothing is pushed, nothing is under a finger’s size, and no key cap is shown', async (_, width, height) => {
    for (const of of [pads, pipes]) {
      const { page, tap } = await inHand(of, { viewport: { width, height } })
      await tap(page.getByRole('button', { name: 'Next coupon' }))
      await kind(page, 'Undercut').tap()
      await page.getByRole('group', { name: 'How bad' }).waitFor()
      expect(await pushed(page)).toEqual([0, 0])
      const small = await page
        .locator('.phone-bench button, .phone-bench a')
        .evaluateAll(all =>
          all
            .map(one => [one.textContent, one.getBoundingClientRect()] as const)
            .flatMap(([says, box]) =>
              box.width < 44 || box.height < 44 ? [`${says}: ${box.width} x ${box.height}`] : [],
            ),
        )
      expect(small).toEqual([])
      expect(await page.locator('kbd:visible').count()).toBe(0)
      const drawn = await page.locator('.strip svg rect').first().boundingBox()
      expect(drawn === null || drawn.height > 0).toBe(true)
      // Save is inside the screen, and the rail is not over it.
      const save = (await page.getByRole('button', { name: 'Save, next' }).boundingBox())!
      expect(save.y + save.height).toBeLessThanOrEqual(height)
      expect(await page.getByRole('navigation', { name: 'Rooms' }).isVisible()).toBe(false)
      await page.context().close()
    }
  })

  it('two fingers stretch the strip, and a span is pulled by its end', async () => {
    const { page, tap } = await inHand(pads)
    await tap(page.getByRole('button', { name: 'Next coupon' }))
    await tap(kind(page, 'Undercut'))
    const says = page.locator('.strip').getByRole('status')
    await page.getByText(/undercut from 2 3\/4 in to 3 1\/4 in/).waitFor()
    const box = (await strip(page).boundingBox())!
    const xAt = (inch: number) => box.x + 16 + (inch / 6) * (box.width - 32)
    await page.mouse.move(xAt(3.25), box.y + box.height / 2)
    await page.mouse.down()
    await page.mouse.move(xAt(4), box.y + box.height / 2, { steps: 4 })
    await page.mouse.move(xAt(4.5), box.y + box.height / 2, { steps: 4 })
    await page.mouse.up()
    expect(await says.innerText()).toMatch(/undercut from 2 3\/4 in to 4 (3\/8|7\/16|1\/2|9\/16|5\/8) in/)

    const wide = async () => Number((await strip(page).getAttribute('viewBox'))!.split(' ')[2])
    const before = await wide()
    const client = await page.context().newCDPSession(page)
    const touches = (type: string, apart: number) =>
      client.send('Input.dispatchTouchEvent', {
        type: type as 'touchStart',
        touchPoints:
          type === 'touchEnd'
            ? []
            : [-1, 1].map((side, id) => ({ x: 195 + (side * apart) / 2, y: box.y + box.height / 2, id })),
      })
    await touches('touchStart', 60)
    for (const apart of [80, 100, 120]) await touches('touchMove', apart)
    await touches('touchEnd', 120)
    expect(await wide()).toBeLessThan(0.7 * before)
    await page.context().close()
  })

  it('opens the whole reading, and marks for the other thumb', async () => {
    const { page, tap } = await inHand(pads)
    await tap(page.getByRole('button', { name: 'Next coupon' }))
    await tap(kind(page, 'Undercut'))
    await tap(page.getByRole('button', { name: 'Open the whole reading' }))
    const whole = page.getByRole('region', { name: 'The whole reading' })
    await whole.getByText('What the student says').waitFor()
    await tap(whole.getByRole('button', { name: 'Marks for the left thumb' }))
    await tap(whole.getByRole('button', { name: 'Close' }))
    const save = (await page.getByRole('button', { name: 'Save, next' }).boundingBox())!
    const undo = (await page.getByRole('button', { name: 'Undo' }).boundingBox())!
    expect(save.x).toBeLessThan(undo.x)
    await tap(page.getByRole('button', { name: 'Undo' }))
    expect(await page.getByRole('group', { name: 'How bad' }).count()).toBe(0)
    await page.context().close()
  })
})

describe('the phone’s bar', () => {
  it('has four rooms and More; the way out stands apart from help', async () => {
    const page = await teaching(browser, 'tobias', pads.section.id, PHONE)
    const bar = page.getByRole('navigation', { name: 'Rooms' })
    expect(await bar.getByRole('link').allInnerTexts()).toEqual(['Floor', 'Bench', 'Record', 'Board'])
    await bar.getByRole('button', { name: 'More' }).tap()
    await page.getByRole('link', { name: 'Rod room' }).waitFor()
    const top = async (name: string) => (await page.getByRole('button', { name }).boundingBox())!.y
    expect((await top('Sign out')) - (await top('Help with this room'))).toBeGreaterThan(90)
    await page.getByRole('link', { name: 'Set-up' }).tap()
    await page.waitForURL(/set-up/)
    expect(await page.getByRole('link', { name: 'Rod room' }).count()).toBe(0)
    await page.context().close()
  })
})
