import { execFile } from 'node:child_process'
import { mkdtemp, readFile, rm, stat, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { promisify } from 'node:util'
import { gunzipSync, gzipSync } from 'node:zlib'
import { generateIdentity, identityToRecipient } from 'age-encryption'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { v7 as uuid } from 'uuid'
import { aCoupon } from '../../core/coupon/example'
import { closeDatabase, database, rows, run } from '../../server/store/database'
import { openDatabase, type Database } from '../../server/store/nodes'
import { backupTerms, outOfDate, untilNext } from '../../bin/backups.mjs'
import { dumpTo, openDump, restoreFrom } from '../../bin/dump.mjs'
import { wrongTables } from '../../bin/trialRestore.mjs'
import { migrate, pendingMigrations } from '../../server/store/migrate'
import { tableDigests } from '../../server/store/tableDigests'
import type { SchoolState } from '../../contract/people'
import { foundTestSchool, type School } from '../school'

const home = process.env.FUSILIS_DB_URL!
const elsewhere = home.replace(/\/fusilis$/, '/elsewhere')
const node = promisify(execFile)
const script = (name: string, file: string, url = home) =>
  node(process.execPath, [`bin/${name}.mjs`, file], { env: { ...process.env, FUSILIS_DB_URL: url } })

let school: School
let folder: string
let other: Database
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
async function counts(pool: Database): Promise<Record<string, number>> {
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
    expect((await script('backup', file)).stdout).toContain('restored on trial: it holds what the school holds')
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

describe('a restore that goes wrong', () => {
  it.each(Array.from({ length: 20 }, (_, n) => n / 20))('cut at %d of the file, is no restore', async share => {
    const whole = await readFile(`${folder}/all.sql.gz`)
    const cut = `${folder}/cut.sql.gz`
    await writeFile(cut, whole.subarray(0, Math.floor(whole.length * share)))
    // One of its own each: the last one's client may still be at work on its tables.
    const staged = `staged_${Math.round(100 * share)}`
    await database().query(`CREATE OR REPLACE DATABASE ${staged}`)
    await expect(restoreFrom(home.replace(/\/fusilis$/, `/${staged}`), await openDump(cut))).rejects.toThrow()
  })
  it('is none either where whole statements are missing at its end', async () => {
    const sql = gunzipSync(await readFile(`${folder}/all.sql.gz`)).toString('utf8')
    const short = `${folder}/short.sql.gz`
    await writeFile(short, gzipSync(sql.slice(0, sql.lastIndexOf('\nDROP TABLE'))))
    await database().query('CREATE OR REPLACE DATABASE staged')
    await expect(restoreFrom(home.replace(/\/fusilis$/, '/staged'), await openDump(short))).rejects.toThrow('not whole')
  })
  it('leaves the school as it was, to the last row', async () => {
    const now = await tableDigests(other)
    await expect(script('restore', `${folder}/cut.sql.gz`, elsewhere)).rejects.toMatchObject({
      stderr: expect.stringContaining('the school is as it was'),
    })
    expect(await tableDigests(other)).toEqual(now)
  })
  it('forgets what came after an older backup, and erases again who was erased since', async () => {
    const [student] = await rows<{ id: string; name: string }>(
      other,
      'SELECT id, name FROM student WHERE erased_at IS NULL LIMIT 1',
    )
    await run(
      other,
      `UPDATE student SET name = 'erased', erased_at = '2026-11-30', erased_by = 'Maren', erased_why = 'left'
      WHERE id = ?`,
      [student!.id],
    )
    await run(other, `INSERT INTO oven_reading VALUES (UUID(), 'Since', 120, FALSE, 'x', UTC_TIMESTAMP(3))`)
    const { stdout } = await script('restore', `${folder}/all.sql.gz`, elsewhere)
    expect(stdout).toContain('1 who were erased since the backup were erased again')
    expect(await rows(other, 'SELECT name FROM student WHERE id = ?', [student!.id])).toEqual([{ name: 'erased' }])
    expect(await rows(other, `SELECT 1 FROM oven_reading WHERE oven = 'Since'`)).toEqual([])
    const kept = /in the database (\w+),/.exec(stdout)![1]!
    expect(await rows(other, `SELECT 1 FROM ${kept}.oven_reading WHERE oven = 'Since'`)).toHaveLength(1)
    await node(process.execPath, ['bin/restore.mjs', '--forget'], {
      env: { ...process.env, FUSILIS_DB_URL: elsewhere },
    })
    await expect(rows(other, `SELECT 1 FROM ${kept}.oven_reading`)).rejects.toThrow(/exist|[Uu]nknown/)
    // Else whatever is restored there later is restored without that one.
    await run(other, 'UPDATE student SET erased_at = NULL')
  }, 60_000)
})

describe('the digest of a table', () => {
  it('tells one changed letter, and is the same where rows lie otherwise', async () => {
    await other.query(
      'CREATE OR REPLACE TABLE told (id INT PRIMARY KEY, says VARCHAR(40), twice INT AS (id * 2) STORED)',
    )
    const digest = async () => (await tableDigests(other)).told
    await other.query("INSERT INTO told (id, says) VALUES (1, 'close the arc'), (2, NULL)")
    const first = await digest()
    expect(first?.rows).toBe(2)
    await other.query('DELETE FROM told')
    expect(await digest()).toEqual({ rows: 0, digest: '0' })
    await other.query("INSERT INTO told (id, says) VALUES (2, NULL), (1, 'close the arc')")
    expect(await digest()).toEqual(first)
    await other.query("UPDATE told SET says = 'close the arm' WHERE id = 1")
    expect((await digest())?.digest).not.toBe(first?.digest)
    await other.query('DROP TABLE told')
  })
  it('is the same of a wait that ended, restored: what is computed is null there', async () => {
    await run(
      database(),
      `INSERT INTO waiting (id, student_id, since, said_by, ended, how)
      VALUES (?, ?, UTC_TIMESTAMP(3), 'student', UTC_TIMESTAMP(3), 'read')`,
      [uuid(), school.mine.id],
    )
    expect((await script('backup', `${folder}/waited.sql.gz`)).stdout).toContain('it holds what the school holds')
  })
})

describe('a trial restore', () => {
  const table = (count: number, digest = 'a') => ({ rows: count, digest })
  it('finds a table that is not what the school holds; one that was written to meanwhile must only be there', () => {
    const before = { coupon: table(3), trail: table(5), student: table(2) }
    const after = { ...before, trail: table(6, 'b') }
    expect(wrongTables({ before, after, kept: { ...before } })).toEqual([])
    expect(wrongTables({ before, after, kept: { ...after, coupon: table(3, 'other') } })).toEqual(['coupon'])
    expect(wrongTables({ before, after, kept: { coupon: table(3), student: table(1) } })).toEqual(['trail', 'student'])
  })
  it('that does not hold what the school holds is not kept, and not noted as the last good one', async () => {
    const file = `${folder}/wrong.sql.gz`
    const noted = (await school.lead.ask<SchoolState>('GET', '/api/school')).body.lastBackup
    const copy = {
      take: () => Promise.resolve(),
      whole: () => Promise.reject(new Error('Restored, the backup does not hold what the school holds: coupon')),
    }
    await expect(dumpTo(home, file, copy)).rejects.toThrow(/does not hold/)
    await expect(stat(file)).rejects.toThrow(/ENOENT/)
    await expect(stat(`${file}.part`)).rejects.toThrow(/ENOENT/)
    expect((await school.lead.ask<SchoolState>('GET', '/api/school')).body.lastBackup).toBe(noted)
  })
})

describe('an update', () => {
  it('is sealed for a key that this machine does not have, and opened by it elsewhere', async () => {
    // More than a pipe holds: whatever is not read to its end hangs, and is seen here.
    await database().query(
      `INSERT INTO oven_reading (id, oven, celsius, door_open, read_by, read_at)
      SELECT UUID(), CONCAT(MD5(RAND()), seq), 120, FALSE, MD5(RAND()), UTC_TIMESTAMP(3) FROM seq_1_to_20000`,
    )
    const identity = await generateIdentity()
    const keyFile = `${folder}/key.txt`
    await writeFile(keyFile, `# made by age-keygen\n${identity}\n`)
    const file = `${folder}/sealed.sql.gz.age`
    const env = { ...process.env, FUSILIS_DB_URL: home, FUSILIS_BACKUP_KEY: await identityToRecipient(identity) }
    await node(process.execPath, ['bin/backup.mjs', file], { env })
    expect((await readFile(file)).subarray(0, 21).toString()).toBe('age-encryption.org/v1')
    const restore = (keyFile?: string) =>
      node(process.execPath, ['bin/restore.mjs', file], {
        env: { ...process.env, FUSILIS_DB_URL: elsewhere, ...(keyFile && { FUSILIS_BACKUP_KEY_FILE: keyFile }) },
      })
    await expect(restore()).rejects.toMatchObject({ stderr: expect.stringContaining('FUSILIS_BACKUP_KEY_FILE') })
    await writeFile(`${folder}/other.txt`, await generateIdentity())
    await expect(restore(`${folder}/other.txt`)).rejects.toMatchObject({
      stderr: expect.stringContaining('does not open this backup'),
    })
    await restore(keyFile)
    expect(await counts(other)).toEqual(await counts(database()))
    await expect(
      node(process.execPath, ['bin/backup.mjs', file], { env: { ...env, FUSILIS_BACKUP_KEY: 'hunter2' } }),
    ).rejects.toMatchObject({ stderr: expect.stringContaining('begins with age1') })
    await database().query(`DELETE FROM oven_reading WHERE CHAR_LENGTH(oven) > 32`)
  }, 60_000)

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

describe('backups by day and age', () => {
  const now = new Date(2026, 10, 28, 12, 0)

  it('that are older than the school keeps them go; the newest whole one stays, and what is not ours', () => {
    const names = [
      'fusilis-2026-09-01-0230.sql.gz',
      'fusilis-2026-10-28-0230.sql.gz.age',
      'fusilis-2026-10-29-0230.sql.gz',
      'before-update-2026-09-03-1800.sql.gz',
      'before-restore-2026-11-01-1800.sql.gz',
      'our-own-copy-2020-01-01-0000.sql.gz',
      'fusilis-2026-09-01-0230.sql.gz.part',
    ]
    expect(outOfDate(names, 30, now)).toEqual([
      'before-update-2026-09-03-1800.sql.gz',
      'fusilis-2026-09-01-0230.sql.gz',
      'fusilis-2026-10-28-0230.sql.gz.age',
    ])
    expect(outOfDate(['fusilis-2020-01-01-0230.sql.gz'], 30, now)).toEqual([])
  })

  it('are written at the next time the clock shows what is set', () => {
    expect(untilNext('12:30', now)).toBe(30 * 60_000)
    expect(untilNext('12:00', now)).toBe(24 * 3_600_000)
    expect(untilNext('2:30', now)).toBe(14.5 * 3_600_000)
  })

  it('are by the settings, which were checked before anything was started', () => {
    expect(backupTerms({})).toEqual({ at: null, keepDays: null })
    expect(backupTerms({ FUSILIS_BACKUP_AT: '23:59', FUSILIS_BACKUP_DAYS: '60' })).toEqual({
      at: '23:59',
      keepDays: 60,
    })
  })
})
