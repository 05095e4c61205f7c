import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { setTimeout as pause } from 'node:timers/promises'
import { v7 as uuid } from 'uuid'
import type { SavedCoupon } from '../../contract/coupon'
import { aCoupon } from '../../core/coupon/example'
import { seededRandom } from '../../core/statistics'
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
const { instructor, mine } = await foundTestSchool(server.address)
const coupon = aCoupon({ studentId: mine.id })

/** Saved versions that were acknowledged, by coupon. */
const acknowledged = new Map<string, number>()

/** Saves a coupon, and then saves it again, for as long as the server answers. */
async function save(): Promise<void> {
  const id = uuid()
  for (const baseVersion of [0, 1]) {
    // The same again would be the same save.
    const why = baseVersion === 0 ? '' : 'read again'
    const body = { baseVersion, why, document: { ...coupon, notes: why } }
    const { status, body: kept } = await instructor.ask<SavedCoupon>('PUT', `/api/coupons/${id}`, body)
    if (status !== 200) return
    acknowledged.set(id, kept.version)
  }
}

async function saveUntil(isOver: () => boolean): Promise<void> {
  while (!isOver()) await save().catch(() => pause(20))
}

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

/** What a coupon has beside it when it was saved whole: one that nobody was killed over. */
await save()
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
    const savers = Array.from({ length: AT_ONCE }, () => saveUntil(() => over))
    await pause(SHORTEST_MS + random.uniform() * (LONGEST_MS - SHORTEST_MS))
    await kill()
    over = true
    await Promise.all(savers)
  }
  console.log(`${victim} killed ${wanted} times: ${acknowledged.size - before} coupons acknowledged`)
}

await closeDatabase()
const found = new Map((await saved()).map(row => [row.id, row] as const))
const lost = [...acknowledged].filter(([id, version]) => (found.get(id)?.version ?? 0) < version)
const half = [...found.values()].filter(
  row => row.counted !== whole!.counted || row.before !== whole!.before - (whole!.version - row.version),
)
console.log(`acknowledged and lost: ${lost.length}; saved by half: ${half.length}; of ${found.size}`)
await closeDatabase()
await server.stop()
await database.stop()
await rm(dir, { recursive: true, force: true })
if (lost.length + half.length > 0) process.exitCode = 1
