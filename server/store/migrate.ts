import { createHash } from 'node:crypto'
import { readdir, readFile } from 'node:fs/promises'
import { setTimeout as pause } from 'node:timers/promises'
import type { PoolConnection } from 'mysql2/promise'
import { Umzug, type UmzugStorage } from 'umzug'
import { v7 as uuid } from 'uuid'
import { rows, run } from './database'
import { EARLIER, RENAMED } from './earlierMigrations'
import { giveLeaseBack, prepareLeases, takeLease } from './lease'
import type { Database } from './nodes'

const FOLDER = new URL('../migrations/', import.meta.url)
const WAIT_SECONDS = 120
/** For how long a server that was killed half-way keeps the others out; renewed before each step. */
const LEASE_SECONDS = 60
const RENEWED_EVERY_MS = 15_000

/**
 * Brings the database to the newest migration, one server at a time: a second one waits for the first, on whichever
 * node of a cluster. What was cut off half-way goes on where it stopped.
 * @returns names of the migrations that were run
 * @throws Error that names the statement that failed, or what is wrong with the history
 */
export async function migrate(on: Database): Promise<string[]> {
  const holder = uuid()
  const connection = await on.getConnection()
  try {
    await prepareLeases(connection)
    await waitForTurn(on, holder)
    const migrations = await readMigrations(FOLDER)
    await prepareJournal(connection)
    await checkHistory(connection, migrations)
    const checksums = new Map(migrations.map(({ name, checksum }) => [name, checksum]))
    const storage: UmzugStorage = {
      logMigration: async ({ name }) =>
        void (await run(connection, 'INSERT INTO migration (name, checksum) VALUES (?, ?)', [
          name,
          checksums.get(name)!,
        ])),
      unlogMigration: async ({ name }) => void (await run(connection, 'DELETE FROM migration WHERE name = ?', [name])),
      executed: async () => (await kept(connection)).map(row => row.name),
    }
    const umzug = new Umzug({
      migrations: migrations.map(({ name, statements }) => ({
        name,
        up: () => keepingTurn(on, holder, () => runSteps(connection, name, statements)),
      })),
      storage,
      logger: undefined,
    })
    return (await umzug.up()).map(migration => migration.name)
  } finally {
    await giveLeaseBack(on, 'migrations', holder).catch(() => {})
    connection.release()
  }
}

async function waitForTurn(on: Database, holder: string): Promise<void> {
  for (let waited = 0; !(await takeLease(on, 'migrations', holder, LEASE_SECONDS)); waited++) {
    if (waited === WAIT_SECONDS)
      throw new Error('Another server is changing the database; it did not finish in two minutes')
    await pause(1_000)
  }
}

/** Runs one migration, however long it takes, and only while no other server has the turn. */
async function keepingTurn(on: Database, holder: string, work: () => Promise<void>): Promise<void> {
  if (!(await takeLease(on, 'migrations', holder, LEASE_SECONDS)))
    throw new Error('Another server has begun to change the database; start again when it is done')
  const renewing = setInterval(
    () => void takeLease(on, 'migrations', holder, LEASE_SECONDS).catch(() => {}),
    RENEWED_EVERY_MS,
  )
  try {
    await work()
  } finally {
    clearInterval(renewing)
  }
}

/**
 * Names of the migrations that a database of a school would be changed by; none where there is no school yet: then
 * there is nothing to lose.
 */
export async function pendingMigrations(pool: Database): Promise<string[]> {
  const journal = await rows(
    pool,
    `SELECT 1 FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name = 'migration'`,
  )
  if (journal.length === 0) return []
  const done = new Set((await rows<{ name: string }>(pool, 'SELECT name FROM migration')).map(row => row.name))
  if (done.size === 0) return []
  return (await readMigrations(FOLDER)).map(({ name }) => name).filter(name => !done.has(name))
}

/** One file of the folder: its statements in order, and what they are recognised by. */
export interface Migration {
  readonly name: string
  readonly statements: readonly string[]
  readonly checksum: string
}

/** The migrations of a folder, in order. */
export async function readMigrations(folder: URL): Promise<Migration[]> {
  const names = (await readdir(folder)).filter(name => name.endsWith('.sql')).sort()
  return Promise.all(
    names.map(async name => {
      const sql = await readFile(new URL(name, folder), 'utf8')
      return {
        name,
        statements: sql.split(/;\s*$/m).filter(part => part.trim()),
        checksum: createHash('sha256').update(sql).digest('hex'),
      }
    }),
  )
}

/** The journal of the journal: which migrations are in, and which steps of one that was cut off. */
async function prepareJournal(connection: PoolConnection): Promise<void> {
  await connection.query('CREATE TABLE IF NOT EXISTS migration (name VARCHAR(100) NOT NULL PRIMARY KEY)')
  await connection.query('ALTER TABLE migration ADD COLUMN IF NOT EXISTS checksum CHAR(64) NULL')
  await connection.query(
    `CREATE TABLE IF NOT EXISTS migration_step (
      name VARCHAR(100) NOT NULL,
      step SMALLINT UNSIGNED NOT NULL,
      PRIMARY KEY (name, step))`,
  )
}

const kept = (connection: PoolConnection) =>
  rows<{ name: string; checksum: string | null }>(connection, 'SELECT name, checksum FROM migration ORDER BY name')

/**
 * A database from a newer program, or one made by an unknown migration, is left alone. One that was made by a
 * migration as it stood before is brought to what it says today.
 */
async function checkHistory(connection: PoolConnection, migrations: readonly Migration[]): Promise<void> {
  const known = new Map(migrations.map(migration => [migration.name, migration]))
  for (const [name, { to, checksums }] of Object.entries(RENAMED))
    await run(
      connection,
      `UPDATE migration SET name = ?, checksum = ? WHERE name = ? AND (checksum IS NULL OR checksum IN (${marks(checksums)}))`,
      [to, known.get(to)!.checksum, name, ...checksums],
    )
  for (const { name, checksum } of await kept(connection)) {
    const now = known.get(name)
    if (!now)
      throw new Error(
        `The database has been changed by a newer Fusilis (${name}). Start that version, or restore a backup made before it.`,
      )
    if (checksum === now.checksum) continue
    const earlier = EARLIER[name]
    if (checksum !== null && !earlier?.checksums.includes(checksum))
      throw new Error(`Migration ${name} is not the one that this database was made with; it may not be changed`)
    if (checksum !== null && earlier?.again) await runSteps(connection, name, now.statements)
    await run(connection, 'UPDATE migration SET checksum = ? WHERE name = ?', [now.checksum, name])
  }
}

const marks = (values: readonly unknown[]) => values.map(() => '?').join(', ')

/** What a step that was done already answers: the table, column or key is there. A kill came before it was noted. */
const DONE_ALREADY = new Set(['ER_TABLE_EXISTS_ERROR', 'ER_DUP_FIELDNAME', 'ER_DUP_KEYNAME', 'ER_MULTIPLE_PRI_KEY'])

async function runSteps(connection: PoolConnection, name: string, statements: readonly string[]): Promise<void> {
  const done = new Set(
    (await rows<{ step: number }>(connection, 'SELECT step FROM migration_step WHERE name = ?', [name])).map(
      row => row.step,
    ),
  )
  for (const [index, statement] of statements.entries()) {
    const step = index + 1
    if (done.has(step)) continue
    try {
      await connection.query(statement)
    } catch (error) {
      if (!DONE_ALREADY.has((error as { code?: string }).code ?? ''))
        throw new Error(
          `Migration ${name} failed at step ${step} of ${statements.length}: ${(error as Error).message}`,
          {
            cause: error,
          },
        )
    }
    await run(connection, 'INSERT IGNORE INTO migration_step (name, step) VALUES (?, ?)', [name, step])
  }
  await run(connection, 'DELETE FROM migration_step WHERE name = ?', [name])
}
