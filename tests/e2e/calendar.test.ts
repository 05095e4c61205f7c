import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { Browser } from 'playwright-core'
import { classDayAt, daysAfter, MACHINE_CLOCK } from '../../core/calendar'
import type { CalendarVersion } from '../../contract/schoolCalendar'
import { foundTestSchool, type School } from '../school'
import { openBrowser, signedIn } from './browser'

let browser: Browser
let school: School
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
})
afterAll(async () => {
  await browser?.close()
  const { version } = await kept()
  await school.lead.ask('PUT', '/api/school/calendar', { baseVersion: version, calendar: { daysOff: [] } })
})

const kept = async () => (await school.lead.ask<CalendarVersion>('GET', '/api/school/calendar')).body
const today = classDayAt(new Date(), MACHINE_CLOCK)
const ahead = (days: number) => daysAfter(today, days)
const plain = (day: string) => day.replaceAll('-', '')
/** A calendar file of one break and one evening class. */
const FILE = [
  'BEGIN:VCALENDAR',
  'BEGIN:VEVENT',
  `DTSTART;VALUE=DATE:${plain(ahead(10))}`,
  `DTEND;VALUE=DATE:${plain(ahead(15))}`,
  'SUMMARY:Spring break',
  'END:VEVENT',
  'BEGIN:VEVENT',
  `DTSTART:${plain(ahead(3))}T180000Z`,
  'SUMMARY:Class',
  'END:VEVENT',
  'END:VCALENDAR',
].join('\r\n')

describe('the calendar', () => {
  it('takes days in by hand and from a file, and the day says that there is no class', async () => {
    const page = await signedIn(browser, 'maren', { at: '/house/calendar' })
    await page.getByText('every week is reckoned as a week of class').waitFor()
    await page.getByRole('button', { name: 'Add days' }).click()
    await page.getByText('Say what each line is for').waitFor()
    await page.getByLabel('What for').fill('Quay fair')
    await page.getByLabel('First day').fill(ahead(1))
    const file = page.getByLabel('From a calendar file')
    await file.setInputFiles({ name: 'roster.csv', mimeType: 'text/csv', buffer: Buffer.from('Name,Booth') })
    await page.getByText('This is no calendar file').waitFor()
    await file.setInputFiles({ name: 'school.ics', mimeType: 'text/calendar', buffer: Buffer.from(FILE) })
    await page.getByText('1 taken in: look them through, then save. 1 at hours of a day were left out.').waitFor()
    // What is not saved is kept by the browser.
    await page.reload()
    await page.getByRole('button', { name: 'Save the calendar' }).click()
    await page.getByText('Saved by Maren Holt').waitFor()
    expect((await kept()).calendar.daysOff).toEqual([
      { from: ahead(1), to: ahead(1), name: 'Quay fair', sectionId: null },
      { from: ahead(10), to: ahead(14), name: 'Spring break', sectionId: null },
    ])
    await page.goto(new URL(`/day?day=${ahead(12)}`, page.url()).href)
    await page.getByText('no class, Spring break').waitFor()
    await page.context().close()
  })
  it('is read by an instructor, and changed by none', async () => {
    const page = await signedIn(browser, 'tobias', { at: '/house/calendar' })
    await page.getByRole('heading', { name: 'Days without class' }).waitFor()
    expect(await page.getByRole('button', { name: 'Add days' }).count()).toBe(0)
    await page.context().close()
  })
})
