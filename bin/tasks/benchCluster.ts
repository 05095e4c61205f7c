import { setTimeout as pause } from 'node:timers/promises'
import { v7 as uuid } from 'uuid'
import { aCoupon } from '../../core/coupon/example'
import type { Student } from '../../contract/people'
import { mean, quantile } from '../../core/statistics'
import { rows } from '../../server/store/database'
import { openDatabase } from '../../server/store/nodes'
import { openCampus } from '../../tests/cluster/campus'
import { foundTestSchool } from '../../tests/school'
import { Visitor } from '../../tests/session'
import { ms, timed, times } from './timed'

/**
 * More than one server over three database nodes, all on this machine: saves a second, how long an event takes from one
 * server to a screen at another, and what sixty readers notice when a node is killed.
 */
const SERVERS = 3
const STUDENTS = 24
const ROUNDS = 3
const AT_ONCE = 12
const ROUND_MS = 3_000
const EVENTS = 60
const READERS = 60
const WRITERS = 4
/** Past what a cluster takes to notice that a node is gone. */
const AFTER_KILL_MS = 10_000
const BEFORE_KILL_MS = 2_000

const campus = await openCampus({ servers: SERVERS, spread: false })
try {
  const school = await foundTestSchool(campus.addresses[0])
  const at = campus.addresses.map(address => {
    const visitor = new Visitor(address)
    visitor.takeCookie(school.instructor)
    return visitor
  })
  const roster = Array.from({ length: STUDENTS }, (_, n) => ({
    ...{ name: `Student ${n}`, hand: 'right', startDate: '2026-09-01', booth: null },
  }))
  await school.lead.ask('POST', '/api/students/import', { sectionId: school.section.id, students: roster })
  const students = (await school.lead.ask<Student[]>('GET', `/api/sections/${school.section.id}/students`)).body
  let turn = 0
  const nextStudent = () => students[turn++ % students.length]!.id
  const save = async (visitor: Visitor, id: string = uuid(), studentId = nextStudent()) => {
    const document = { ...aCoupon({}), studentId, advised: 'Close the arc' }
    return (await visitor.ask('PUT', `/api/coupons/${id}`, { baseVersion: 0, document, why: '' })).status
  }

  const read = async (visitor: Visitor) => (await visitor.ask('GET', `/api/sections/${school.section.id}/queue`)).status

  /** How often a second some work is done by a number of servers. */
  async function aSecond(servers: number, work: (visitor: Visitor) => Promise<number>): Promise<number> {
    const until = Date.now() + ROUND_MS
    const counts = await Promise.all(
      Array.from({ length: AT_ONCE }, async (_, n) => {
        let done = 0
        for (; Date.now() < until; done++) await work(at[n % servers]!)
        return done
      }),
    )
    return (counts.reduce((sum, count) => sum + count, 0) / ROUND_MS) * 1000
  }

  async function benchRate(what: string, work: (visitor: Visitor) => Promise<number>) {
    await aSecond(SERVERS, work)
    const rates = Array.from({ length: SERVERS }, (): number[] => [])
    for (let round = 0; round < ROUNDS; round++)
      for (const [n, found] of rates.entries()) found.push(await aSecond(n + 1, work))
    const [one, ...more] = rates.map(mean)
    const ratios = more.map((rate, n) => `${n + 2} servers ${times(rate / one!)}`).join(', ')
    console.log(
      `${what} over three nodes: one server ${one!.toFixed(0)} a second; ${ratios} that, on the same processors`,
    )
  }

  async function benchEvents() {
    const path = `${campus.addresses[1]}/api/sections/${school.section.id}/live`
    const told = await fetch(path, { headers: at[1]!.headers })
    const reader = told.body!.pipeThrough(new TextDecoderStream()).getReader()
    await reader.read()
    const taken: number[] = []
    for (let n = 0; n < EVENTS; n++) {
      const studentId = n % 2 ? school.mine.id : school.other.id
      const told = reader.read()
      taken.push(
        await timed(async () => {
          await at[0]!.ask('PUT', `/api/students/${studentId}/hold`)
          await told
        }),
      )
    }
    await reader.cancel()
    console.log(
      `event at one server to a screen at another: p50 ${ms(quantile(taken, 0.5))}, p95 ${ms(quantile(taken, 0.95))} (aim: under a second)`,
    )
  }

  async function benchKill() {
    let over = false
    let longest = 0
    const kept: string[] = []
    /** Asks one server after the other until one answers, as a screen does. */
    async function until(work: (visitor: Visitor) => Promise<number>, first: number) {
      const began = Date.now()
      for (let tries = first; ; tries++) {
        const status = await work(at[tries % SERVERS]!).catch(() => 0)
        if (status !== 0 && status < 500) break
        await pause(50)
      }
      longest = Math.max(longest, Date.now() - began)
    }
    const reads = Array.from({ length: READERS }, async (_, n) => {
      while (!over) await until(read, n)
    })
    const writes = Array.from({ length: WRITERS }, async (_, n) => {
      while (!over) {
        const [id, studentId] = [uuid(), nextStudent()]
        await until(one => save(one, id, studentId), n)
        kept.push(id)
      }
    })
    await pause(BEFORE_KILL_MS)
    const before = longest
    campus.nodes[0].running()!.kill('SIGKILL')
    await pause(AFTER_KILL_MS)
    over = true
    await Promise.all([...reads, ...writes])
    const on = openDatabase(campus.nodes[1].ownerUrl)
    const found = await rows<{ n: number }>(
      on,
      `SELECT COUNT(*) AS n FROM coupon WHERE version = 1 AND id IN (${kept.map(() => '?').join(', ')})`,
      kept,
    )
    await on.end()
    console.log(
      `a node killed under ${READERS} readers: ${kept.length - Number(found[0]!.n)} of ${kept.length} acknowledged coupons lost;` +
        ` longest wait ${ms(longest)} (before ${ms(before)})`,
    )
  }

  await benchRate('saves', visitor => save(visitor))
  await benchRate('readings of a queue', read)
  await benchEvents()
  await benchKill()
} finally {
  await campus.close()
}
