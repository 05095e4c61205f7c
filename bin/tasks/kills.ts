import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { setTimeout as pause } from 'node:timers/promises'
import { v7 as uuid } from 'uuid'
import { aCoupon } from '../../core/coupon/example'
import { seededRandom } from '../../core/statistics'
import { aTest } from '../../core/welderTest/example'
import { closeDatabase, database as opened, rows } from '../../server/store/database'
import { foundTestSchool } from '../../tests/school'
import { freePort, startMariadb } from '../mariadb.mjs'
import { runTask } from '../run.mjs'
import { serve } from '../serve.mjs'

/** How many save at once, and between which pauses after it comes up the one that is meant is killed, ms. */
const AT_ONCE = 8
const SHORTEST_MS = 40
const LONGEST_MS = 600

const [wanted = '100', seed = '7'] = process.argv.slice(2)
const random = seededRandom(Number(seed))
const dir = await mkdtemp(`${tmpdir()}/fusilis-kills-`)
let database = await startMariadb(dir)
const { url, ownerUrl } = database
process.env.FUSILIS_DB_URL = ownerUrl
await runTask('migrate', [], { env: { FUSILIS_DB_URL: ownerUrl } })
const port = await freePort()
const begin = () => serve({ dir, url, port })
let server = await begin()
const { instructor, mine, other } = await foundTestSchool(server.address)
const coupon = aCoupon({ studentId: mine.id })

const lotId = uuid()
const LOT = { classification: 'E7018', diameterMm: 3.175, makersLot: 'K 1', resistant: false, place: 'oven' }
const MORE_OF_LOT = { receivedOn: '2026-09-01', openedOn: null, rodsInBox: 100, boxPriceCents: null }
await instructor.ask('PUT', `/api/rod-lots/${lotId}`, { ...LOT, ...MORE_OF_LOT })

/** One kind of work: what is sent, and where its rows hold the same. */
interface Work {
  readonly path: string
  /** The bodies under one id, one after the other; each holds the word that its row must hold. */
  readonly bodies: (word: string) => readonly object[]
  /** The rows as they are kept: each with its id and the word that stands there. */
  readonly kept: string
}

const WORK: Readonly<Record<string, Work>> = {
  coupon: {
    path: '/api/coupons',
    // The same again would be the same save.
    bodies: word =>
      [0, 1].map(baseVersion => ({
        baseVersion,
        why: baseVersion === 0 ? '' : 'read again',
        document: { ...coupon, notes: `${word} ${baseVersion}` },
      })),
    kept: "SELECT id, JSON_VALUE(document, '$.notes') AS word FROM coupon",
  },
  test: {
    path: '/api/tests',
    bodies: word =>
      [0, 1].map(baseVersion => ({
        baseVersion,
        document: { ...aTest(mine.id), couponId: uuid(), notes: `${word} ${baseVersion}` },
      })),
    kept: "SELECT id, JSON_VALUE(document, '$.notes') AS word FROM test_record",
  },
  rods: {
    path: '/api/rod-movements',
    bodies: word => [
      {
        ...{ lotId, kind: 'received', count: 4, handfulId: null, studentId: null, booth: null, stubs: null },
        why: `${word} 0`,
      },
    ],
    kept: "SELECT id, why AS word FROM rod_movement WHERE why <> ''",
  },
  attendance: {
    path: '/api/attendance',
    bodies: word => [
      { studentId: mine.id, classDay: '2026-10-06', came: '18:00', left: null, absent: false, why: `${word} 0` },
    ],
    kept: 'SELECT id, why AS word FROM attendance_note',
  },
}

/** What was acknowledged last, by kind and id: the word that must stand there. */
const acknowledged = new Map<string, string>()

/** Saves one thing, and then again what can be saved again, for as long as the server answers. */
async function save(kind: string): Promise<void> {
  const { path, bodies } = WORK[kind]!
  const id = uuid()
  for (const [turn, body] of bodies(id.slice(-12)).entries()) {
    const { status, body: said } = await instructor.ask('PUT', `${path}/${id}`, body)
    if (status >= 500) return
    if (status >= 300) throw new Error(`${kind}: ${status} ${JSON.stringify(said)}`)
    acknowledged.set(`${kind} ${id}`, `${id.slice(-12)} ${turn}`)
  }
}

/** Says that the one student waits, and takes it back: of one who waits already it is the same wait. */
let waits: string | null = null
async function queueUp(): Promise<void> {
  const id = uuid()
  if ((await instructor.ask('PUT', `/api/waiting/${id}`, { studentId: other.id })).status === 200) waits = id
  if ((await instructor.ask('DELETE', `/api/waiting/${waits ?? id}`)).status < 300) waits = null
}

const KINDS = Object.keys(WORK)
const work = (turn: number) =>
  turn % (KINDS.length + 1) < KINDS.length ? save(KINDS[turn % (KINDS.length + 1)]!) : queueUp()

/** Goes on when a server is killed; what the server itself refuses is an error of ours. */
async function workUntil(isOver: () => boolean, first: number): Promise<void> {
  for (let turn = first; !isOver(); turn++)
    await work(turn).catch((error: Error) => {
      if (/: \d{3} /.test(error.message)) refused.push(error.message)
      return pause(20)
    })
}
const refused: string[] = []

const KILLS = {
  server: async () => {
    process.kill(-server.pid!, 'SIGKILL')
    await server.ended
    server = await begin()
  },
  database: async () => {
    database.kill('SIGKILL')
    await database.ended
    database = await database.again()
  },
} as const

/** What a coupon has beside it when it was saved whole: one during which nothing was killed. */
await save('coupon')
const [whole] = await saved()

interface Saved {
  readonly id: string
  readonly version: number
  readonly counted: number
  readonly before: number
}
async function saved(): Promise<Saved[]> {
  return rows<Saved>(
    opened(),
    `SELECT id, version, (SELECT COUNT(*) FROM evidence WHERE coupon_id = coupon.id) AS counted,
      (SELECT COUNT(*) FROM coupon_revision WHERE coupon_id = coupon.id) AS \`before\` FROM coupon`,
    [],
  )
}

for (const [victim, kill] of Object.entries(KILLS)) {
  const before = acknowledged.size
  for (let n = 0; n < Number(wanted); n++) {
    let over = false
    const savers = Array.from({ length: AT_ONCE }, (_, n) => workUntil(() => over, n))
    await pause(SHORTEST_MS + random.uniform() * (LONGEST_MS - SHORTEST_MS))
    await kill()
    over = true
    await Promise.all(savers)
  }
  console.log(`${victim} killed ${wanted} times: ${acknowledged.size - before} saves acknowledged`)
}

await closeDatabase()
/** How much that was acknowledged is gone, or holds something else. */
let wrong = 0
for (const [kind, { kept }] of Object.entries(WORK)) {
  const words = new Map((await rows<{ id: string; word: string }>(opened(), kept, [])).map(row => [row.id, row.word]))
  const own = [...acknowledged].filter(([key]) => key.startsWith(`${kind} `))
  // A later save that was never acknowledged may have arrived all the same.
  const lost = own.filter(([key, word]) => !standsAfter(words.get(key.slice(kind.length + 1)), word))
  wrong += lost.length
  console.log(`${kind}: ${own.length} acknowledged, lost or changed: ${lost.length}`)
}
function standsAfter(found: string | undefined, word: string): boolean {
  const [said = '', turn = ''] = word.split(' ')
  const [kept, keptTurn = ''] = (found ?? '').split(' ')
  return kept === said && keptTurn >= turn
}
const half = (await saved()).filter(
  row => row.counted !== whole!.counted || row.before !== whole!.before - (whole!.version - row.version),
)
const [{ twice }] = (await rows<{ twice: number }>(
  opened(),
  'SELECT COUNT(*) - COUNT(DISTINCT student_id) AS twice FROM waiting WHERE ended IS NULL',
  [],
)) as [{ twice: number }]
console.log(`coupons saved by half: ${half.length}; students who wait twice: ${twice}; refused: ${refused.length}`)
for (const one of refused.slice(0, 3)) console.log(`  ${one}`)
await closeDatabase()
await server.stop()
await database.stop()
await rm(dir, { recursive: true, force: true })
if (wrong + half.length + twice + refused.length > 0) process.exitCode = 1
