import type { Section, Student } from '../../contract/people'
import { quantile } from '../../core/statistics'
import { DEMO_PASSWORD } from '../../demo/accounts'
import { Visitor } from '../../tests/session'
import { ms, timed } from './timed'

/**
 * A class as many screens see it: how long after a coupon is taken the first, the middle and the last of sixty open
 * screens of one section are told, and what they cost the server in memory.
 */
const ADDRESS = process.env.FUSILIS_URL!
const SCREENS = 60
const EVENTS = 30

const lead = await new Visitor(ADDRESS).signIn('maren', DEMO_PASSWORD)
const instructor = await new Visitor(ADDRESS).signIn('tobias', DEMO_PASSWORD)
const [section] = (await instructor.ask<Section[]>('GET', '/api/sections')).body
const students = (await instructor.ask<Student[]>('GET', `/api/sections/${section!.id}/students`)).body

async function memoryMb(): Promise<number> {
  const { body } = await lead.ask<string>('GET', '/api/metrics')
  return Number(/^process_resident_memory_bytes (\S+)/m.exec(String(body))![1]) / 1e6
}

/** One open screen; it says when it is told next. */
async function screen() {
  const told = await fetch(`${ADDRESS}/api/sections/${section!.id}/live`, { headers: instructor.headers })
  const reader = told.body!.pipeThrough(new TextDecoderStream()).getReader()
  await reader.read()
  return { next: () => reader.read(), close: () => reader.cancel() }
}

const before = await memoryMb()
const screens = await Promise.all(Array.from({ length: SCREENS }, screen))
const taken: number[][] = []
for (let n = 0; n < EVENTS; n++) {
  const began = performance.now()
  const all = screens.map(async one => {
    await one.next()
    return performance.now() - began
  })
  await instructor.ask('PUT', `/api/students/${students[n % students.length]!.id}/hold`)
  taken.push((await Promise.all(all)).sort((a, b) => a - b))
}
const at = (share: number) =>
  ms(
    quantile(
      taken.map(one => quantile(one, share)),
      0.5,
    ),
  )
const slowest = ms(Math.max(...taken.map(one => one.at(-1)!)))
const floorMs = await timed(() =>
  Promise.all(screens.map(() => instructor.ask('GET', `/api/sections/${section!.id}/floor`))),
)
console.log(
  `${SCREENS} screens of one section: told of a taken coupon after ${at(0)} the first, ${at(0.5)} the middle, ` +
    `${at(1)} the last; ${slowest} at worst (aim: under a second)`,
)
console.log(
  `  all ${SCREENS} ask for the floor at once: ${ms(floorMs)}; the server holds ${Math.round(before)} MB before, ` +
    `${Math.round(await memoryMb())} MB with them`,
)
await Promise.all(screens.map(one => one.close()))
