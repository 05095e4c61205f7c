import { execFileSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { pathToFileURL } from 'node:url'
import { afterAll, describe, expect, it } from 'vitest'
import { closeDatabase, database, rows, run } from '../../server/store/database'
import { EARLIER, RENAMED } from '../../server/store/earlierMigrations'
import { openDatabase, type Database } from '../../server/store/nodes'
import { migrate, readMigrations } from '../../server/store/migrate'

const home = process.env.FUSILIS_DB_URL!
const FOLDER = new URL('../../server/migrations/', import.meta.url)
const AS_THEY_STOOD = new URL('./earlierMigrations/', import.meta.url)
const pools: Database[] = []
afterAll(async () => {
  for (const pool of pools) await pool.end()
  await closeDatabase()
})

async function emptyDatabase(name: string): Promise<Database> {
  await database().query(`DROP DATABASE IF EXISTS ${name}`)
  await database().query(`CREATE DATABASE ${name}`)
  const pool = openDatabase(home.replace(/\/fusilis$/, `/${name}`))
  pools.push(pool)
  return pool
}

const all = (await readdir(FOLDER)).sort()

/** Every column and index of a database, but for the names that the server gave to keys. */
const shape = async (pool: Database) => [
  await rows(
    pool,
    `SELECT table_name, column_name, column_type, is_nullable, column_key, extra FROM information_schema.columns
    WHERE table_schema = DATABASE() ORDER BY table_name, column_name`,
  ),
  await rows(
    pool,
    `SELECT table_name, index_name, seq_in_index, column_name FROM information_schema.statistics
    WHERE table_schema = DATABASE() ORDER BY table_name, index_name, seq_in_index`,
  ),
]

/** Makes a database as an earlier program did: the steps to one of them, some as they stood then. */
async function madeBy(name: string, upTo: string, earlier: Readonly<Record<string, string>>): Promise<Database> {
  const pool = await emptyDatabase(name)
  await pool.query('CREATE TABLE migration (name VARCHAR(100) NOT NULL PRIMARY KEY)')
  for (const file of all.filter(one => one <= upTo)) {
    const sql = await readFile(earlier[file] ? new URL(earlier[file], AS_THEY_STOOD) : new URL(file, FOLDER), 'utf8')
    for (const statement of sql.split(/;\s*$/m).filter(part => part.trim())) await pool.query(statement)
    await run(pool, 'INSERT INTO migration (name) VALUES (?)', [file])
  }
  return pool
}

it('two servers at once bring an empty database up to date, each step run once', async () => {
  const pool = await emptyDatabase('twice')
  const done = await Promise.all([migrate(pool), migrate(pool)])
  expect(done.map(names => names.length).sort((a, b) => a - b)).toEqual([0, all.length])
  expect((await rows<{ name: string }>(pool, 'SELECT name FROM migration ORDER BY name')).map(row => row.name)).toEqual(
    all,
  )
})

describe('a school made by an earlier program comes to the same tables', () => {
  it.each([
    ['of the first coupons', '0002-coupons.sql', { '0002-coupons.sql': '0002-coupons.first.sql' }],
    ['of the first progress', '0008-progress.sql', { '0008-progress.sql': '0008-progress.first.sql' }],
    ['of the second progress', '0008-progress.sql', { '0008-progress.sql': '0008-progress.second.sql' }],
    [
      'of the first tests, and all before it as first made',
      '0009-tests.sql',
      {
        '0002-coupons.sql': '0002-coupons.first.sql',
        '0008-progress.sql': '0008-progress.first.sql',
        '0009-tests.sql': '0009-tests.first.sql',
      },
    ],
    ['of yesterday', '0009-tests.sql', {}],
    ['with odds by stage, of one kind', '0011-odds-that-come-true.sql', {}],
  ])('%s', async (_, upTo, earlier) => {
    const fresh = await emptyDatabase('fresh')
    await migrate(fresh)
    const pool = await madeBy('earlier', upTo, earlier as Record<string, string>)
    await migrate(pool)
    const [columns, indices] = await shape(pool)
    const [freshColumns, freshIndices] = await shape(fresh)
    expect(columns).toEqual(freshColumns)
    expect(indices).toEqual(freshIndices)
  })
})

/** The migrations of each commit that changed one, oldest first, where the history is at hand. */
function statesInHistory(): { commit: string; files: { name: string; sql: string }[] }[] {
  const git = (...asked: string[]) => execFileSync('git', asked, { encoding: 'utf8', maxBuffer: 1 << 26 })
  if (!existsSync(new URL('../../.git', import.meta.url))) return []
  const commits = git('log', '--reverse', '--format=%h', '--', 'server/migrations').trim().split('\n')
  return commits.map(commit => ({
    commit,
    files: git('ls-tree', '--name-only', commit, 'server/migrations/')
      .trim()
      .split('\n')
      .map(path => ({ name: path.split('/').at(-1)!, sql: git('show', `${commit}:${path}`) })),
  }))
}

const checksumOf = (sql: string) => createHash('sha256').update(sql).digest('hex')

describe('a school made at any commit there ever was', () => {
  const now = new Map(readdirSync(FOLDER).map(name => [name, readFileSync(new URL(name, FOLDER), 'utf8')]))
  const states = statesInHistory()
  // A state whose every file stands today as it stood then is one that was cut off: a test below takes up those.
  const changed = states.filter(({ files }) => files.some(({ name, sql }) => now.get(name) !== sql))

  it('knows every migration that ever was, by name and by what stood in it', () => {
    const unknown = states.flatMap(({ commit, files }) =>
      files.flatMap(({ name, sql }) => {
        const checksum = checksumOf(sql)
        const known =
          now.get(name) === sql ||
          EARLIER[name]?.checksums.includes(checksum) ||
          RENAMED[name]?.checksums.includes(checksum)
        return known ? [] : [`${commit} ${name}`]
      }),
    )
    // Whoever edits a migration that has landed breaks every school made since: write the next one instead.
    expect(unknown).toEqual([])
  })

  it('comes to the same tables, column by column', async () => {
    const fresh = await emptyDatabase('fresh')
    await migrate(fresh)
    const [freshColumns, freshIndices] = await shape(fresh)
    for (const { commit, files } of changed) {
      const pool = await emptyDatabase('made_then')
      await pool.query('CREATE TABLE migration (name VARCHAR(100) NOT NULL PRIMARY KEY, checksum CHAR(64) NULL)')
      for (const { name, sql } of files) {
        for (const statement of sql.split(/;[ \t]*$/m).filter(part => part.trim())) await pool.query(statement)
        await run(pool, 'INSERT INTO migration (name, checksum) VALUES (?, ?)', [name, checksumOf(sql)])
      }
      await migrate(pool)
      const [columns, indices] = await shape(pool)
      expect({ commit, columns, indices }).toEqual({ commit, columns: freshColumns, indices: freshIndices })
      await migrate(pool)
    }
  }, 180_000)
})

it('what was said of a test’s stages stays through the update', async () => {
  const pool = await madeBy('told', '0011-odds-that-come-true.sql', {})
  const id = '01900000-0000-7000-8000-000000000001'
  const connection = await pool.getConnection()
  await connection.query('SET SESSION FOREIGN_KEY_CHECKS = 0')
  await connection.query(
    `INSERT INTO test_record SET id = ?, student_id = ?, book_id = 'structural', book_version = 0, position = '3G',
      piece_name = '3G plate', classification = 'E7018', processes = 'SMAW', test_day = '2026-11-20', state = 'planned',
      odds = 0.7, said_visual = 0.8, said_bends = 0.875, bent = 0, opened = 0, version = 1, document = '{}',
      saved_at = '2026-11-20', saved_by = ?`,
    [id, id, id],
  )
  connection.release()
  await migrate(pool)
  expect(await rows(pool, 'SELECT coupons_visual, coupons_bends FROM test_record')).toEqual([
    { coupons_visual: 0.8, coupons_bends: 0.875 },
  ])
})

it('every table has a key of its own', async () => {
  const fresh = await emptyDatabase('keyed')
  await migrate(fresh)
  const bare = await rows(
    fresh,
    `SELECT table_name FROM information_schema.tables AS own WHERE table_schema = DATABASE() AND NOT EXISTS (
      SELECT 1 FROM information_schema.statistics AS keyed WHERE keyed.table_schema = DATABASE()
        AND keyed.table_name = own.table_name AND keyed.index_name = 'PRIMARY')`,
  )
  expect(bare).toEqual([])
})

describe('an update that was cut off', () => {
  it('goes on where it stopped, whether or not the last step was noted', async () => {
    const fresh = await emptyDatabase('fresh')
    await migrate(fresh)
    const steps = (await readMigrations(FOLDER)).at(-1)!
    for (const [cut, noted] of [
      [1, false],
      [4, true],
      [steps.statements.length, false],
    ] as const) {
      const pool = await madeBy('cut', all.at(-2)!, {})
      await pool.query(
        'CREATE TABLE migration_step (name VARCHAR(100), step SMALLINT UNSIGNED, PRIMARY KEY (name, step))',
      )
      for (const [index, statement] of steps.statements.slice(0, cut).entries()) {
        await pool.query(statement)
        if (noted || index < cut - 1)
          await run(pool, 'INSERT INTO migration_step (name, step) VALUES (?, ?)', [steps.name, index + 1])
      }
      expect(await migrate(pool)).toEqual([steps.name])
      expect((await shape(pool))[0]).toEqual((await shape(fresh))[0])
      expect(await rows(pool, 'SELECT * FROM migration_step')).toEqual([])
    }
  })
  it('each step of the newest may be run again', async () => {
    const pool = await emptyDatabase('again')
    await migrate(pool)
    for (const statement of (await readMigrations(FOLDER)).at(-1)!.statements) await pool.query(statement)
  })
})

describe('a history that does not fit', () => {
  it('of a newer program is refused, with what to do', async () => {
    const pool = await emptyDatabase('newer')
    await migrate(pool)
    await run(pool, 'INSERT INTO migration (name) VALUES (?)', ['0999-tomorrow.sql'])
    await expect(migrate(pool)).rejects.toThrow(/newer Fusilis \(0999-tomorrow\.sql\).*restore a backup/)
  })
  it('a migration that was changed after it was run is refused by name', async () => {
    const pool = await emptyDatabase('changed')
    await migrate(pool)
    await run(pool, 'UPDATE migration SET checksum = ? WHERE name = ?', ['0'.repeat(64), '0003-pieces.sql'])
    await expect(migrate(pool)).rejects.toThrow(/0003-pieces\.sql is not the one/)
  })
})

it('a migration is known by all that stands in its file', async () => {
  const dir = await mkdtemp(`${tmpdir()}/fusilis-migrations-`)
  const folder = pathToFileURL(`${dir}/`)
  await writeFile(`${dir}/0001-a.sql`, '-- one\nSELECT 1;\nSELECT 2;\n')
  const [first] = await readMigrations(folder)
  await writeFile(`${dir}/0001-a.sql`, '-- two\nSELECT 1;\nSELECT 2;\n')
  const [second] = await readMigrations(folder)
  expect(first!.statements).toHaveLength(2)
  expect(second!.checksum).not.toBe(first!.checksum)
  await rm(dir, { recursive: true })
})
