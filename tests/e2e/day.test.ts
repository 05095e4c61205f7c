import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { Browser } from 'playwright-core'
import { isTry, setDegree } from '../../core/coupon'
import { aCoupon } from '../../core/coupon/example'
import type { Section, Student } from '../../contract/people'
import type { RulesVersion } from '../../contract/record'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS } from '../session'
import { openBrowser, teaching } from './browser'

/** A Tuesday of the term, on which the class meets from 18:00 to 21:00. */
const DAY = '2026-10-06'
let browser: Browser
let school: School
let section: Section
let student: Student
beforeAll(async () => {
  school = await foundTestSchool()
  ;({ section, student } = await addClass(school, 'Day X', 'Runa Sele'))
  const document = { ...aCoupon({ studentId: student.id }), classDay: DAY }
  const marks = document.marks.map(mark => (isTry(mark) && mark.kind === 'restart' ? setDegree(mark, 3) : mark))
  const save = { baseVersion: 0, why: '', document: { ...document, marks } }
  expect((await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, save)).status).toBe(200)
  browser = await openBrowser()
})
afterAll(() => browser?.close())

describe('the day', () => {
  it('one tap says that somebody came, and every open screen sees it; a form corrects it', async () => {
    const one = await teaching(browser, 'tobias', section.id)
    const other = await teaching(browser, 'maren', section.id)
    await one.goto(`${ADDRESS}/`)
    await one.getByRole('link', { name: 'The day' }).click()
    await other.goto(`${ADDRESS}/day`)
    await other.getByText('0 of 1 here').waitFor()
    await one.getByRole('button', { name: 'Runa Sele came now' }).click()
    await one.getByText('1 of 1 here').waitFor()
    await other.getByText('1 of 1 here').waitFor()
    await other.getByRole('button', { name: 'Note for Runa Sele' }).click()
    const form = other.getByRole('dialog', { name: 'Runa Sele' })
    await form.getByLabel('Came').fill('18:00')
    await form.getByLabel('Left').fill('17:00')
    await form.getByRole('button', { name: 'Save' }).click()
    await form.getByText('Left before coming').first().waitFor()
    await form.getByLabel('Absent').check()
    await form.getByLabel('Why').fill('doctor')
    await form.getByRole('button', { name: 'Save' }).click()
    await one.getByText('absent: doctor').waitFor()
    for (const page of [one, other]) await page.context().close()
  })

  it('says what a past class got wrong most; what was shown is kept, and taken back', async () => {
    const page = await teaching(browser, 'tobias', section.id, { at: `/day?day=${DAY}` })
    await page.getByRole('heading', { name: 'Tue 6 October 2026' }).waitFor()
    await page.getByText('Day X, 18:00–21:00').waitFor()
    await page.getByText('Restarts: 1 of 1 students, 100 % of theirs not sound.').waitFor()
    await page.getByRole('button', { name: 'This was shown' }).click()
    await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click()
    await page.getByText('10 min, to 1, by tobias').waitFor()
    await page.getByRole('button', { name: /^Take back: Restarts/ }).click()
    await expect.poll(() => page.getByText('10 min, to 1').count()).toBe(0)
    await page.getByRole('button', { name: 'The class day before' }).click()
    await page.getByRole('heading', { name: 'Tue 29 September 2026' }).waitFor()
    await page.getByText('not seen').waitFor()
    await page.context().close()
  })
})

it('a tablet that was handed over hangs on the wall: who waits, in order, and nothing of a record', async () => {
  const wall = await teaching(browser, 'tobias', section.id, { at: '/' })
  await wall.getByRole('button', { name: 'Hand over tablet' }).click()
  await wall.getByRole('dialog').getByRole('button', { name: 'Hand over' }).click()
  await wall.waitForURL(`${ADDRESS}/kiosk`)
  await wall.goto(`${ADDRESS}/wall`)
  const place = wall.getByRole('listitem').filter({ hasText: 'Runa' })
  await place.getByText('not read').waitFor()
  expect((await school.instructor.ask('PUT', `/api/waiting/${uuid()}`, { studentId: student.id })).status).toBe(200)
  await place.getByText('1st, 0 min').waitFor()
  expect(await wall.getByRole('button').count()).toBe(0)
  expect(await wall.getByRole('link').allInnerTexts()).toEqual(['Skip to the page'])
  await wall.context().close()
})

it('cautions are read by each student where the house wants it: at the tablet, or with the instructor', async () => {
  const { version, rules } = (await school.lead.ask<RulesVersion[]>('GET', '/api/house-rules')).body.at(-1)!
  const ways = { ...rules.ways, cautions: 'by each student' }
  const wanted = { baseVersion: version, why: 'cautions', rules: { ...rules, ways } }
  expect((await school.lead.ask('POST', '/api/house-rules', wanted)).status).toBe(201)
  await school.instructor.ask('PUT', `/api/students/${student.id}/code`, { code: '2847' })
  await school.lead.ask('POST', '/api/students', { ...student, id: undefined, name: 'Ottil Rane', booth: 9 })
  const tablet = await teaching(browser, 'tobias', section.id)
  await tablet.getByRole('button', { name: 'Hand over tablet' }).click()
  await tablet.getByRole('dialog').getByRole('button', { name: 'Hand over' }).click()
  await tablet.waitForURL('**/kiosk')
  await tablet.getByRole('button', { name: student.name }).click()
  for (const digit of '2847') await tablet.getByRole('button', { name: digit, exact: true }).click()
  const cautions = tablet.getByRole('region', { name: 'Cautions to read' })
  await cautions.getByText('Head out of the plume').waitFor()
  await cautions.getByRole('button', { name: 'I have read these' }).click()
  await expect.poll(() => cautions.count()).toBe(0)
  await tablet.context().close()

  const page = await teaching(browser, 'tobias', section.id, { at: '/day' })
  const roll = page.getByRole('region', { name: /^Who (is|was) here/ })
  await roll.getByText(student.name).waitFor()
  const left = roll.getByRole('button', { name: /cautions to read/ })
  expect(await left.count()).toBe(1)
  await left.click()
  await page.getByRole('button', { name: 'Read with Ottil Rane' }).click()
  await expect.poll(() => left.count()).toBe(0)
  await page.context().close()
})
