import { afterAll, beforeAll, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { createDelivery } from '../../app/sync/delivery'
import { keyOf, type Intent, type MadeIntent } from '../../app/sync/intents'
import { RequestFailure } from '../../app/sync/requestFailure'
import { aCoupon } from '../../core/coupon/example'
import { seededRandom } from '../../core/statistics'
import type { FloorQueue } from '../../contract/floor'
import type { Section, Student } from '../../contract/people'
import type { Problem } from '../../contract/problem'
import type { RodRoom } from '../../contract/rodRoom'
import { WAITED } from '../../contract/waited'
import { closeDatabase, database, rows } from '../../server/store/database'
import { addClass, foundTestSchool, type School } from '../school'

/**
 * A class on three tablets without a network, then with a bad one: requests are lost, answers are lost, some arrive
 * twice, in whatever order. Nothing may be lost by it, and nothing counted twice.
 */
const STUDENTS = 20
const COUPONS = 200
const READY = 40
const DRAWN = 60
const BACK = 30
const RECEIVED = 10
/** Of what is sent, so much never arrives, and so much arrives while its answer does not. */
const LOST = 0.2
const UNANSWERED = 0.2
const TWICE = 0.1

const random = seededRandom(20)
const below = (most: number) => Math.floor(most * random.uniform())
const away = () => new RequestFailure(0, 'The server does not answer.')

let school: School
let section: Section
let students: Student[]
const lotId = uuid()
beforeAll(async () => {
  school = await foundTestSchool()
  ;({ section } = await addClass(school, 'Evening U three tablets', 'Wella Moon'))
  const roster = Array.from({ length: STUDENTS - 1 }, (_, n) => ({
    ...{ name: `Tablet ${n}`, hand: 'right', startDate: '2026-09-01', booth: null },
  }))
  await school.lead.ask('POST', '/api/students/import', { sectionId: section.id, students: roster })
  students = (await school.lead.ask<Student[]>('GET', `/api/sections/${section.id}/students`)).body
  const lot = { classification: 'E7018', diameterMm: 3.175, makersLot: 'T 3', resistant: false, place: 'oven' }
  const more = { receivedOn: '2026-09-01', openedOn: null, rodsInBox: 100, boxPriceCents: null }
  await school.lead.ask('PUT', `/api/rod-lots/${lotId}`, { ...lot, ...more })
})
afterAll(closeDatabase)

let online = false
/** A tablet's own way to the server, good or bad. */
async function ask(method: string, path: string, { body, madeAt }: Pick<Intent, 'body' | 'madeAt'>): Promise<unknown> {
  if (!online || random.uniform() < LOST) throw away()
  const send = () =>
    school.instructor.ask<Problem>(method, path, body ?? undefined, {
      [WAITED]: String(Date.now() - Date.parse(madeAt)),
    })
  const [first] = await Promise.all(random.uniform() < TWICE ? [send(), send()] : [send()])
  if (random.uniform() < UNANSWERED) throw away()
  if (first!.status >= 300) throw new RequestFailure(first!.status, first!.body.detail ?? '', [], first!.body)
  return first!.body
}

/** A tablet: what it keeps outlives its page. */
async function aTablet(name: string) {
  const held = new Map<string, Intent>()
  const seen = { waiting: [] as readonly Intent[] }
  const delivery = createDelivery({
    shelf: {
      all: () => Promise.resolve([...held.values()]),
      keep: intent => Promise.resolve(void held.set(keyOf(intent), intent)),
      drop: key => Promise.resolve(void held.delete(key)),
    },
    ask,
    changed: waiting => Object.assign(seen, { waiting }),
    saved: () => {},
    now: () => new Date(),
  })
  await delivery.takeUp(name)
  return { ...delivery, seen }
}

const made = (kind: MadeIntent['kind'], id: string, body: unknown): MadeIntent => ({
  ...{ kind, id, body, student: '', about: '' },
})
const rodLine = (kind: string, more: object) => ({
  ...{ lotId, kind, count: 0, handfulId: null, studentId: null, booth: null, stubs: null, why: '' },
  ...more,
})

it('200 coupons, 40 who are ready and 100 lines of rods: none lost, none doubled, all three at one', async () => {
  const tablets = await Promise.all(['one', 'two', 'three'].map(aTablet))
  const anyTablet = () => tablets[below(3)]!
  const anyStudent = () => students[below(students.length)]!.id
  const coupons = Array.from({ length: COUPONS }, () => uuid())
  const drawn = Array.from({ length: DRAWN }, () => ({ id: uuid(), tablet: anyTablet() }))
  const work: (() => Promise<unknown>)[] = [
    ...coupons.map(id => () => {
      const document = { ...aCoupon({}), studentId: anyStudent() }
      return anyTablet().send(made('coupon', id, { baseVersion: 0, document, why: '' }))
    }),
    ...Array.from({ length: READY }, () => () => anyTablet().send(made('ready', uuid(), { studentId: anyStudent() }))),
    ...Array.from(
      { length: RECEIVED },
      () => () => anyTablet().send(made('rods', uuid(), rodLine('received', { count: 50 }))),
    ),
  ]
  const draws = drawn.map(
    ({ id, tablet }) =>
      () =>
        tablet.send(made('rods', id, rodLine('issued', { count: 4, studentId: anyStudent() }))),
  )
  const brought = drawn.slice(0, BACK).map(
    ({ id, tablet }) =>
      () =>
        tablet.send(made('rods', uuid(), rodLine('returned', { count: 2, handfulId: id, stubs: { 'to 2': 2 } }))),
  )
  // What was drawn comes back after it was drawn; all else in any order.
  for (const act of [...work, ...draws].sort(() => random.uniform() - 0.5)) await act()
  for (const act of brought) await act()
  expect(tablets.reduce((sum, one) => sum + one.seen.waiting.length, 0)).toBe(COUPONS + READY + DRAWN + BACK + RECEIVED)

  online = true
  const waits = () => tablets.some(one => one.seen.waiting.length > 0)
  for (let round = 0; round < 2000 && waits(); round++) await anyTablet().retry()
  expect(tablets.map(one => one.seen.waiting.filter(intent => intent.refused !== null))).toEqual([[], [], []])
  expect(waits()).toBe(false)

  const among = coupons.map(() => '?').join(', ')
  const kept = await rows<{ id: string; version: number }>(
    database(),
    `SELECT id, version FROM coupon WHERE id IN (${among})`,
    coupons,
  )
  expect(kept.map(row => row.id).sort()).toEqual([...coupons].sort())
  expect(kept.every(row => row.version === 1)).toBe(true)

  const room = (await school.instructor.ask<RodRoom>('GET', '/api/rods')).body
  const lines = room.movements.filter(one => one.lotId === lotId)
  expect(new Set(lines.map(one => one.id)).size).toBe(DRAWN + BACK + RECEIVED)
  expect(lines).toHaveLength(DRAWN + BACK + RECEIVED)
  expect(room.stock[lotId]).toBe(50 * RECEIVED - 4 * DRAWN + 2 * BACK)

  const queue = (await school.instructor.ask<FloorQueue>('GET', `/api/sections/${section.id}/queue`)).body
  const waiting = queue.waiting.map(one => one.studentId)
  expect(new Set(waiting).size).toBe(waiting.length)
}, 120_000)
