import { readdir, readFile } from 'node:fs/promises'
import type { Pool } from 'mysql2/promise'
import { Umzug, type UmzugStorage } from 'umzug'
import { rows, run } from './database'

const FOLDER = new URL('../migrations/', import.meta.url)
const LOCK = 'fusilis.migrations'
const WAIT_SECONDS = 120

/**
 * Brings the database to the newest migration, one server at a time: a second one waits for the first.
 * @returns names of the migrations that were run
 */
export async function migrate(pool: Pool): Promise<string[]> {
  const connection = await pool.getConnection()
  try {
    const [lock] = await rows<{ got: number | null }>(connection, 'SELECT GET_LOCK(?, ?) AS got', [LOCK, WAIT_SECONDS])
    if (lock?.got !== 1) throw new Error('Another server is changing the database; it did not finish in two minutes')
    const names = (await readdir(FOLDER)).filter(name => name.endsWith('.sql')).sort()
    const storage: UmzugStorage = {
      logMigration: async ({ name }) => void (await run(connection, 'INSERT INTO migration (name) VALUES (?)', [name])),
      unlogMigration: async ({ name }) => void (await run(connection, 'DELETE FROM migration WHERE name = ?', [name])),
      executed: async () =>
        (await rows<{ name: string }>(connection, 'SELECT name FROM migration ORDER BY name')).map(row => row.name),
    }
    await connection.query('CREATE TABLE IF NOT EXISTS migration (name VARCHAR(100) NOT NULL PRIMARY KEY)')
    const umzug = new Umzug({
      migrations: names.map(name => ({
        name,
        up: async () => {
          const sql = await readFile(new URL(name, FOLDER), 'utf8')
          for (const statement of sql.split(/;\s*$/m).filter(part => part.trim())) await connection.query(statement)
        },
      })),
      storage,
      logger: undefined,
    })
    return (await umzug.up()).map(migration => migration.name)
  } finally {
    await connection.query('DO RELEASE_LOCK(?)', [LOCK])
    connection.release()
  }
}
