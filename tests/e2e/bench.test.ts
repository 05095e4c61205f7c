import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { Browser, Page } from 'playwright-core'
import type { CouponRevision, SavedCoupon } from '../../contract/coupon'
import type { CouponPage } from '../../contract/record'
import { isFlaw, isTry } from '../../core/coupon'
import { aCoupon } from '../../core/coupon/example'
import { inches } from '../../core/units'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { caliperSends } from './caliper'
import { countingKeys, openBrowser, signedIn, teaching, waitingIn } from './browser'

let browser: Browser
let school: School
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
})
afterAll(() => browser?.close())

const newest = async (studentId = school.mine.id) => {
  const { body } = await school.lead.ask<CouponPage>('GET', `/api/students/${studentId}/coupons`)
  return [...body.coupons].sort((a, b) => b.savedAt.localeCompare(a.savedAt))[0]
}
const saved = async (id: string) => (await school.lead.ask<SavedCoupon>('GET', `/api/coupons/${id}`)).body

/** A page with a new coupon of the first student on the bench. */
async function bench(username = 'tobias', options = {}): Promise<Page> {
  const page = await teaching(browser, username, school.section.id, options)
  await page.goto(`${ADDRESS}/bench?student=${school.mine.id}`)
  await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
  await page.waitForURL(`${ADDRESS}/bench`)
  return page
}
const verdict = (page: Page) => page.getByRole('complementary').getByRole('heading', { level: 2 }).innerText()

describe('by a caliper that types', () => {
  it('its reading opens the gauge, is in its own unit, and saves nothing; two legs take one after the other', async () => {
    const page = await bench()
    await page.keyboard.press('ArrowUp')
    await caliperSends(page, '6.35')
    const gauge = page.getByRole('dialog', { name: 'Gauge readings' })
    await gauge.waitFor()
    expect(await gauge.getByLabel('Bead width here').inputValue()).toBe('1/4')
    // The next place: the focus waits where the caliper is needed next.
    await caliperSends(page, '25.40')
    await gauge.waitFor({ state: 'hidden' })
    expect(await page.getByText('Oriel Tamsin: saved').count()).toBe(0)

    await page.keyboard.press('ArrowUp')
    await page.keyboard.press('w')
    await gauge.getByLabel('Bead width here').waitFor()
    await caliperSends(page, '0.2505')
    await page.keyboard.press('Enter')
    await gauge.waitFor({ state: 'hidden' })
    // A button that was tapped has the focus, and would take the Enter.
    await page.getByRole('button', { name: /^Undercut/ }).click()
    await page.getByText(/^4 marked/).waitFor()
    await caliperSends(page, '7.00')
    await gauge.waitFor()
    expect(await gauge.getByLabel('Bead width here').inputValue()).toBe('9/32')
    await page.keyboard.press('Escape')
    await gauge.waitFor({ state: 'hidden' })
    await page.keyboard.press('Control+z')
    await page.getByText(/^3 marked/).waitFor()
    // A hand that types figures still does what the keys say.
    await page.keyboard.press('u')
    await page.keyboard.press('3')
    await page.getByText(/^4 marked/).waitFor()
    await page.keyboard.press('Enter')
    await page.getByText('Oriel Tamsin: saved').waitFor()
    const { marks } = (await newest())!.document
    const readings = marks.filter(mark => mark.kind === 'reading').map(({ of, valueMm }) => [of, valueMm])
    expect(readings).toEqual([
      ['width', 6.35],
      ['edge to toe', 25.4],
      ['width', 6.363],
    ])
    expect(marks.filter(isFlaw).map(({ flaw, severity }) => [flaw, severity])).toEqual([['undercut', 3]])
    await page.context().close()
  })
})

describe('by keys', () => {
  it('a six-bead pad with three flaws goes from next coupon to saved in at most 14 presses', async () => {
    // A class of its own: which piece is next goes by what others have run.
    const { section, student } = await addClass(school, 'Keys T', 'Ansel Thorne')
    const page = await teaching(browser, 'tobias', section.id, { at: '/bench' })
    await page.getByRole('button', { name: 'Next coupon' }).waitFor()
    const { press, count } = countingKeys(page)
    await press('n')
    await page.getByRole('heading', { level: 1, name: student.name }).waitFor()
    await page.getByText('6 beads, travel').waitFor()
    await press('ArrowUp', 'u', 'ArrowUp', 'ArrowUp', 'p', '3', 'ArrowUp', 's', '2')
    await press('Enter')
    await page.getByText(`${student.name}: saved`).waitFor()
    expect(count()).toBeLessThanOrEqual(14)

    const coupon = await newest(student.id)
    expect(coupon!.document.beads).toHaveLength(6)
    expect(coupon!.document.marks.filter(isFlaw).map(mark => [mark.flaw, mark.beadId, mark.severity])).toEqual([
      ['undercut', 'b2', 2],
      ['porosity', 'b4', 3],
    ])
    expect(coupon!.document.marks.filter(isTry).filter(mark => mark.degree !== 'sound')).toMatchObject([
      { kind: 'start', beadId: 'b5', degree: 'workable' },
    ])
    await page.context().close()
  })

  it('goes along by an eighth and by a half, stretches, moves, undoes and redoes', async () => {
    const page = await bench()
    const marks = page.locator('details.marks')
    await marks.locator('summary').click()
    const first = () => marks.getByRole('button').first().innerText()
    await page.keyboard.press('Shift+ArrowRight')
    await page.keyboard.press('ArrowRight')
    await page.keyboard.press('p')
    expect(await first()).toBe('bead 1, porosity at 3 5/8 in, 1/16 in across')
    await page.keyboard.press('Control+ArrowLeft')
    expect(await first()).toContain('at 3 1/2 in')
    await page.keyboard.press('Delete')
    await page.keyboard.press('u')
    await page.keyboard.press(']')
    expect(await first()).toBe('bead 1, undercut from 3 1/4 in to 3 7/8 in, both toes, 1/32 in deep')
    await page.keyboard.press('y')
    expect(await first()).toContain('upper toe')
    for (let n = 0; n < 6; n++) await page.keyboard.press('Control+z')
    expect(await first()).toContain('bead 1, start')
    await page.keyboard.press('Control+Shift+z')
    expect(await first()).toContain('porosity at 3 5/8 in')
    await page.context().close()
  })

  it('a crack starts over, and says so at once', async () => {
    const page = await bench()
    expect(await verdict(page)).toBe('Move on')
    await page.keyboard.press('k')
    expect(await verdict(page)).toBe('Start over')
    await page.getByRole('button', { name: 'Cracked: a crack is never acceptable' }).waitFor()
    await page.context().close()
  })

  it('a current out of its window is marked on the ticket, and a wrong one refused at its field', async () => {
    const page = await bench()
    await page.keyboard.press('i')
    const current = page.getByLabel('Current')
    await page.waitForFunction(() => document.activeElement?.matches('input'))
    await current.fill('wide open')
    await page.getByRole('button', { name: 'Set the ticket' }).click()
    await page.getByText('“wide open” is not a number: from 10 to 500 A').waitFor()
    await current.fill('165')
    await page.getByLabel('Beads').fill('99')
    await page.getByRole('button', { name: 'Set the ticket' }).click()
    await page.getByText('A whole number of beads, 1 to 60').waitFor()
    await page.getByLabel('Beads').fill('7')
    await page.getByRole('button', { name: 'Set the ticket' }).click()
    await page.getByText('7 beads, travel').waitFor()
    await page.getByRole('group', { name: 'Ticket' }).getByText('15 A over 110–150 A').waitFor({ state: 'attached' })
    await page.context().close()
  })

  it('keeps the instructor’s own words for the next run, and a verdict with its reason', async () => {
    const page = await bench()
    await page.getByRole('button', { name: 'Change the words' }).click()
    await page.getByLabel('Next run').last().fill('Elbow on the table, then again')
    await page.keyboard.press('Enter')
    await page.getByText('Notes, clean-up, own verdict').click()
    await page.getByLabel('My own verdict instead').check()
    await page.getByLabel('Why', { exact: true }).fill('the plate was rusty')
    await page.keyboard.press('Enter')
    await page.getByLabel('Notes').fill('näher 🔥')
    await page.getByRole('button', { name: 'Save, next coupon' }).click()
    await page.getByText('Oriel Tamsin: saved').waitFor()
    expect((await newest())!.document).toMatchObject({
      nextRun: 'Elbow on the table, then again',
      overrule: { verdict: 'move on', reason: 'the plate was rusty' },
      notes: 'näher 🔥',
    })
    await page.context().close()
  })
})

describe('by touch', () => {
  it('a tap puts the cursor on a bead, a button drops the mark, and a mark can be dragged', async () => {
    const page = await bench('tobias', { hasTouch: true, viewport: { width: 820, height: 1180 } })
    const drawing = page.locator('.drawing svg')
    const box = (await drawing.locator('rect').first().boundingBox())!
    await page.touchscreen.tap(box.x + box.width / 2, box.y + box.height / 2)
    await page.getByRole('toolbar', { name: 'Marks' }).getByRole('button', { name: 'Porosity' }).tap()
    await page.getByRole('group', { name: 'How bad' }).getByRole('button', { name: 'bad' }).tap()
    const x = box.x + box.width / 2
    const mark = (await page.locator('[data-mark].selected').boundingBox())!
    const y = mark.y + mark.height / 2
    await page.mouse.move(x, y)
    await page.mouse.down()
    await page.mouse.move(x + box.width / 6, y, { steps: 4 })
    await page.mouse.up()
    await page.getByRole('button', { name: 'Save, next coupon' }).tap()
    await page.getByText('Oriel Tamsin: saved').waitFor()
    const [pore] = (await newest())!.document.marks.filter(isFlaw)
    expect(pore).toMatchObject({ flaw: 'porosity', severity: 3 })
    expect(pore!.atMm).toBeGreaterThan(inches(3.9))
    expect(pore!.atMm).toBeLessThan(inches(4.1))
    await page.context().close()
  })
})

describe('nothing is lost', () => {
  it('a reload in the middle leaves the coupon as it was marked', async () => {
    const page = await bench()
    await page.keyboard.press('k')
    await page.reload()
    await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
    expect(await verdict(page)).toBe('Start over')
    await page.context().close()
  })

  it('a dead server keeps nobody waiting: the coupon stays here, and goes when the server is back', async () => {
    const page = await bench()
    await page.keyboard.press('c')
    await page.route('**/api/**', route => route.abort())
    await page.keyboard.press('Enter')
    await page.getByText('kept in this browser until the server answers').waitFor()
    await page.getByText('1 kept here').waitFor()
    const kept = await waitingIn(page)
    await page.getByRole('button', { name: '1 kept here' }).click()
    await page.getByText(/waits since \d\d:\d\d/).waitFor()
    await page.unroute('**/api/**')
    await page.reload()
    await page.getByText('all saved').waitFor()
    expect((await saved(kept[0]!.id)).document.marks.filter(isFlaw)).toMatchObject([{ flaw: 'crooked' }])
    await page.context().close()
  })

  it('a coupon that waited and was then refused is opened again, and both versions are offered', async () => {
    const id = uuid()
    await school.lead.ask('PUT', `/api/coupons/${id}`, {
      baseVersion: 0,
      why: '',
      document: aCoupon({ studentId: school.mine.id }),
    })
    const page = await signedIn(browser, 'tobias', { at: `/bench?coupon=${id}&name=Oriel%20Tamsin` })
    await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
    await page.route('**/api/**', route => route.abort())
    await page.keyboard.press('k')
    await page.keyboard.press('Enter')
    await page.getByLabel('Why', { exact: true }).fill('held to the light')
    await page.keyboard.press('Enter')
    await page.getByText('1 kept here').waitFor()
    await school.lead.ask('PUT', `/api/coupons/${id}`, {
      baseVersion: 1,
      why: 'first',
      document: { ...aCoupon({ studentId: school.mine.id }), notes: 'by Maren' },
    })
    await page.unroute('**/api/**')
    await page.reload()
    await page.getByRole('button', { name: '1 refused' }).click()
    await page.getByText('saved a newer version of this coupon').waitFor()
    await page.getByRole('button', { name: 'Open', exact: true }).click()
    await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
    await page.getByRole('button', { name: 'Save again' }).click()
    await page.getByLabel('Why', { exact: true }).fill('held to the light')
    await page.keyboard.press('Enter')
    await page.getByText('Maren Holt saved this coupon meanwhile').waitFor()
    await page.getByRole('button', { name: 'Mine stands' }).click()
    await page.getByText('Both versions are kept').waitFor()
    await page.getByText('all saved').waitFor()
    expect((await saved(id)).document.marks.some(mark => isFlaw(mark) && mark.flaw === 'crack')).toBe(true)
    await page.context().close()
  })

  it('two people save the same coupon: both versions are offered, both are kept', async () => {
    const id = uuid()
    await school.lead.ask('PUT', `/api/coupons/${id}`, {
      baseVersion: 0,
      why: '',
      document: aCoupon({ studentId: school.mine.id }),
    })
    const page = await signedIn(browser, 'tobias', { at: `/bench?coupon=${id}&name=Oriel%20Tamsin` })
    await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
    await page.keyboard.press('k')
    await school.lead.ask('PUT', `/api/coupons/${id}`, {
      baseVersion: 1,
      why: 'first',
      document: { ...aCoupon({ studentId: school.mine.id }), notes: 'by Maren' },
    })
    await page.keyboard.press('Enter')
    await page.getByLabel('Why', { exact: true }).fill('saw a crack')
    await page.keyboard.press('Enter')
    await page.getByText('Maren Holt saved this coupon meanwhile').waitFor()
    await page.getByRole('button', { name: 'Theirs stands' }).click()
    await page.getByText('Both versions are kept').waitFor()
    expect((await saved(id)).document.notes).toBe('by Maren')
    const { body } = await school.lead.ask<CouponRevision[]>('GET', `/api/coupons/${id}/revisions`)
    expect(body.some(revision => revision.document.marks.some(mark => isFlaw(mark) && mark.flaw === 'crack'))).toBe(
      true,
    )
    await page.context().close()
  })

  it('grading again asks why and keeps the version before', async () => {
    const page = await teaching(browser, 'tobias', school.section.id)
    const before = (await newest())!
    await page.goto(`${ADDRESS}/record/${school.mine.id}`)
    await page
      .getByRole('link', { name: new RegExp(`Coupon of ${before.classDay}`) })
      .first()
      .click()
    await page.getByText('graded again').waitFor()
    await page.keyboard.press('c')
    await page.keyboard.press('Enter')
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await page.getByText('Say why in a few words').waitFor()
    await page.getByLabel('Why', { exact: true }).fill('held to the light')
    await page.keyboard.press('Enter')
    await page.getByText('Oriel Tamsin: saved').waitFor()

    // The version before is taken up again: it stands once it is saved, and the one between is kept.
    const { id } = (await newest())!
    const { version } = await saved(id)
    const history = await school.lead.ask<CouponRevision[]>('GET', `/api/coupons/${id}/revisions`)
    const first = history.body.find(revision => revision.version === 1)!
    await page.goto(`${ADDRESS}/bench?coupon=${id}&name=Oriel%20Tamsin`)
    await page.getByText('Earlier versions').click()
    await page.getByRole('button', { name: 'Take version 1 up again' }).click()
    await page.getByRole('button', { name: /^Save again/ }).click()
    await page.getByLabel('Why', { exact: true }).fill('the first was right')
    await page.getByRole('dialog').getByRole('button', { name: 'Save', exact: true }).click()
    await expect.poll(async () => (await saved(id)).version).toBe(version + 1)
    expect((await saved(id)).document.marks).toEqual(first.document.marks)
    await page.context().close()
  })
})
