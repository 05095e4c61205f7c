import { connect, createServer, type Server, type Socket } from 'node:net'
import { afterAll, beforeAll, expect, it } from 'vitest'
import type { Browser, Page } from 'playwright-core'
import type { SavedCoupon } from '../../contract/coupon'
import type { Section, Student } from '../../contract/people'
import type { CouponPage } from '../../contract/record'
import { closeDatabase } from '../../server/store/database'
import { addClass, foundTestSchool, type School } from '../school'
import { ADDRESS, PASSWORD } from '../session'
import { openBrowser, waitingIn } from './browser'

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
beforeAll(async () => {
  school = await foundTestSchool()
  browser = await openBrowser()
  ;({ section, student } = await addClass(school, 'Evening W steel walls', 'Loveday Penrose'))
  await network.up()
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' })
  page = await context.newPage()
  page.setDefaultTimeout(15_000)
  await page.goto(`${network.address()}/sign-in`)
  await page.getByLabel('User name').fill('tobias')
  await page.getByLabel('Password').fill(PASSWORD)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.getByRole('navigation', { name: 'Rooms' }).waitFor()
  await page.evaluate(id => localStorage.setItem('fusilis.section', id), section.id)
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined))
  // Once more: the page is opened by what is kept, and keeps the class.
  const kept = page.waitForResponse(answer => answer.url().endsWith(`/api/students/${student.id}/hours`))
  await page.goto(`${network.address()}/`)
  await page.getByRole('heading', { name: section.name }).waitFor()
  await kept
}, 90_000)
afterAll(async () => {
  await network.cut()
  await browser?.close()
  await closeDatabase()
})

const room = (name: string) => page.getByRole('navigation', { name: 'Rooms' }).getByRole('link', { name, exact: true })
const couponsOf = async () =>
  (await school.instructor.ask<CouponPage>('GET', `/api/students/${student.id}/coupons`)).body.coupons

it('without a server a reload opens the class as it was known, and says so', async () => {
  await network.cut()
  await page.reload()
  await page.getByRole('heading', { name: section.name }).waitFor()
  await page.getByText(student.name).first().waitFor()
  await page.getByText('▲ No network').waitFor()
  await page.getByText(/Shown as of \d\d:\d\d\./).waitFor()
})

it.each([
  ['Record', 'Whose record?'],
  ['Board', 'Board'],
  ['Test bay', 'Test bay'],
  ['Set-up', 'Set-up'],
  ['Rod room', 'Rod room'],
  ['House', 'House'],
])('every room of a class opens: %s', async (name, heading) => {
  await room(name).click()
  await page.getByRole('heading', { name: heading }).first().waitFor()
  expect(await page.getByText('The server does not answer').count()).toBe(0)
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
  await expect.poll(async () => (await waitingIn(page)).map(one => one.kind)).toEqual(['coupon'])
  await page.getByText('1 kept here').waitFor()
  expect(await couponsOf()).toEqual([])

  await network.up()
  await expect.poll(async () => (await couponsOf()).length, { timeout: 25_000 }).toBe(1)
  await expect.poll(() => waitingIn(page)).toEqual([])
  await page.getByText('all saved').waitFor()
  expect(await page.getByText('▲ No network').count()).toBe(0)
  const [saved] = await couponsOf()
  const { body } = await school.instructor.ask<SavedCoupon>('GET', `/api/coupons/${saved!.id}`)
  expect(body.document.studentId).toBe(student.id)
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
