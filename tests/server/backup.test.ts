import { execFile } from 'node:child_process'
import { mkdtemp, readFile, rm, stat, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { promisify } from 'node:util'
import { gunzipSync, gzipSync } from 'node:zlib'
import type { Pool } from 'mysql2/promise'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { aCoupon } from '../../core/coupon/example'
import { closeDatabase, database, openDatabase, rows, run } from '../../server/store/database'
import { migrate, pendingMigrations } from '../../server/store/migrate'
import type { SchoolState } from '../../contract/people'
import { foundTestSchool, type School } from '../school'

const home = process.env.FUSILIS_DB_URL!
const elsewhere = home.replace(/\/fusilis$/, '/elsewhere')
const node = promisify(execFile)
const script = (name: string, file: string, url = home) =>
  node(process.execPath, [`bin/${name}.mjs`, file], { env: { ...process.env, FUSILIS_DB_URL: url } })

let school: School
let folder: string
let other: Pool
beforeAll(async () => {
  school = await foundTestSchool()
  folder = await mkdtemp(`${tmpdir()}/fusilis-backup-`)
  await database().query('DROP DATABASE IF EXISTS elsewhere')
  await database().query('CREATE DATABASE elsewhere')
  other = openDatabase(elsewhere)
})
afterAll(async () => {
  await other.end()
  await closeDatabase()
  await rm(folder, { recursive: true, force: true })
})

/** Every table with how many rows it has, but for the turns of sign-ins, which come and go. */
async function counts(pool: Pool): Promise<Record<string, number>> {
  const tables = await rows<{ name: string }>(
    pool,
    'SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() ORDER BY table_name',
  )
  const counted = await Promise.all(
    tables
      .filter(({ name }) => name !== 'sign_in_turn')
      .map(async ({ name }) => {
        const [row] = await rows<{ n: number }>(pool, `SELECT COUNT(*) AS n FROM \`${name}\``)
        return [name, row!.n] as const
      }),
  )
  return Object.fromEntries(counted)
}

describe('a backup', () => {
  it('holds everything, and is put back on another machine as it was, letters and all', async () => {
    const id = uuid()
    const document = { ...aCoupon({ studentId: school.mine.id }), notes: 'Restarts — “high”, 3⁄32 in, ÅØß 溶接' }
    expect((await school.lead.ask('PUT', `/api/coupons/${id}`, { baseVersion: 0, why: '', document })).status).toBe(200)
    const file = `${folder}/all.sql.gz`
    const began = Date.now()
    await script('backup', file)
    const { lastBackup } = (await school.lead.ask<SchoolState>('GET', '/api/school')).body
    expect(Date.parse(lastBackup!)).toBeGreaterThanOrEqual(began)
    expect((await stat(file)).mode & 0o077).toBe(0)
    expect(gunzipSync(await readFile(file)).toString('utf8')).toMatch(/-- Dump completed/)
    await script('restore', file, elsewhere)
    expect(await counts(other)).toEqual(await counts(database()))
    const [kept] = await rows<{ notes: string }>(
      other,
      `SELECT JSON_VALUE(document, '$.notes') AS notes FROM coupon WHERE id = ?`,
      [id],
    )
    expect(kept!.notes).toBe(document.notes)
  })
  it('put back over something keeps what was there in a file of its own', async () => {
    await run(other, `UPDATE school SET name = 'Before'`)
    const { stdout } = await script('restore', `${folder}/all.sql.gz`, elsewhere)
    const before = /What was there before is in (\S+)/.exec(stdout)![1]!
    expect(gunzipSync(await readFile(before)).toString('utf8')).toContain("'Before'")
    expect((await rows<{ name: string }>(other, 'SELECT name FROM school'))[0]!.name).not.toBe('Before')
    await rm(before)
  })
  it('that is not there, or is no backup, changes nothing and says so', async () => {
    const now = await counts(other)
    await expect(script('restore', `${folder}/none.sql.gz`, elsewhere)).rejects.toMatchObject({
      stderr: expect.stringMatching(/There is no .*none\.sql\.gz/),
    })
    await writeFile(`${folder}/torn.sql.gz`, gzipSync('this is no SQL;').subarray(0, 20))
    await expect(script('restore', `${folder}/torn.sql.gz`, elsewhere)).rejects.toThrow()
    expect(await counts(other)).toEqual(now)
  })
})

describe('an update', () => {
  it('is known beforehand by what it would change; a new school has nothing to lose', async () => {
    await database().query('DROP DATABASE IF EXISTS fresh')
    await database().query('CREATE DATABASE fresh')
    const fresh = openDatabase(home.replace(/\/fusilis$/, '/fresh'))
    expect(await pendingMigrations(fresh)).toEqual([])
    await migrate(fresh)
    expect(await pendingMigrations(fresh)).toEqual([])
    await run(fresh, `DELETE FROM migration WHERE name = '0011-odds-that-come-true.sql'`)
    expect(await pendingMigrations(fresh)).toEqual(['0011-odds-that-come-true.sql'])
    await fresh.end()
  })
})
