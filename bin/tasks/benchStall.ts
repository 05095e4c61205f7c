import { setTimeout as pause } from 'node:timers/promises'
import { v7 as uuid } from 'uuid'
import type { Section, Student } from '../../contract/people'
import { aCoupon, aFlaw } from '../../core/coupon/example'
import { quantile } from '../../core/statistics'
import { DEMO_PASSWORD } from '../../demo/accounts'
import { Visitor } from '../../tests/session'
import { ms } from './timed'

/** For how long the largest coupon there may be holds everybody else up: the latest the server's event loop ran. */
const ADDRESS = process.env.FUSILIS_URL!
const MARKS = 2_000
const TIMES = 20
const AIM_MS = 100

const lead = await new Visitor(ADDRESS).signIn('maren', DEMO_PASSWORD)
const instructor = await new Visitor(ADDRESS).signIn('tobias', DEMO_PASSWORD)
const [section] = (await instructor.ask<Section[]>('GET', '/api/sections')).body
const [student] = (await instructor.ask<Student[]>('GET', `/api/sections/${section!.id}/students`)).body

/** The latest the loop ran since this was asked last, ms. */
async function latestMs(): Promise<number> {
  const { body } = await lead.ask<string>('GET', '/api/metrics')
  return 1000 * Number(/^nodejs_eventloop_lag_max_seconds (\S+)/m.exec(String(body))![1])
}

/** The longest stall in each turn of the same work, ms. */
async function stalls(work: () => Promise<unknown>): Promise<number[]> {
  const found: number[] = []
  for (let n = 0; n < TIMES; n++) {
    await latestMs()
    await work()
    found.push(await latestMs())
  }
  return found
}

async function save(marks: number): Promise<void> {
  const coupon = aCoupon({ studentId: student!.id })
  const flaws = Array.from({ length: marks }, (_, n) =>
    n % 2
      ? aFlaw({ id: `f${n}`, flaw: 'spatter', side: null, atMm: 1, toMm: 1 })
      : aFlaw({ id: `f${n}`, beadId: coupon.beads[(n / 2) % coupon.beads.length]!.id }),
  )
  const document = { ...coupon, marks: [...coupon.marks, ...flaws].slice(0, MARKS) }
  const { status } = await instructor.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document })
  if (status !== 200) throw new Error(`A coupon of ${marks} marks was answered with ${status}`)
}

const idle = await stalls(() => pause(200))
const usual = await stalls(() => save(4))
const largest = await stalls(() => save(MARKS))
const [first, ...rest] = largest
console.log(
  `a coupon of ${MARKS.toLocaleString('en')} marks holds the server up for ${ms(quantile(rest, 0.5))} as a rule, ` +
    `${ms(Math.max(...rest))} at worst, ${ms(first!)} the first time ` +
    `(aim: under ${AIM_MS}; idle ${ms(quantile(idle, 0.5))}, a usual coupon ${ms(quantile(usual, 0.5))})`,
)
