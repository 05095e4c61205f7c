import { setTimeout as pause } from 'node:timers/promises'
import { v7 as uuid } from 'uuid'
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { aCoupon } from '../../core/coupon/example'
import type { Account } from '../../contract/people'
import type { Problem } from '../../contract/problem'
import { rows } from '../../server/store/database'
import { openDatabase, type Database } from '../../server/store/nodes'
import { addInstructor, foundTestSchool, type School } from '../school'
import { Visitor } from '../session'
import { openCampus, type Campus } from './campus'

/** What must hold when a school is served by more than one server over more than one database node. */
let campus: Campus
let school: School
/** The same instructor at each of the servers. */
let at: readonly [Visitor, Visitor]
const databases: Database[] = []

const couponOf = (studentId: string) => ({ baseVersion: 0, document: { ...aCoupon({}), studentId }, why: '' })
const save = (visitor: Visitor, id: string) =>
  visitor.ask<Problem>('PUT', `/api/coupons/${id}`, couponOf(school.mine.id))

/** Saves as a tablet does: asks the one server, then the other, by the same id, until one answers. */
async function saveSomewhere(id: string, first: number): Promise<void> {
  for (let tries = 0; tries < 200; tries++) {
    const visitor = new Visitor(campus.addresses[(first + tries) % 2]!)
    visitor.takeCookie(at[0])
    const status = await save(visitor, id).then(
      answer => answer.status,
      () => 0,
    )
    if (status === 200) return
    if (status !== 0 && status !== 503) throw new Error(`answered ${status}`)
    await pause(100)
  }
  throw new Error('no server took it')
}

/** How many of these coupons a node holds, each once. */
async function heldBy(ownerUrl: string, ids: readonly string[]): Promise<number> {
  const on = openDatabase(ownerUrl)
  try {
    const among = ids.map(() => '?').join(', ')
    const found = await rows<{ version: number }>(on, `SELECT version FROM coupon WHERE id IN (${among})`, ids)
    return found.filter(row => row.version === 1).length
  } finally {
    await on.end()
  }
}

/** A class that saves at both servers until what happens meanwhile is over. */
async function whileSaving(happens: () => Promise<unknown>): Promise<string[]> {
  const acknowledged: string[] = []
  let over = false
  const savers = Array.from({ length: 6 }, async (_, n) => {
    while (!over) {
      const id = uuid()
      await saveSomewhere(id, n % 2)
      acknowledged.push(id)
    }
  })
  const done = happens().finally(() => (over = true))
  await Promise.all([done, ...savers])
  return acknowledged
}

beforeAll(async () => {
  campus = await openCampus()
  school = await foundTestSchool(campus.addresses[0])
  const other = new Visitor(campus.addresses[1]!)
  other.takeCookie(school.instructor)
  at = [school.instructor, other]
}, 180_000)
afterAll(async () => {
  await Promise.all(databases.map(one => one.end()))
  await campus?.close()
}, 60_000)

describe('two servers over two nodes', () => {
  it('brought an empty database up to date between them, each step once', async () => {
    const on = openDatabase(campus.nodes[2].ownerUrl)
    databases.push(on)
    const found = await rows<{ name: string }>(on, 'SELECT name FROM migration')
    expect(found.length).toBe(new Set(found.map(row => row.name)).size)
    expect(found.length).toBeGreaterThan(30)
    expect(await rows(on, 'SELECT * FROM migration_step')).toEqual([])
  })

  it('show at the one what was just saved at the other', async () => {
    for (let n = 0; n < 30; n++) {
      const id = uuid()
      expect((await save(at[n % 2]!, id)).status).toBe(200)
      expect((await at[(n + 1) % 2]!.ask('GET', `/api/coupons/${id}`)).status).toBe(200)
    }
  })

  it('tell a screen at the one of what happened at the other', async () => {
    const told = await fetch(`${campus.addresses[1]}/api/sections/${school.section.id}/live`, {
      headers: at[1].headers,
    })
    const reader = told.body!.pipeThrough(new TextDecoderStream()).getReader()
    expect(told.status).toBe(200)
    let said = ''
    const serials = () => [...said.matchAll(/id: (\d+)\n/g)].map(match => Number(match[1]))
    const hear = async (count: number) => {
      while (serials().length < count) {
        const { value, done } = await reader.read()
        // A stream that has ended answers at once, for ever: no time limit would interrupt this loop.
        if (done) throw new Error(`the server ended the stream after "${said}"`)
        said += value
      }
    }
    await hear(1)
    await at[0].ask('PUT', `/api/waiting/${uuid()}`, { studentId: school.other.id })
    await hear(2)
    await reader.cancel()
    expect(serials()[1]).toBeGreaterThan(serials()[0]!)
  })

  it('leave a school one lead, whoever demotes whom at the same moment', async () => {
    const second = await addInstructor(school, 'second-lead')
    const [first] = (await school.lead.ask<Account[]>('GET', '/api/accounts')).body.filter(one => one.role === 'lead')
    const fields = (of: Account, role: string) => ({
      ...{ name: of.name, username: of.username, studentId: null, sectionIds: null, active: true },
      role,
    })
    await school.lead.ask('PUT', `/api/accounts/${second.id}`, fields(second, 'lead'))
    const leads = [school.lead, await new Visitor(campus.addresses[1]!).takeUp('second-lead')]
    for (let round = 0; round < 5; round++) {
      const answers = await Promise.all([
        leads[0]!.ask('PUT', `/api/accounts/${second.id}`, fields(second, 'instructor')),
        leads[1]!.ask('PUT', `/api/accounts/${first!.id}`, fields(first!, 'instructor')),
      ])
      expect(answers.filter(answer => answer.status < 300).length).toBeLessThanOrEqual(1)
      const on = openDatabase(campus.nodes[2].ownerUrl)
      const left = await rows<{ id: string }>(on, `SELECT id FROM account WHERE role = 'lead' AND active`)
      expect(left.length).toBeGreaterThanOrEqual(1)
      await on.query(`UPDATE account SET role = 'lead' WHERE id IN (?)`, [[first!.id, second.id]])
      await on.end()
    }
  })

  it('take one handful of rods back once', async () => {
    const lotId = uuid()
    const lot = { classification: 'E7018', diameterMm: 3.175, makersLot: 'C 1', resistant: false, place: 'oven' }
    const more = { receivedOn: '2026-09-01', openedOn: null, rodsInBox: 100, boxPriceCents: null }
    await at[0].ask('PUT', `/api/rod-lots/${lotId}`, { ...lot, ...more })
    const line = (kind: string, fields: object) => ({
      ...{ lotId, kind, count: 0, handfulId: null, studentId: null, booth: null, stubs: null, why: '' },
      ...fields,
    })
    await at[0].ask('PUT', `/api/rod-movements/${uuid()}`, line('received', { count: 100 }))
    for (let round = 0; round < 5; round++) {
      const handfulId = uuid()
      const drawn = line('issued', { count: 4, studentId: school.mine.id })
      expect((await at[0].ask('PUT', `/api/rod-movements/${handfulId}`, drawn)).status).toBeLessThan(300)
      const back = line('returned', { count: 4, handfulId, stubs: {} })
      const answers = await Promise.all(at.map(one => one.ask('PUT', `/api/rod-movements/${uuid()}`, back)))
      expect(answers.filter(answer => answer.status < 300)).toHaveLength(1)
    }
  })
})

describe('what was acknowledged is kept', () => {
  it('when a node is killed, and by that node when it is back', async () => {
    const [first] = campus.nodes
    const kept = await whileSaving(async () => {
      await pause(1_000)
      first.running()!.kill('SIGKILL')
      await pause(8_000)
    })
    expect(kept.length).toBeGreaterThan(20)
    expect(await heldBy(campus.nodes[1].ownerUrl, kept)).toBe(kept.length)
    await first.begin()
    expect(await heldBy(first.ownerUrl, kept)).toBe(kept.length)
  }, 90_000)

  it('when a node is frozen: the servers leave it, and it is taken in again', async () => {
    const [, second] = campus.nodes
    const { pid } = second.running()!
    const kept = await whileSaving(async () => {
      await pause(500)
      process.kill(pid!, 'SIGSTOP')
      await pause(9_000)
      process.kill(pid!, 'SIGCONT')
    })
    expect(kept.length).toBeGreaterThan(20)
    expect(await heldBy(campus.nodes[0].ownerUrl, kept)).toBe(kept.length)
    await vi.waitFor(async () => expect(await heldBy(second.ownerUrl, kept)).toBe(kept.length), {
      timeout: 40_000,
      interval: 500,
    })
  }, 90_000)

  it('when a server is killed: the other goes on, and a new one takes its place', async () => {
    const kept = await whileSaving(async () => {
      await pause(500)
      campus.kill(1)
      await pause(2_000)
      campus.addresses[1] = await campus.begin(1)
      await pause(500)
    })
    expect(kept.length).toBeGreaterThan(20)
    expect(await heldBy(campus.nodes[2].ownerUrl, kept)).toBe(kept.length)
  }, 60_000)
})
