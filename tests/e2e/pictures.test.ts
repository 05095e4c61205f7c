import { readFile } from 'node:fs/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { Browser, Page } from 'playwright-core'
import type { CouponPicture, PictureBytes, PictureSave } from '../../contract/pictures'
import type { CouponPage } from '../../contract/record'
import type { Section, Student } from '../../contract/people'
import { aCoupon } from '../../core/coupon/example'
import { saysMore, type Corners } from '../../core/picture'
import { couponPhotograph } from '../../demo/couponPhotograph'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { openBrowser, settled, teaching, waitingIn } from './browser'
import { photograph, setCorners, withScaleCard } from './photograph'

const NAME = 'Sunniva Kell'
let browser: Browser
let school: School
let section: Section
let student: Student
beforeAll(async () => {
  school = await foundTestSchool()
  ;({ section, student } = await addClass(school, 'Pictured T', NAME))
  browser = await openBrowser()
})
afterAll(() => browser?.close())

async function bench(options = {}): Promise<Page> {
  const page = await teaching(browser, 'tobias', section.id, options)
  await page.goto(`${ADDRESS}/bench?student=${student.id}`)
  await page.getByText(NAME).first().waitFor()
  await page.waitForURL(`${ADDRESS}/bench`)
  return page
}
const dialogOf = (page: Page) => page.getByRole('dialog', { name: 'Pictures', exact: true })
const choose = (page: Page, file: { name: string; mimeType: string; buffer: Buffer }) =>
  dialogOf(page).locator('input[type=file]').setInputFiles(file)
const newest = async () => {
  const { body } = await school.lead.ask<CouponPage>('GET', `/api/students/${student.id}/coupons`)
  return [...body.coupons].sort((a, b) => b.savedAt.localeCompare(a.savedAt))[0]!
}
const picturesOf = async (id: string) =>
  (await school.lead.ask<CouponPicture[]>('GET', `/api/coupons/${id}/pictures`)).body
const farOff = (some: Corners, others: Corners) =>
  Math.max(...some.map(({ x, y }, n) => Math.hypot(x - others[n]!.x, y - others[n]!.y)))

/** The toes that were found lie along the bead at the cursor, where it is drawn. */
async function expectToesOnBead(page: Page): Promise<void> {
  expect(await page.locator('.drawing .toe').count()).toBe(2)
  const boxes = await Promise.all([0, 1].map(async n => (await page.locator('.drawing .toe').nth(n).boundingBox())!))
  const lane = (await page.locator('.drawing .lane').boundingBox())!
  for (const box of boxes) {
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
    expect(x > lane.x - 6 && x < lane.x + lane.width + 6).toBe(true)
    expect(y > lane.y - 6 && y < lane.y + lane.height + 6).toBe(true)
  }
}

describe('a coupon’s picture at the Bench', () => {
  it('lies as the coupon is drawn where the plate stands: the last bead is found on the last bead', async () => {
    const couponId = uuid()
    const upright = aCoupon({ studentId: student.id, ticket: { rung: 'vertical pad', position: '3G', travel: 'up' } })
    const first = { baseVersion: 0, why: '', document: upright }
    expect((await school.instructor.ask('PUT', `/api/coupons/${couponId}`, first)).status).toBe(200)
    const page = await teaching(browser, 'tobias', section.id)
    await page.goto(`${ADDRESS}/bench?coupon=${couponId}&name=${NAME}`)
    await page.getByRole('button', { name: 'Picture' }).click()
    const taken = photograph(upright, [1600, 1200])
    await choose(page, taken.file)
    await page.getByRole('dialog', { name: 'Where the coupon lies' }).waitFor()
    await setCorners(page, taken)
    await page.getByRole('button', { name: 'Keep the picture' }).click()
    await page.locator('.drawing image').waitFor()
    for (let n = 0; n < 6; n++) await page.keyboard.press('ArrowRight')
    await page.getByRole('button', { name: /^Measure bead 6 on the picture/ }).click()
    await page
      .getByRole('status')
      .getByText(/wide, give or take/)
      .waitFor()
    await expectToesOnBead(page)
    await page.context().close()
  })

  it('is stripped before it is sent, set by four corners, lies under the marks, and is on the record', async () => {
    const couponId = uuid()
    const first = { baseVersion: 0, why: '', document: aCoupon({ studentId: student.id }) }
    expect((await school.instructor.ask('PUT', `/api/coupons/${couponId}`, first)).status).toBe(200)
    const page = await teaching(browser, 'tobias', section.id)
    await page.goto(`${ADDRESS}/bench?coupon=${couponId}&name=${NAME}`)
    await page.getByText(NAME).first().waitFor()
    const sent: PictureSave[] = []
    page.on('request', request => {
      if (request.method() === 'PUT' && request.url().includes('/api/pictures/'))
        sent.push(request.postDataJSON() as PictureSave)
    })
    await page.getByRole('button', { name: 'Picture' }).click()
    expect(await dialogOf(page).innerText()).toContain('no face')
    const taken = photograph(aCoupon(), [4000, 3000])
    expect(saysMore(taken.file.buffer)).toBe(true)
    await choose(page, taken.file)
    await page.getByRole('dialog', { name: 'Where the coupon lies' }).waitFor()
    await setCorners(page, taken)
    const [, off] = /true to ± (\d\.\d+) in/.exec(await page.getByRole('dialog').innerText())!
    expect(Number(off)).toBeLessThan(0.02)
    await page.getByRole('button', { name: 'Keep the picture' }).click()
    await page.getByRole('dialog').waitFor({ state: 'hidden' })

    const [body] = sent
    const bytes = Buffer.from(body!.data, 'base64')
    expect(saysMore(bytes)).toBe(false)
    for (const told of ['GPS', 'Exif', 'phone', 'booth']) expect(bytes.includes(told)).toBe(false)
    expect([body!.widthPx, body!.heightPx]).toEqual([1600, 1200])
    expect(bytes.length).toBeLessThan(700_000)
    // The picture is scaled to 1600 px: its corners lie as far along it as they were set.
    const scaled = taken.corners.map(({ x, y }) => ({ x: x * 0.4, y: y * 0.4 })) as unknown as Corners
    expect(farOff(body!.lies!.corners, scaled)).toBeLessThan(5)

    const image = page.locator('.drawing image')
    await image.waitFor()
    // Of the steel that is laid out nothing of the dark bench is seen, and a bead lies where it is drawn.
    const seen = await image.evaluate(async element => {
      const found = new Image()
      found.src = element.getAttribute('href')!
      await found.decode()
      const canvas = new OffscreenCanvas(found.width, found.height)
      const context = canvas.getContext('2d')!
      context.drawImage(found, 0, 0)
      const at = (x: number, y: number) => [...context.getImageData(x * found.width, y * found.height, 1, 1).data]
      return [at(0.02, 0.02), at(0.98, 0.02), at(0.98, 0.98), at(0.02, 0.98)]
    })
    for (const [red, green, blue, opaque] of seen) {
      expect(opaque).toBe(255)
      expect(Math.abs(red! - 132) + Math.abs(green! - 134) + Math.abs(blue! - 137)).toBeLessThan(60)
    }
    // A bead is measured on it: shown, and kept only when a person says so.
    for (let n = 0; n < 6; n++) await page.keyboard.press('ArrowUp')
    await page.getByRole('button', { name: /^Measure bead 6 on the picture/ }).click()
    await page
      .getByRole('status')
      .getByText(/wide, give or take/)
      .waitFor()
    await expectToesOnBead(page)
    expect(await page.getByText(/0 marked/).count()).toBe(1)
    await page.getByRole('button', { name: 'Keep as gauged' }).click()
    await page.keyboard.press('u')
    await page.getByText(/[12] marked/).waitFor()
    await page.getByRole('slider', { name: 'How much of the picture shows' }).fill('0.2')
    expect(await image.getAttribute('opacity')).toBe('0.2')
    await page.getByRole('button', { name: /^Save again/ }).click()
    await page.getByLabel('Why', { exact: true }).fill('held against its picture')
    await page.getByRole('dialog').getByRole('button', { name: 'Save', exact: true }).click()
    await page.getByText(`${NAME}: saved`).waitFor()

    const coupon = await newest()
    const [gauged] = coupon.document.marks.filter(mark => mark.kind === 'reading')
    const lane = coupon.document.beads.find(bead => bead.id === gauged!.beadId)!
    // The beads were drawn 7 % wider and narrower along them.
    expect(Math.abs(gauged!.valueMm - lane.widthMm)).toBeLessThan(0.15 * lane.widthMm)
    expect(await picturesOf(coupon.id)).toMatchObject([{ side: 'face', state: 'slag off' }])
    await page.goto(`${ADDRESS}/record/${student.id}`)
    await page.getByRole('button', { name: 'Picture', exact: true }).first().click()
    await page.getByRole('img', { name: 'Picture of the coupon: Face, slag off, 1 mark on it' }).waitFor()
    await page.context().close()
  })

  it('taken without a network waits here, is shown, and goes with its coupon when the server answers', async () => {
    const page = await bench()
    const taken = photograph(aCoupon())
    // A tablet has the parts of the page from its first visit; here they are fetched before.
    await page.getByRole('button', { name: 'Picture' }).click()
    await settled(page)
    await page.context().setOffline(true)
    await choose(page, taken.file)
    await page.getByRole('dialog', { name: 'Where the coupon lies' }).waitFor()
    await page.getByRole('button', { name: 'Turn the letters' }).click()
    await setCorners(page, taken)
    await page.getByRole('button', { name: 'Keep the picture' }).click()
    await page.locator('.drawing image').waitFor()
    await page.keyboard.press('ArrowUp')
    await page.keyboard.press('u')
    await page.keyboard.press('Enter')
    await page
      .getByText(/kept in this browser/)
      .first()
      .waitFor()
    expect((await waitingIn(page)).map(one => one.kind).sort()).toEqual(['coupon', 'picture'])
    await page.context().setOffline(false)
    await expect.poll(async () => (await waitingIn(page)).length, { timeout: 30_000 }).toBe(0)
    const coupon = await newest()
    const [kept] = await picturesOf(coupon.id)
    expect(coupon.pictures).toBe(1)
    expect((await school.lead.ask<PictureBytes>('GET', `/api/pictures/${kept!.id}`)).status).toBe(200)
    await page.context().close()
  })

  it.each([
    ['a text', 'notes.jpg', Buffer.from('Roster of the evening section'), 'That file is not a picture'],
    ['HEIC', 'coupon.heic', Buffer.from('\0\0\0\u0018ftypheic\0\0\0\0mif1heic'), 'Set the camera to JPEG'],
    ['a broken file', 'broken.jpg', null, 'its file is broken'],
  ])('%s is refused in words, and nothing is kept', async (_, name, bytes, says) => {
    const page = await bench()
    await page.getByRole('button', { name: 'Picture' }).click()
    const whole = photograph(aCoupon(), [800, 600]).file.buffer
    // A file that breaks off before its tables are whole: its size can be read, and nothing more.
    const buffer = bytes ?? Buffer.concat([whole.subarray(0, 420), Buffer.from([0xff, 0xd9])])
    await choose(page, { name, mimeType: 'image/jpeg', buffer })
    expect(await dialogOf(page).getByRole('alert').innerText()).toContain(says)
    expect(await waitingIn(page)).toEqual([])
    await page.context().close()
  })

  it('is set by keys alone, set again, and erased after a question', async () => {
    const page = await bench()
    await page.getByRole('button', { name: 'Picture' }).click()
    await choose(page, photograph(aCoupon()).file)
    const corner = page.getByRole('button', { name: /^Corner A/ })
    const before = await corner.getAttribute('transform')
    await corner.focus()
    await page.keyboard.press('Shift+ArrowLeft')
    expect(await corner.getAttribute('transform')).not.toBe(before)
    // B is brought over A: what cannot be a coupon is said, and not kept.
    await page.keyboard.press('Tab')
    for (let n = 0; n < 60; n++) await page.keyboard.press('Shift+ArrowLeft')
    await page.getByRole('button', { name: 'Keep the picture' }).click()
    expect(await page.getByRole('dialog').getByRole('alert').innerText()).toContain('Two edges cross')
    for (let n = 0; n < 60; n++) await page.getByRole('button', { name: /^Corner B/ }).press('Shift+ArrowRight')
    await page.getByRole('button', { name: 'Keep the picture' }).click()
    await page.locator('.drawing image').waitFor()
    await page.getByRole('button', { name: '1 picture' }).click()
    await dialogOf(page).getByRole('button', { name: 'Set again' }).click()
    await page.getByRole('button', { name: 'slag on' }).click()
    await page.getByRole('button', { name: 'Keep the picture' }).click()
    await page.getByRole('dialog').waitFor({ state: 'hidden' })
    await page.getByRole('button', { name: '1 picture' }).click()
    await dialogOf(page).getByText('Face, slag on').waitFor()
    await dialogOf(page).getByRole('button', { name: 'Erase' }).click()
    await dialogOf(page).getByText('Erase it for good?').waitFor()
    await dialogOf(page).getByRole('button', { name: 'Erase' }).click()
    await dialogOf(page).getByText('None yet').waitFor()
    expect(await page.locator('.drawing image').count()).toBe(0)
    await page.context().close()
  })

  it('with a scale card in it wants two corners only, which give the other two', async () => {
    const page = await bench()
    await page.getByRole('button', { name: 'Picture' }).click()
    const taken = withScaleCard(photograph(aCoupon(), [1600, 1200]), aCoupon(), { x: 34, y: 18 })
    await choose(page, taken.file)
    await page.getByText('Set A and B; C and D follow.').waitFor()
    await setCorners(page, taken, ['A', 'B'])
    await page.getByText(/By the card A to B is (6|5 15\/16) in/).waitFor()
    const sent = page.waitForRequest(request => request.url().includes('/api/pictures/') && request.method() === 'PUT')
    await page.getByRole('button', { name: 'Keep the picture' }).click()
    const { lies } = (await sent).postDataJSON() as PictureSave
    // A hand sets a corner to a pixel or two of the screen.
    expect(farOff(lies!.corners, taken.corners)).toBeLessThan(12)
    await page.context().close()
  })

  it('with its letters set as in a mirror is not kept until they are changed', async () => {
    const page = await bench()
    await page.getByRole('button', { name: 'Picture' }).click()
    const taken = photograph(aCoupon())
    const [a, b, c, d] = taken.corners
    await choose(page, taken.file)
    await setCorners(page, { ...taken, corners: [a, b, { x: 600, y: 440 }, { x: 300, y: 440 }] })
    await setCorners(page, { ...taken, corners: [d, c, b, a] })
    await page.getByRole('alert').getByText('as in a mirror').waitFor()
    await page.getByRole('button', { name: 'Change them' }).click()
    const sent = page.waitForRequest(request => request.url().includes('/api/pictures/') && request.method() === 'PUT')
    await page.getByRole('button', { name: 'Keep the picture' }).click()
    expect(farOff(((await sent).postDataJSON() as PictureSave).lies!.corners, taken.corners)).toBeLessThan(12)
    await page.context().close()
  })

  it('of a coupon that is thrown away unsaved is erased with it', async () => {
    const page = await bench()
    const sent: string[] = []
    page.on('request', request => {
      if (request.method() === 'PUT' && request.url().includes('/api/pictures/'))
        sent.push((request.postDataJSON() as PictureSave).couponId)
    })
    await page.getByRole('button', { name: 'Picture' }).click()
    const taken = photograph(aCoupon())
    await choose(page, taken.file)
    await page.getByRole('dialog', { name: 'Where the coupon lies' }).waitFor()
    await setCorners(page, taken)
    await page.getByRole('button', { name: 'Keep the picture' }).click()
    await page.locator('.drawing image').waitFor()
    expect(await picturesOf(sent[0]!)).toHaveLength(1)
    await page.keyboard.press('ArrowUp')
    await page.keyboard.press('u')
    await page.getByRole('button', { name: 'Discard' }).click()
    await page.getByRole('button', { name: 'Throw it away' }).click()
    await expect.poll(async () => (await picturesOf(sent[0]!)).length).toBe(0)
    await page.context().close()
  })
})

describe('side by side', () => {
  const WORN = 'Ingrid Sool'
  let worn: Student
  beforeAll(async () => {
    ;({ student: worn } = await addClass(school, 'Pictured U', WORN))
    for (const [classDay, states] of [
      ['2026-09-28', ['slag on', 'slag off']],
      ['2026-10-12', ['slag off']],
    ] as const) {
      const id = uuid()
      const document = { ...aCoupon({ studentId: worn.id }), classDay }
      await school.instructor.ask('PUT', `/api/coupons/${id}`, { baseVersion: 0, why: '', document })
      for (const state of states) {
        const { bytes, ...shows } = couponPhotograph(document, Number(classDay.slice(-2)), [800, 600])
        const body = {
          ...shows,
          couponId: id,
          studentId: worn.id,
          side: 'face',
          state,
          data: Buffer.from(bytes).toString('base64'),
        }
        expect((await school.instructor.ask('PUT', `/api/pictures/${uuid()}`, body)).status).toBe(204)
      }
    }
  })

  it('a student sees the first coupon beside the latest, and one before and after it was chipped', async () => {
    const page = await teaching(browser, 'tobias', section.id, { at: `/record/${worn.id}` })
    const both = page.getByRole('region', { name: 'First and latest' })
    await both.getByText('First, Mon 28 Sep').waitFor()
    await both.getByText('Latest, Mon 12 Oct').waitFor()
    await expect.poll(() => both.locator('image').count()).toBe(2)
    await page.getByRole('button', { name: '2 pictures' }).click()
    const dialog = page.getByRole('dialog', { name: 'The coupon’s picture' })
    await dialog.locator('image').waitFor()
    await dialog.getByRole('button', { name: /slag o(n|ff) beside it/ }).click()
    await dialog.getByRole('img', { name: /Face, slag on/ }).waitFor()
    await dialog.getByRole('img', { name: /Face, slag off/ }).waitFor()
    expect(await dialog.locator('image').count()).toBe(2)
    await page.context().close()
  })

  it('both are on the page of the report, with their pictures', async () => {
    const page = await teaching(browser, 'tobias', worn.sectionId, { acceptDownloads: true, at: '/report' })
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: `PDF of ${WORN}` }).click(),
    ])
    const pdf = (await readFile(await download.path())).toString('latin1')
    expect(pdf.match(/\/Subtype \/Image/g)).toHaveLength(2)
    await page.context().close()
  })
})

describe('a reader’s widths', () => {
  it('are held against the pictures of own coupons, and say which way they lie', async () => {
    const { student: gauged } = await addClass(school, 'Pictured V', 'Runa Feld')
    for (let n = 0; n < 5; n++) {
      const id = uuid()
      const coupon = aCoupon({ studentId: gauged.id })
      const bead = coupon.beads.at(-1)!
      const mark = { id: uuid(), kind: 'reading', of: 'width', beadId: bead.id, atMm: 70 }
      const document = { ...coupon, marks: [{ ...mark, valueMm: bead.widthMm + 0.9 + 0.03 * n }] }
      const saved = await school.instructor.ask('PUT', `/api/coupons/${id}`, { baseVersion: 0, why: '', document })
      expect(saved.status).toBe(200)
      const { bytes, ...shows } = couponPhotograph(coupon, 20 + n, [1600, 1200])
      const data = Buffer.from(bytes).toString('base64')
      const body = { ...shows, couponId: id, studentId: gauged.id, side: 'face', state: 'slag off', data }
      expect((await school.instructor.ask('PUT', `/api/pictures/${uuid()}`, body)).status).toBe(204)
    }
    const page = await teaching(browser, 'tobias', section.id, { at: '/house/readers' })
    await page.getByRole('button', { name: 'Hold my widths against the pictures' }).click()
    const said = page.getByRole('region', { name: 'Your widths against pictures' }).getByRole('status')
    await said.waitFor()
    const [, beads, by] = /On (\d) beads you gauge 0\.(\d{3}) in wider than the pictures show/.exec(
      await said.innerText(),
    )!
    expect(Number(beads)).toBeGreaterThanOrEqual(5)
    // Gauged 0.9 to 1.02 mm over the drawn width, 0.038 in in the middle: the picture is true to a hundredth.
    expect(Math.abs(Number(by) - 38)).toBeLessThan(12)
    await page.context().close()
  })
})

describe('on a phone', () => {
  it('a picture is taken and looked at by itself; nothing lies out of the screen', async () => {
    const page = await bench({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
    await page.getByRole('button', { name: 'Open the whole reading' }).click()
    await page.getByRole('button', { name: 'Pictures' }).click()
    const taken = photograph(aCoupon())
    await choose(page, taken.file)
    await page.getByRole('dialog', { name: 'Where the coupon lies' }).waitFor()
    await setCorners(page, taken)
    await settled(page)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
    await page.getByRole('button', { name: 'Keep the picture' }).click()
    await page.getByRole('img', { name: /Picture of the coupon/ }).waitFor()
    await page.context().close()
  })
})
