import { connect, createServer, type Server, type Socket } from 'node:net'
import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Browser, Page } from 'playwright-core'
import { v7 as uuid } from 'uuid'
import type { SavedCoupon } from '../../contract/coupon'
import type { FloorQueue } from '../../contract/floor'
import type { Section, Student } from '../../contract/people'
import type { CouponPage } from '../../contract/record'
import type { RodRoom } from '../../contract/rodRoom'
import { closeDatabase } from '../../server/store/database'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS, PASSWORD } from '../session'
import { choose, listOf, openBrowser, settled, waitingIn } from './browser'

/** The shop's Wi-Fi: what goes through it reaches the server, until it is cut. */
function aNetwork() {
  const sockets = new Set<Socket>()
  let server: Server | null = null
  let port = 0
  const up = () =>
    new Promise<void>(resolve => {
      server = createServer(from => {
        const to = connect(Number(new URL(ADDRESS).port), '127.0.0.1')
        for (const socket of [from, to]) {
          sockets.add(socket)
          socket.on('error', () => {}).on('close', () => sockets.delete(socket))
        }
        from.pipe(to).pipe(from)
      })
      server.listen(port, '127.0.0.1', () => {
        port = (server!.address() as { port: number }).port
        resolve()
      })
    })
  const cut = () =>
    new Promise<void>(resolve => {
      server?.close(() => resolve())
      for (const socket of sockets) socket.destroy()
    })
  return { up, cut, address: () => `http://127.0.0.1:${port}` }
}

const network = aNetwork()
let school: School
let browser: Browser
let section: Section
let student: Student
let page: Page
async function signIn(): Promise<void> {
  await page.goto(`${network.address()}/sign-in`)
  await page.getByLabel('User name').fill('tobias')
  await page.getByLabel('Password').fill(PASSWORD)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.getByRole('navigation', { name: 'Rooms' }).waitFor()
}
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
  ;({ section, student } = await addClass(school, 'Evening W steel walls', 'Loveday Penrose'))
  const lot = { classification: 'E7018', diameterMm: 3.175, makersLot: 'W 77', resistant: false, place: 'oven 1' }
  const lotId = uuid()
  const more = { receivedOn: '2026-09-01', openedOn: null, rodsInBox: 100, boxPriceCents: null }
  await school.lead.ask('PUT', `/api/rod-lots/${lotId}`, { ...lot, ...more })
  const came = { lotId, kind: 'received', count: 100, handfulId: null, studentId: null, booth: null, stubs: null }
  await school.lead.ask('PUT', `/api/rod-movements/${uuid()}`, { ...came, why: '' })
  await network.up()
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' })
  await context.addInitScript(id => localStorage.setItem('fusilis.section', id), section.id)
  page = await context.newPage()
  // What all of the tests need is tried once, on a machine however busy.
  page.setDefaultTimeout(60_000)
  // One visit is enough: the application and the class are kept while the Floor lies open.
  const kept = page.waitForResponse(answer => answer.url().endsWith(`/api/students/${student.id}/hours`))
  await signIn()
  await page.getByRole('heading', { name: section.name }).waitFor()
  await kept
  page.setDefaultTimeout(15_000)
}, 120_000)
afterAll(async () => {
  await network.cut()
  await browser?.close()
  await closeDatabase()
})

const room = (name: string) => page.getByRole('navigation', { name: 'Rooms' }).getByRole('link', { name, exact: true })
const waitsFor = async () =>
  (await school.instructor.ask<FloorQueue>('GET', `/api/sections/${section.id}/queue`)).body.waiting
const couponsOf = async () =>
  (await school.instructor.ask<CouponPage>('GET', `/api/students/${student.id}/coupons`)).body.coupons

it('without a server a reload opens the class as it was known, and says so', async () => {
  await network.cut()
  await page.reload()
  await page.getByRole('heading', { name: section.name }).waitFor()
  await page.getByText(student.name).first().waitFor()
  await page.getByText('▲ Server away').waitFor()
  await page.getByText(/shown as of \d\d:\d\d\. What you do is kept here\./).waitFor()
})

it.each([
  ['Record', 'Whose record?'],
  ['Board', 'Board'],
  ['Test bay', 'Test bay'],
  ['Set-up', 'Set-up'],
  ['Rod room', 'Rod room'],
  ['Practice', 'Reading room'],
])('every room of a class opens: %s', async (name, heading) => {
  await room(name).click()
  await page.getByRole('heading', { name: heading }).first().waitFor()
  await settled(page)
  expect(await page.getByText('The server does not answer').count()).toBe(0)
})

it('what a coupon costs is not carried round, and says so', async () => {
  await room('Rod room').click()
  const cost = page.getByRole('region', { name: 'What a coupon costs' })
  await cost.getByText('said once there is a network again').waitFor()
})

it('who is ready, who came and what rods were drawn is kept here, and shown as done', async () => {
  await page.goto(`${network.address()}/`)
  await page
    .getByRole('button', { name: `${student.name}: coupon is ready` })
    .first()
    .click()
  await page
    .getByText(/1 waits|waits to be read/)
    .first()
    .waitFor()
  await page.getByRole('button', { name: 'Remark' }).click()
  await page.getByLabel('What to remember').fill('fan of booth 3 rattles')
  await page.getByRole('dialog').getByRole('button', { name: 'Save' }).click()
  await page.getByRole('region', { name: 'For next time' }).getByText('fan of booth 3 rattles').waitFor()
  await page.goto(`${network.address()}/day`)
  await page.getByRole('button', { name: `${student.name} came now` }).click()
  await page.getByRole('button', { name: `${student.name} left now` }).waitFor()
  await page.goto(`${network.address()}/rods`)
  await choose(page, listOf(page, 'Rods'), 'E7018 1/8 in, lot W 77 · 100 there')
  await page.getByRole('combobox', { name: 'For', exact: true }).fill('Loveday')
  await page.getByRole('option', { name: /Loveday Penrose/ }).click()
  await page.getByRole('button', { name: 'Draw, start the clock' }).click()
  await page.getByRole('region', { name: 'Out now' }).getByText(student.name).waitFor()
  await page.getByText('92 rods').waitFor()
  // It stands so for whoever opens the page next, and nothing of it has reached the server.
  await page.reload()
  await page.getByRole('region', { name: 'Out now' }).getByText(student.name).waitFor()
  expect((await waitingIn(page)).map(one => one.kind).sort()).toEqual(['attendance', 'ready', 'remark', 'rods'])
  expect((await waitsFor()).length).toBe(0)
})

it('a coupon is read on the Bench after a reload, kept here, and sent when there is a network again', async () => {
  await page.goto(`${network.address()}/bench?student=${student.id}`)
  await page.getByRole('heading', { name: student.name }).waitFor()
  // The ticket, whose rungs come from the server, takes no key away.
  await page.keyboard.press('i')
  await page.getByRole('dialog', { name: 'Ticket' }).waitFor()
  await page.keyboard.press('Escape')
  await page.getByRole('dialog', { name: 'Ticket' }).waitFor({ state: 'hidden' })
  for (const key of ['ArrowUp', 'u', 'Enter']) await page.keyboard.press(key)
  await expect.poll(async () => (await waitingIn(page)).map(one => one.kind)).toContain('coupon')
  await page.getByText('5 kept here').waitFor()
  expect(await couponsOf()).toEqual([])

  await network.up()
  await expect.poll(async () => (await couponsOf()).length, { timeout: 25_000 }).toBe(1)
  await expect.poll(() => waitingIn(page)).toEqual([])
  await page.getByText('all saved').waitFor()
  expect(await page.getByText('▲ Server away').count()).toBe(0)
  const [drawn] = (await school.instructor.ask<RodRoom>('GET', '/api/rods')).body.movements.filter(
    line => line.studentId === student.id,
  )
  expect(drawn).toMatchObject({ kind: 'issued', rods: -8 })
  expect(Date.now() - Date.parse(drawn!.at)).toBeGreaterThan(5_000)
  // All burnt: the rod room is another test's after this.
  const burnt = { lotId: drawn!.lotId, kind: 'returned', handfulId: drawn!.id, count: 0, studentId: null }
  await school.lead.ask('PUT', `/api/rod-movements/${uuid()}`, { ...burnt, booth: null, stubs: null, why: '' })
  // Ready first, then read: nobody waits any more.
  expect(await waitsFor()).toEqual([])
  const [saved] = await couponsOf()
  const { body } = await school.instructor.ask<SavedCoupon>('GET', `/api/coupons/${saved!.id}`)
  expect(body.document.studentId).toBe(student.id)
})

it('a tablet that was left alone for longer than the school allows opens nothing of what is kept', async () => {
  const idle = (minutes: number | null) => school.lead.ask('PUT', '/api/school/idle', { minutes })
  await idle(10)
  await page.goto(`${network.address()}/`)
  await page.getByRole('heading', { name: section.name }).waitFor()
  const untouched = (minutes: number) =>
    page.evaluate(ms => localStorage.setItem('fusilis.touched', String(Date.now() - ms)), 60_000 * minutes)
  await network.cut()
  await untouched(9)
  await page.reload()
  await page.getByRole('heading', { name: section.name }).waitFor()
  await untouched(11)
  await page.reload()
  await page.waitForURL(/sign-in/)
  await network.up()
  await idle(null)
  await signIn()
})

it('signed out without a server nothing of the class is left here, and the session ends when it answers', async () => {
  await page.goto(`${network.address()}/`)
  await page.getByRole('heading', { name: section.name }).waitFor()
  await network.cut()
  await page.getByRole('button', { name: 'Sign out' }).click()
  await page.waitForURL(/sign-in/)
  await page.goto(`${network.address()}/`)
  await page.getByRole('heading', { name: 'The server does not answer' }).waitFor()
  await network.up()
  await page.getByRole('button', { name: 'Try again' }).click()
  await page.getByLabel('User name').waitFor()
})

it('a tablet that is handed over keeps nothing that its instructor saw, and takes who is ready', async () => {
  await signIn()
  await page.goto(`${network.address()}/`)
  await page.getByRole('heading', { name: section.name }).waitFor()
  await page.getByRole('button', { name: 'Hand over tablet' }).click()
  await page.getByRole('button', { name: 'Hand over', exact: true }).click()
  await page.waitForURL(/kiosk/)
  const name = page.getByRole('button', { name: student.name })
  await name.waitFor()
  await network.cut()
  await page.goto(`${network.address()}/record/${student.id}`)
  await page.waitForURL(/kiosk/)
  await page.getByText('▲ Server away').waitFor()
  await name.click()
  await page.getByText('To read it yourself first, wait until the server answers.').waitFor()
  const ready = page.getByRole('button', { name: 'My coupon is ready' })
  await ready.click()
  await page.getByText(/^Noted here\. It is sent/).waitFor()
  await page.getByRole('button', { name: 'Take it back' }).click()
  await ready.click()
  await page.getByText(/^Noted here\. It is sent/).waitFor()
  expect((await waitingIn(page)).map(one => one.kind)).toEqual(['ready'])
  expect(await waitsFor()).toEqual([])

  await network.up()
  await page.getByText('You are next.').waitFor({ timeout: 25_000 })
  expect(await waitsFor()).toMatchObject([{ studentId: student.id, saidBy: 'student' }])
  // Taken back without a server, it stands for the others until there is one.
  await network.cut()
  await page.getByRole('button', { name: 'Take it back' }).click()
  await ready.waitFor()
  await network.up()
  await expect.poll(waitsFor, { timeout: 25_000 }).toEqual([])
})
