import { afterAll, beforeAll, beforeEach, expect, it } from 'vitest'
import type { Browser } from 'playwright-core'
import { v7 as uuid } from 'uuid'
import { aCoupon } from '../../core/coupon/example'
import { handfulsOf } from '../../core/rodRoom'
import type { WelderTest } from '../../core/welderTest'
import { aTest } from '../../core/welderTest/example'
import type { Section, Student } from '../../contract/people'
import type { RodRoom } from '../../contract/rodRoom'
import { closeDatabase, database, run } from '../../server/store/database'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { choose, listOf, openBrowser, teaching } from './browser'

let school: School
let browser: Browser
let section: Section
let student: Student
/** Whose rods they are, and of which lot: others at each try, so that a second finds nothing of the first. */
let who: string
let makersLot: string
let tries = 0
const SURNAMES = ['Quick', 'Quaye', 'Quern', 'Quill', 'Quint', 'Quoit']
const lot = () => `E7018 1/8 in, lot ${makersLot}`
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
})
beforeEach(async () => {
  who = `Senara ${SURNAMES[tries++]}`
  ;({ section, student } = await addClass(school, `Evening R rods ${tries}`, who))
  for (const { id: handfulId, lotId, out } of handfulsOf((await room()).movements)) {
    if (out === 0) continue
    const burnt = { kind: 'returned', lotId, handfulId, count: 0, studentId: null, booth: null, stubs: null, why: '' }
    expect((await school.lead.ask('PUT', `/api/rod-movements/${uuid()}`, burnt)).status).toBe(200)
  }
})
afterAll(async () => {
  await browser?.close()
  await closeDatabase()
})

const room = async () => (await school.lead.ask<RodRoom>('GET', '/api/rods')).body

it('a lot is written down, rods are drawn and brought back with their stubs, and what lies there is counted', async () => {
  makersLot = `R 229${tries}`
  const page = await teaching(browser, 'tobias', section.id, { at: '/rods' })
  await page.getByRole('button', { name: 'New lot' }).click()
  await page.getByRole('button', { name: 'Save' }).click()
  await page.getByText('This is missing').first().waitFor()
  await page.getByLabel('Maker’s lot').fill(makersLot)
  await page.getByLabel('Where they lie').fill('oven 1')
  await page.getByLabel('Price of a box').fill('42,50')
  await page.getByRole('button', { name: 'Save' }).click()
  await page.getByRole('region', { name: 'In the store' }).getByText(lot()).first().waitFor()

  await page.getByRole('button', { name: `${lot()}: received, counted, more` }).click()
  await page.getByText('More came').click()
  await page.getByRole('button', { name: 'Save' }).click()
  await page.getByText('150 rods').waitFor()

  await choose(page, listOf(page, 'Rods'), `${lot()} · 150 there`)
  await page.getByText('They may be out for 4 h.').waitFor()
  await page.getByRole('combobox', { name: 'For', exact: true }).fill(who)
  await page.getByRole('option', { name: new RegExp(who) }).click()
  await page.getByRole('button', { name: 'Draw, start the clock' }).click()
  const out = page.getByRole('region', { name: 'Out now' })
  await out.getByText(who).waitFor()
  await out.getByText(/(3 h 59|4 h 0) min left/).waitFor()

  await page.getByRole('button', { name: `Rods of ${who} are back` }).click()
  await page.getByLabel('Whole rods, into the oven').fill('3')
  await page.getByLabel('up to 2 in').fill('6')
  await page.getByRole('button', { name: 'They are back' }).click()
  await page.getByText('9 are more than the 8 that were drawn.').waitFor()
  // Half an ounce of stubs is some four of them.
  await page.getByRole('button', { name: 'weighed, oz' }).click()
  await page.getByLabel('up to 2 in').fill('0.5')
  await page.getByText('about 4 stubs').waitFor()
  await page.getByRole('button', { name: 'counted', exact: true }).click()
  await page.getByLabel('up to 2 in').fill('4')
  await page.getByLabel('4 to 6 in').fill('1')
  await page.getByRole('button', { name: 'They are back' }).click()
  await out.getByText('Every rod that was drawn is back or burnt.').waitFor()
  await page.getByText(/in the oven, as fresh at/).waitFor()
  await page.getByText('145 rods').waitFor()
  await page.getByText(/1 are long enough for a stub day/).waitFor()

  await page.getByRole('button', { name: `${lot()}: received, counted, more` }).click()
  await page.getByText('Counted', { exact: true }).click()
  await page.getByLabel('Rods that lie there').fill('140')
  await page.getByRole('button', { name: 'Save' }).click()
  await page.getByText('Say why it differs: it is kept with the count').waitFor()
  await page.getByLabel('Why it differs').fill('five fell behind the oven')
  await page.getByRole('button', { name: 'Save' }).click()
  await page.getByText('140 rods').waitFor()

  // Five rods were burnt; two coupons are read of them.
  const document = { ...aCoupon({ studentId: student.id }), classDay: new Date().toISOString().slice(0, 10) }
  for (let n = 0; n < 2; n++) {
    const saved = await school.lead.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document })
    expect(saved.status).toBe(200)
  }
  await page.reload()
  const cost = page.getByRole('region', { name: 'What a coupon costs' })
  await cost.getByText(/rods, \$\d+\.\d\d a coupon, over \d+ coupons whose rods are in the book/).waitFor()
  await cost.getByRole('row', { name: new RegExp(`^${document.ticket.rung} \\d`) }).waitFor()
  await cost.getByRole('row', { name: `${who} 2.5 $0.71 2` }).waitFor()

  await page.getByLabel('Reads').fill('240')
  await page.getByRole('combobox', { name: 'Oven', exact: true }).fill('oven 1')
  await page.getByRole('button', { name: 'Note it' }).click()
  await page.getByText('▲ under 248 °F: rods in it do not rest').waitFor()
  const { lots } = await room()
  expect(lots.find(one => one.makersLot === makersLot)).toMatchObject({ boxPriceCents: 4250, place: 'oven 1' })
  await page.context().close()
})

it('rods past their hours are said on the booth, on the ticket, and when a test calls them in date', async () => {
  const { id: lotId } = (await room()).lots.find(one => one.makersLot === makersLot)!
  const line = uuid()
  const said = { kind: 'issued', count: 6, handfulId: null, studentId: student.id, booth: 1, stubs: null, why: '' }
  expect((await school.lead.ask('PUT', `/api/rod-movements/${line}`, { ...said, lotId })).status).toBe(200)
  await run(database(), 'UPDATE rod_movement SET noted_at = noted_at - INTERVAL 5 HOUR WHERE id = ?', [line])

  const page = await teaching(browser, 'tobias', section.id, { at: '/' })
  await page.getByText('▲ rods past their hours').waitFor()
  await page.goto(`${ADDRESS}/bench?student=${student.id}`)
  await page.getByText(/5 h out of 4/).waitFor()
  await page.getByText('5 h out of the oven; such rods have 4 h').first().waitFor()

  const test = uuid()
  const document = { ...aTest(student.id), stamp: 'SQ 1' }
  expect((await school.lead.ask('PUT', `/api/tests/${test}`, { baseVersion: 0, document })).status).toBe(200)
  await page.goto(`${ADDRESS}/test-bay/${test}`)
  await page.getByRole('button', { name: /^Seen: whole rods, in date/ }).waitFor()
  await page.keyboard.press('Enter')
  await page.getByText(`${lot()} is past its hours: draw fresh rods first`).waitFor()
  await page.getByRole('button', { name: /^Seen: whole rods, in date/ }).waitFor()

  await page.goto(`${ADDRESS}/rods`)
  await page.getByText('past their hours: bring them back').waitFor()
  await page.getByRole('button', { name: `Rods of ${who} are back` }).click()
  await page.getByLabel('Whole rods, into the oven').fill('6')
  await page.getByRole('button', { name: 'They are back' }).click()
  await page.getByText('past their hours: re-dry them, once').waitFor()
  await page.getByRole('button', { name: 'Re-dried' }).click()
  await page.getByText('past their hours: re-dry them, once').waitFor({ state: 'detached' })

  // Drawn from another tablet, they are seen here; all burnt is one press.
  const drawn = { ...said, lotId, count: 2 }
  expect((await school.lead.ask('PUT', `/api/rod-movements/${uuid()}`, drawn)).status).toBe(200)
  await page.getByRole('button', { name: `All burnt: rods of ${who}` }).waitFor()

  // Fresh ones are called in date, and the test keeps of which lot they are.
  await page.goto(`${ADDRESS}/test-bay/${test}`)
  await page.getByRole('button', { name: /^Seen: whole rods, in date/ }).waitFor()
  await page.keyboard.press('Enter')
  const lotKept = async () =>
    (await school.lead.ask<{ document: WelderTest }>('GET', `/api/tests/${test}`)).body.document.ticket.lot?.makersLot
  await expect.poll(lotKept, { timeout: 10_000 }).toBe(makersLot)
  await page.goto(`${ADDRESS}/rods`)
  await page.getByRole('button', { name: `All burnt: rods of ${who}` }).click()
  await page.getByText('Every rod that was drawn is back or burnt.').waitFor()
  await page.context().close()
})

it('lots come in from a list: what is wrong is said line by line, and then all come in', async () => {
  const page = await teaching(browser, 'tobias', section.id, { at: '/rods' })
  const [shelved, empty] = [`L ${tries}8`, `L ${tries}9`]
  await page.getByRole('button', { name: 'Lots from a list' }).click()
  const dialog = page.getByRole('dialog', { name: 'Lots from a list' })
  const csv = (size: string) => ({
    name: 'lots.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      `Rod,Size,Lot,Received,Per box,Where,Stock\nE6010,1/8,${shelved},2026-09-02,150,dry shelf,75\nE6013,${size},${empty},2026-09-02,150,dry shelf,0\n`,
    ),
  })
  await dialog.getByLabel('A CSV file').setInputFiles(csv('9/16'))
  await dialog.getByText('1 of 2 lines need mending').waitFor()
  await dialog.getByText(/size is no rod size that is kept/).waitFor()
  await dialog.getByLabel('A CSV file').setInputFiles(csv('5/32'))
  await dialog.getByText(`E6010 1/8 in, lot ${shelved}`).waitFor()
  await dialog.getByRole('button', { name: 'Take in 2 lots' }).click()
  await expect.poll(() => dialog.count()).toBe(0)
  const { lots, stock } = await room()
  const kept = lots.find(lot => lot.makersLot === shelved)!
  expect([kept.classification, stock[kept.id]]).toEqual(['E6010', 75])
  // The same list again is a count.
  await page.getByRole('button', { name: 'Lots from a list' }).click()
  const counted = `Rod,Size,Lot,Stock\nE6010,1/8,${shelved},71\n`
  const file = { name: 'count.csv', mimeType: 'text/csv', buffer: Buffer.from(counted) }
  await dialog.getByLabel('A CSV file').setInputFiles(file)
  await dialog.getByText('counted 71, 4 fewer than the book says').waitFor()
  await dialog.getByRole('button', { name: 'Take in 1 lot' }).click()
  await expect.poll(() => dialog.count()).toBe(0)
  expect((await room()).stock[kept.id]).toBe(71)

  // What happened to them before Fusilis was there comes in as of its day; what was counted since stays.
  await page.getByRole('button', { name: 'Use from a list' }).click()
  const use = page.getByRole('dialog', { name: 'Use from a list' })
  const day = new Date(Date.now() - 3 * 86_400_000).toISOString().slice(0, 10)
  const book = (name: string) => ({
    name: 'use.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      `Date,What,Rod,Lot,Rods,Student,stubs to 2\n${day},drawn,E6010,${shelved},9,${name},\n${day},back,E6010,${shelved},2,${name},7\n`,
    ),
  })
  await use.getByLabel('A CSV file').setInputFiles(book('Nobody Known'))
  await use.getByText('2 of 2 lines need mending').waitFor()
  await use.getByText('who: nobody here is called Nobody Known').first().waitFor()
  await use.getByLabel('A CSV file').setInputFiles(book(who))
  await use.getByText(`${day} · back · 2 · E6010 1/8 in, lot ${shelved} · ${who}`).waitFor()
  await use.getByRole('button', { name: 'Take in 2 lines' }).click()
  await expect.poll(() => use.count()).toBe(0)
  expect((await room()).stock[kept.id]).toBe(71)
  await page.context().close()
})
