import { Secret, TOTP } from 'otpauth'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import type { Browser, Page } from 'playwright-core'
import { aCoupon } from '../../core/coupon/example'
import type { Section } from '../../contract/people'
import type { CouponPage } from '../../contract/record'
import type { TrailPage } from '../../contract/trail'
import { closeDatabase, database, run } from '../../server/store/database'
import { addClass, addInstructor, foundTestSchool, type School } from '../school'
import { ADDRESS, GIVEN, PASSWORD, Visitor } from '../session'
import { choose, listOf, openBrowser, signedIn, teaching } from './browser'

let browser: Browser
let school: School
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
})
afterAll(async () => {
  await browser?.close()
  await closeDatabase()
})

const house = async (username = 'maren'): Promise<Page> => {
  const page = await signedIn(browser, username, { at: '/house' })
  await page.getByRole('heading', { name: 'Evening T' }).waitFor()
  return page
}
const button = (page: Page, name: string) => page.getByRole('button', { name, exact: true })

describe('sections', () => {
  it('a lead adds one, and is told at the field when it is wrong', async () => {
    const page = await house()
    await button(page, 'New section').click()
    await page.getByLabel('Name', { exact: true }).fill('Night Z')
    await page.getByLabel('to', { exact: true }).fill('2020-01-01')
    await button(page, 'Add a meeting').click()
    await button(page, 'Save').click()
    await page.getByText('The term ends after it begins').waitFor()
    await page.getByLabel('to', { exact: true }).fill('2099-01-01')
    await button(page, 'Save').click()
    await page.getByText('Section saved').waitFor()
    await page.getByRole('heading', { name: 'Night Z' }).waitFor()
    await page.getByText('Nobody is in this section yet.').waitFor()
    await page.context().close()
  })

  it('an instructor sees no accounts and adds no section', async () => {
    const page = await house('tobias')
    expect(await page.getByRole('heading', { name: 'Accounts' }).count()).toBe(0)
    expect(await button(page, 'New section').count()).toBe(0)
    await page.context().close()
  })
})

describe('students', () => {
  it('are moved to archive and keep their record', async () => {
    const { body } = await school.lead.ask<{ id: string }>('POST', '/api/students', {
      name: 'Silas Drum',
      hand: 'left',
      sectionId: school.section.id,
      startDate: '2026-09-01',
      booth: 8,
      active: true,
    })
    const page = await house()
    await button(page, 'Change Silas Drum').click()
    await page.getByLabel('Still here').uncheck()
    await button(page, 'Save').click()
    await page.getByText('Student saved').waitFor()
    await page.getByRole('row', { name: /Silas Drum archived/ }).waitFor()
    await page.goto(`${ADDRESS}/record/${body.id}`)
    await page.getByText('No coupon has been read yet.').waitFor()
    await page.context().close()
  })
})

describe('a person’s data', () => {
  it('says who is under age without a guardian’s word, and whose record is due to go', async () => {
    const { section, student } = await addClass(school, 'Wards Z', 'Kerensa Pell')
    const page = await teaching(browser, 'maren', section.id, { at: '/house' })
    await button(page, 'Change Kerensa Pell').click()
    expect(await page.getByLabel('Who agreed').count()).toBe(0)
    await page.getByLabel('Under age until').fill('2090-03-01')
    await button(page, 'Save').click()
    await page.getByRole('row', { name: /Kerensa Pell under age, no guardian’s word yet/ }).waitFor()
    await button(page, 'Change Kerensa Pell').click()
    await page.getByLabel('A guardian agreed to the record on').fill('2026-09-02')
    await button(page, 'Save').click()
    await page.getByText('Say who agreed').waitFor()
    await page.getByLabel('Who agreed').fill('T. Pell, father')
    await button(page, 'Save').click()
    await page.getByText('under age, no guardian').waitFor({ state: 'detached' })

    const { id, ...fields } = student
    await school.lead.ask('PUT', `/api/students/${id}`, { ...fields, active: false })
    await page.reload()
    const kept = page.getByRole('region', { name: 'Records kept' })
    await kept.getByText('Kerensa Pell').waitFor()
    await choose(page, listOf(page, 'A record is kept until'), '5 years after leaving')
    await kept.getByText(/Kerensa Pell, Wards Z, left .*: goes on /).waitFor()
    expect(await button(page, 'Erase the record due').count()).toBe(0)
    await run(database(), 'UPDATE student SET left_on = ? WHERE id = ?', ['2019-06-30', id])
    await page.reload()
    await kept.getByText(/Kerensa Pell, Wards Z, left .*: due since Sun 30 Jun 2024/).waitFor()
    await button(page, 'Erase the record due').click()
    await button(page, 'Erase for good').click()
    await kept.getByText('Kerensa Pell').waitFor({ state: 'detached' })
    expect((await school.lead.ask('GET', `/api/students/${id}/record`)).status).toBe(404)
    const { lines } = (await school.lead.ask<TrailPage>('GET', '/api/trail')).body
    expect(lines.find(line => line.did === 'erased a person')?.student?.id).toBe(id)
    await page.context().close()
  })
})

describe('accounts', () => {
  it('a new one can sign in, and a name that is taken is said at its field', async () => {
    const page = await house()
    await button(page, 'Add account').click()
    await page.getByLabel('Name', { exact: true }).fill('Wren Abelard')
    await page.getByLabel('User name').fill('tobias')
    await page.getByLabel('Password').fill(PASSWORD)
    await button(page, 'Save').click()
    await page.getByText('This user name is taken').waitFor()
    await page.getByLabel('User name').fill('wren')
    await button(page, 'Save').click()
    await page.getByText('Account saved').waitFor()
    await expect(new Visitor().signIn('wren')).resolves.toBeDefined()
    await page.context().close()
  })
})

describe('a session', () => {
  it('ends at sign-out, and the address it came from is asked for again', async () => {
    const page = await house('tobias')
    await button(page, 'Sign out').click()
    await page.getByLabel('User name').waitFor()
    await page.goto(`${ADDRESS}/house`)
    await page.waitForURL(`${ADDRESS}/sign-in?to=/house`)
    await page.context().close()
  })

  it('says when the password is wrong, and keeps the user name', async () => {
    const page = await browser.newPage()
    await page.goto(`${ADDRESS}/sign-in`)
    await page.getByLabel('User name').fill('maren')
    await page.getByLabel('Password').fill('not this one at all')
    await button(page, 'Sign in').click()
    await page.getByRole('alert').getByText('User name and password do not match.').waitFor()
    expect(await page.getByLabel('User name').inputValue()).toBe('maren')
    await page.close()
  })

  it('keeps the theme that was chosen', async () => {
    const page = await house('tobias')
    await button(page, 'Dark theme for the booth').click()
    await page.reload()
    await button(page, 'Light theme for the shop').waitFor()
    await page.context().close()
  })

  it('ended in the middle of a coupon, loses nothing: sign in, and it is there', async () => {
    const page = await signedIn(browser, 'tobias', { at: `/bench?student=${school.mine.id}` })
    await page.getByRole('heading', { name: 'Oriel Tamsin' }).waitFor()
    await page.keyboard.press('k')
    await page.context().clearCookies()
    await page.keyboard.press('Enter')
    await page.getByRole('link', { name: 'Sign in again to send 1' }).click()
    await page.getByLabel('User name').fill('tobias')
    await page.getByLabel('Password').fill(PASSWORD)
    await button(page, 'Sign in').click()
    // What waited is sent by itself, and is the coupon that was marked.
    await page.getByText('all saved').waitFor()
    const { coupons } = (await school.lead.ask<CouponPage>('GET', `/api/students/${school.mine.id}/coupons`)).body
    expect(coupons.some(one => one.document.marks.some(mark => mark.kind === 'flaw' && mark.flaw === 'crack'))).toBe(
      true,
    )
    await page.context().close()
  })
})

describe('a record', () => {
  it('is filtered by position and verdict, and says when nothing is left', async () => {
    const { student } = await addClass(school, 'Evening X filtered', 'Una Falk')
    for (const position of ['1G', '2G'] as const)
      await school.lead.ask('PUT', `/api/coupons/${uuid()}`, {
        baseVersion: 0,
        why: '',
        document: aCoupon({ studentId: student.id, ticket: { position, rung: `${position} pad of Una` } }),
      })
    const page = await signedIn(browser, 'tobias', { at: `/record/${student.id}` })
    await page.getByText('1G pad of Una').first().waitFor()
    await choose(page, listOf(page, 'Position'), '2G horizontal')
    await page.getByText('1G pad of Una').first().waitFor({ state: 'detached' })
    expect(await page.getByText('2G pad of Una').count()).toBeGreaterThan(0)
    await choose(page, listOf(page, 'Verdict'), 'start over')
    await page.getByText('No coupon like that yet.').waitFor()
    await page.context().close()
  })

  it('shows no bare percentage on few tries', async () => {
    const { body: student } = await school.lead.ask<{ id: string }>('POST', '/api/students', {
      name: 'Few Tries',
      hand: 'right',
      sectionId: school.section.id,
      startDate: '2026-09-01',
      booth: null,
      active: true,
    })
    await school.lead.ask('PUT', `/api/coupons/${uuid()}`, {
      baseVersion: 0,
      why: '',
      document: aCoupon({ studentId: student.id, beadCount: 3 }),
    })
    const page = await signedIn(browser, 'tobias', { at: `/record/${student.id}` })
    const cell = page
      .getByRole('row', { name: /1G flat/ })
      .getByRole('cell')
      .first()
    expect(await cell.innerText()).toMatch(/^3 of 3 · 29–100 %$/)
    await page.context().close()
  })

  it('a coupon graded again shows the versions before', async () => {
    const id = uuid()
    const save = (baseVersion: number, notes: string, why: string) =>
      school.lead.ask('PUT', `/api/coupons/${id}`, {
        baseVersion,
        why,
        document: { ...aCoupon({ studentId: school.other.id }), notes },
      })
    await save(0, 'first', '')
    await save(1, 'second', 'brushed and looked again')
    const page = await signedIn(browser, 'tobias', { at: `/bench?coupon=${id}&name=Pavo%20Lindqvar` })
    await page.getByText('Earlier versions').click()
    await page.getByText('graded again: brushed and looked again').waitFor()
    await page.context().close()
  })
})

it('one’s own password is changed from any room, and what is wrong is said at its field', async () => {
  await addInstructor(school, 'own-password', 'Own Password')
  await new Visitor().takeUp('own-password')
  const page = await house('own-password')
  await page.getByRole('button', { name: 'Your sign-in' }).click()
  const dialog = page.getByRole('dialog', { name: 'Own Password' })
  await dialog.getByLabel('Password you have').fill('not the one')
  await dialog.getByLabel('New password').fill('bead on plate in 4G')
  await page.keyboard.press('Enter')
  await dialog.getByText('That is not your password').first().waitFor()
  await dialog.getByLabel('Password you have').fill(PASSWORD)
  await page.keyboard.press('Enter')
  await dialog.getByText('Every other device is signed out').waitFor()
  await dialog.getByRole('button', { name: 'Close' }).first().click()
  await page.reload()
  await page.getByRole('navigation', { name: 'Rooms' }).waitFor()
  await page.context().close()
})

it('a lead erases a person, with the name typed again, and the roster has one row less', async () => {
  const { section } = await addClass(school, 'Person Y', 'Tove Ermin')
  const page = await teaching(browser, 'maren', section.id, { at: '/house' })
  await page.getByRole('button', { name: 'Change Tove Ermin' }).click()
  await page.getByRole('button', { name: 'Erase this person' }).click()
  const dialog = page.getByRole('dialog', { name: 'Erase Tove Ermin?' })
  await dialog.getByLabel('Name, typed again').fill('Tove')
  await dialog.getByLabel('Why').fill('asked for it')
  await dialog.getByRole('button', { name: 'Erase for good' }).click()
  await dialog.getByText('That is not this student’s name').first().waitFor()
  await dialog.getByLabel('Name, typed again').fill('Tove Ermin')
  await dialog.getByRole('button', { name: 'Erase for good' }).click()
  await page.getByText('The person is erased').waitFor()
  await page.getByText('Nobody is in this section yet.').waitFor()
  await page.context().close()
})

it('a lead ties an instructor to sections, and the instructor finds no others', async () => {
  const { section } = await addClass(school, 'Morning Z', 'Zita Arland')
  const page = await house('maren')
  await page.getByRole('button', { name: 'Add account' }).click()
  const dialog = page.getByRole('dialog', { name: 'New account' })
  await choose(page, dialog.locator('.v-select', { hasText: 'Sees' }), 'only these sections')
  await dialog.getByLabel('Name', { exact: true }).fill('Zora Quill')
  await dialog.getByLabel('User name').fill('zora')
  await dialog.getByLabel('Password').fill(GIVEN)
  await choose(page, dialog.locator('.v-select--multiple'), 'Morning Z')
  await page.keyboard.press('Escape')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await page.getByRole('row', { name: 'Zora Quill zora instructor Morning Z' }).waitFor()
  await page.context().close()
  const zora = await new Visitor().takeUp('zora')
  expect((await zora.ask<Section[]>('GET', '/api/sections')).body.map(one => one.id)).toEqual([section.id])
  expect((await zora.ask('GET', `/api/sections/${school.section.id}/floor`)).status).toBe(403)
})

it('signs out everywhere from the rail: a page left open elsewhere is signed out too', async () => {
  await addInstructor(school, 'left-lying', 'Left Lying')
  const elsewhere = await new Visitor().takeUp('left-lying')
  const page = await house('left-lying')
  await page.getByRole('button', { name: 'Your sign-in' }).click()
  await page.getByRole('button', { name: 'Sign out everywhere' }).click()
  await page.waitForURL(`${ADDRESS}/sign-in`)
  expect((await elsewhere.ask('GET', '/api/session')).status).toBe(401)
  await page.context().close()
})

it('signs out one other place from the rail', async () => {
  await addInstructor(school, 'two-places-seen', 'Two Places')
  const elsewhere = await new Visitor().takeUp('two-places-seen')
  const page = await house('two-places-seen')
  await page.getByRole('button', { name: 'Your sign-in' }).click()
  const places = page.getByRole('region', { name: 'Where you are signed in' })
  await places.getByText('this one').waitFor()
  await places.getByRole('button', { name: /^Sign out something that is no browser/ }).click()
  await expect.poll(() => places.getByRole('listitem').count()).toBe(1)
  expect((await elsewhere.ask('GET', '/api/session')).status).toBe(401)
  await page.context().close()
})

it('a screen that nobody touches goes back to the door, and on from there to where it was', async () => {
  const page = await house('maren')
  await page.clock.install()
  await page.goto(`${ADDRESS}/house`)
  await choose(page, page.locator('.v-select', { hasText: 'Signed out where nobody touches them' }), 'After 10 minutes')
  try {
    await page.clock.runFor('11:00')
    await page.waitForURL(`${ADDRESS}/sign-in?to=%2Fhouse`)
  } finally {
    expect((await school.lead.ask('PUT', '/api/school/idle', { minutes: null })).status).toBe(204)
  }
  await page.context().close()
})

it('a phone’s codes are turned on from the rail; then signing in asks for one', async () => {
  await addInstructor(school, 'coded-door', 'Coded Door')
  await new Visitor().takeUp('coded-door')
  const page = await house('coded-door')
  await page.getByRole('button', { name: 'Your sign-in' }).click()
  await page.getByRole('button', { name: 'One-time codes' }).click()
  const dialog = page.getByRole('dialog', { name: 'One-time codes' })
  const spelled = await dialog.locator('.secret', { hasText: /[A-Z2-7]{4}/ }).innerText()
  const totp = new TOTP({ secret: Secret.fromBase32(spelled.replace(/\s/g, '')) })
  await dialog.getByRole('img', { name: 'The secret as a QR code' }).waitFor()
  await dialog.getByLabel('Code on the phone').fill('12')
  await dialog.getByLabel('Password you have').fill(PASSWORD)
  await dialog.getByRole('button', { name: 'Turn on' }).click()
  await dialog.getByText('A code is six digits').waitFor()
  // The step before counts too, and leaves this one for signing in.
  await dialog.getByLabel('Code on the phone').fill(totp.generate({ timestamp: Date.now() - 30_000 }))
  await dialog.getByRole('button', { name: 'Turn on' }).click()
  await expect.poll(() => dialog.getByRole('listitem').count()).toBe(10)
  await dialog.getByRole('button', { name: 'Close' }).click()
  await page.context().clearCookies()
  await page.goto(`${ADDRESS}/board`)
  await page.getByLabel('User name').fill('coded-door')
  await page.getByLabel('Password').fill(PASSWORD)
  await page.keyboard.press('Enter')
  await page.getByText('Type the six digits that your phone shows, or a recovery code').waitFor()
  await page.getByLabel('One-time code').fill(totp.generate())
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.getByRole('heading', { name: 'Board' }).waitFor()
  await page.context().close()
})

it('a password that a lead gave is changed before any room opens', async () => {
  await addInstructor(school, 'fresh-start', 'Fresh Start')
  const context = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    serviceWorkers: 'block',
  })
  const page = await context.newPage()
  page.setDefaultTimeout(15_000)
  await page.goto(`${ADDRESS}/board`)
  await page.getByLabel('User name').fill('fresh-start')
  await page.getByLabel('Password').fill(GIVEN)
  await page.keyboard.press('Enter')
  await page.getByRole('heading', { name: 'Choose your own password' }).waitFor()
  expect(await page.getByRole('navigation', { name: 'Rooms' }).count()).toBe(0)
  await page.goto(`${ADDRESS}/house`)
  await page.getByRole('heading', { name: 'Choose your own password' }).waitFor()
  await page.getByLabel('Password you were given').fill(GIVEN)
  await page.getByLabel('New password').fill(GIVEN)
  await page.getByRole('button', { name: 'Keep it' }).click()
  await page.getByText('The new password is the old one').waitFor()
  await page.getByLabel('New password').fill(PASSWORD)
  await page.getByRole('button', { name: 'Keep it' }).click()
  await page.getByRole('navigation', { name: 'Rooms' }).waitFor()
  await context.close()
})
