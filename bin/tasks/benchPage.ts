import { quantile } from '../../core/statistics'
import { v7 as uuid } from 'uuid'
import { addPass, layOutAgain, putMark, type CouponDocument } from '../../core/coupon'
import { DEFAULT_HOUSE_RULES } from '../../core/house'
import { aCoupon, aFlaw, aJoint } from '../../core/coupon/example'
import { DEMO_PASSWORD } from '../../demo/accounts'
import { closeDatabase, database, rows } from '../../server/store/database'
import { openChromium } from './chromium'
import { ms, times } from './timed'

const ADDRESS = process.env.FUSILIS_URL!
const FRAME_MS = 1000 / 60
const LEAST_MARKS = 200

const [student] = await rows<{ id: string }>(database(), 'SELECT id FROM student LIMIT 1')
await closeDatabase()

/** Twenty beads and two hundred marks. */
function crowded() {
  let document = aCoupon({ studentId: student!.id, beadCount: 20 })
  for (let n = 0; document.marks.length < LEAST_MARKS; n++)
    document = putMark(
      document,
      aFlaw({
        id: `f${n}`,
        beadId: `b${(n % 20) + 1}`,
        flaw: n % 3 ? 'undercut' : 'slag',
        atMm: (n * 11) % 130,
        toMm: ((n * 11) % 130) + 12,
      }),
    )
  return document
}

const browser = await openChromium()
const context = await browser.newContext({
  serviceWorkers: 'block',
  viewport: { width: 1280, height: 800 },
  reducedMotion: 'reduce',
})
const page = await context.newPage()
await page.goto(`${ADDRESS}/sign-in`)
await page.getByLabel('User name').fill('tobias')
await page.getByLabel('Password').fill(DEMO_PASSWORD)
await page.getByRole('button', { name: 'Sign in' }).click()
await page.getByRole('navigation', { name: 'Rooms' }).waitFor()

async function keep(document: CouponDocument): Promise<string> {
  const id = uuid()
  const status = await page.evaluate(
    ([path, sent]) =>
      fetch(path as string, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ baseVersion: 0, why: '', document: sent }),
      }).then(answer => answer.status),
    [`/api/coupons/${id}`, document] as const,
  )
  if (status >= 300) throw new Error(`The coupon was refused: ${status}`)
  return id
}
const id = await keep(crowded())

/** A 6G pipe of twelve passes, with root side and halves: twenty-five lanes. */
function twelvePasses(): CouponDocument {
  let document: CouponDocument = { ...aJoint(), studentId: student!.id }
  while (document.passes!.length < 12)
    document = layOutAgain(document, { passes: addPass(document.passes!, 'p3') }, DEFAULT_HOUSE_RULES)
  return document
}

/** Opening a saved coupon, until it is drawn: the pipe beside a pad of six beads, turn about. */
async function opening(): Promise<void> {
  const ids = { pad: await keep(aCoupon({ studentId: student!.id })), pipe: await keep(twelvePasses()) }
  const taken = { pad: [] as number[], pipe: [] as number[] }
  for (let n = 0; n < 20; n++) {
    for (const kind of ['pad', 'pipe'] as const) {
      const began = performance.now()
      await page.goto(`${ADDRESS}/bench?coupon=${ids[kind]}&name=${kind}`)
      await page.locator('svg [data-mark]').first().waitFor()
      taken[kind].push(performance.now() - began)
    }
  }
  const p50 = (kind: keyof typeof taken) => quantile(taken[kind].slice(4), 0.5)
  console.log(
    `opening a 6G coupon of twelve passes: ${times(p50('pipe') / p50('pad'))} a six-bead pad (${ms(p50('pipe'))} and ${ms(p50('pad'))})`,
  )
}

/**
 * First load of the Bench on an empty cache: requests of its first two seconds, script as it comes over the wire, and
 * until the first mark can be dropped.
 */
async function firstLoad(): Promise<void> {
  const fresh = await browser.newContext({
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    storageState: await context.storageState(),
  })
  const first = await fresh.newPage()
  const cdp = await fresh.newCDPSession(first)
  await cdp.send('Network.enable')
  const scripts = new Set<string>()
  let [requests, bytes, styles] = [0, 0, 0]
  const sheets = new Set<string>()
  cdp.on('Network.responseReceived', ({ requestId, response }) => {
    requests++
    if (/\.js(\?|$)/.test(response.url)) scripts.add(requestId)
    if (/\.css(\?|$)/.test(response.url)) sheets.add(requestId)
  })
  cdp.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (scripts.has(requestId)) bytes += encodedDataLength
    if (sheets.has(requestId)) styles += encodedDataLength
  })
  await cdp.send('Network.setExtraHTTPHeaders', { headers: { 'accept-encoding': 'gzip' } })
  const began = performance.now()
  await first.goto(`${ADDRESS}/bench?coupon=${id}&name=Crowded`)
  await first.getByRole('heading', { name: 'Crowded' }).waitFor()
  await first.keyboard.press('k')
  await first.locator('[data-mark].selected').waitFor()
  const took = performance.now() - began
  await first.waitForTimeout(2000)
  console.log(
    `first load of the Bench: ${requests} requests (aim: at most 60), ${Math.round(bytes / 1024)} kB of script and ` +
      `${Math.round(styles / 1024)} kB of style gzipped (aim: at most 300), first mark after ${ms(took)}`,
  )
  await fresh.close()
}

/** Scripting of one key on the crowded drawing: everything the page's own code does until the frame is ready. */
async function keys(): Promise<void> {
  await page.goto(`${ADDRESS}/bench?coupon=${id}&name=Crowded`)
  await page.getByRole('heading', { name: 'Crowded' }).waitFor()
  await page.waitForTimeout(800)
  const cdp = await context.newCDPSession(page)
  await cdp.send('Performance.enable')
  const scripting = async () =>
    (await cdp.send('Performance.getMetrics')).metrics.find(metric => metric.name === 'ScriptDuration')!.value * 1000
  const pressed = ['ArrowRight', 'ArrowUp', 'u', '3', 'ArrowDown', 'p', 'Shift+ArrowLeft', '.', ']', 'Control+z']
  const taken: number[] = []
  for (let n = 0; n < 12; n++) {
    for (const key of pressed) {
      const before = await scripting()
      await page.keyboard.press(key)
      await page.evaluate(() => new Promise(resolve => requestAnimationFrame(() => requestAnimationFrame(resolve))))
      taken.push((await scripting()) - before)
    }
  }
  const [p50, p95] = [quantile(taken.slice(20), 0.5), quantile(taken.slice(20), 0.95)]
  console.log(
    `a key at 20 beads and ${LEAST_MARKS} marks: scripting p50 ${(p50 / FRAME_MS).toFixed(2)}, p95 ${(p95 / FRAME_MS).toFixed(2)} of a frame (${ms(p50)}, ${ms(p95)})`,
  )
}

/** The Floor drawn from what the browser keeps, with no server; beside the same with one, turn about. */
async function coldStart(): Promise<void> {
  const own = await browser.newContext({
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    storageState: await context.storageState(),
  })
  const floor = await own.newPage()
  await floor.goto(ADDRESS)
  await floor.getByRole('link', { name: 'Rod room' }).waitFor()
  await floor.evaluate(() => navigator.serviceWorker.ready.then(() => true))
  await floor.waitForLoadState('networkidle').catch(() => {})
  const taken = { with: [] as number[], without: [] as number[] }
  for (let n = 0; n < 10; n++) {
    for (const server of ['with', 'without'] as const) {
      await own.setOffline(server === 'without')
      const began = performance.now()
      await floor.reload({ waitUntil: 'commit' })
      await floor.locator('main h1').first().waitFor()
      await floor.locator('main').getByText(/waits/).first().waitFor()
      taken[server].push(performance.now() - began)
    }
  }
  await own.close()
  const p50 = (server: keyof typeof taken) => quantile(taken[server].slice(2), 0.5)
  console.log(
    `the Floor without a server: drawn in ${ms(p50('without'))} (aim 1500 ms), ${times(p50('without') / p50('with'))} as with one`,
  )
}

await firstLoad()
await coldStart()
await keys()
await opening()
await browser.close()
