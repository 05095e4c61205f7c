import { AsyncLocalStorage } from 'node:async_hooks'
import { isMainThread } from 'node:worker_threads'
import type { PoolConnection, ResultSetHeader, RowDataPacket } from 'mysql2/promise'
import { isLost, worthAnotherTry } from './databaseTrouble'
import { mayTryAgain, openDatabase, type Database, type Queries } from './nodes'

export type { Queries } from './nodes'

/** What connections are kept for: the school's work, and people at the door. */
type Use = 'work' | 'door'

/** Connections to each node. At the door strangers may stand in any number: work has its own. */
const CONNECTIONS: Readonly<Record<Use, number>> = isMainThread ? { work: 10, door: 4 } : { work: 3, door: 1 }
const shared = new Map<Use, Database>()
/** Set while a transaction's work is done. */
const transaction = new AsyncLocalStorage<true>()

/**
 * The database of this process, opened on first use at `FUSILIS_DB_URL`.
 * @throws Error within a transaction, which has a connection: where each of many holds one and waits for another, none
 * ever comes free
 */
export const database = (): Database => opened('work')

/** The same database by connections that no work waits for: who comes in, and who is kept waiting for guessing. */
export const doorDatabase = (): Database => opened('door')

function opened(use: Use): Database {
  if (transaction.getStore()) throw new Error('A transaction asks on its own connection, and on no other')
  const known = shared.get(use) ?? openDatabase(process.env.FUSILIS_DB_URL ?? '', CONNECTIONS[use])
  shared.set(use, known)
  return known
}

export async function closeDatabase(): Promise<void> {
  for (const open of shared.values()) await open.end()
  shared.clear()
}

type Value = string | number | boolean | null

/** Rows of a parameterised query. */
export async function rows<T>(on: Queries, sql: string, values: readonly Value[] = []): Promise<T[]> {
  const [found] = await on.execute<RowDataPacket[]>(sql, [...values])
  return found as T[]
}

/** Runs a parameterised statement; says how many rows it touched. */
export async function run(on: Queries, sql: string, values: readonly Value[] = []): Promise<number> {
  const [result] = await on.execute<ResultSetHeader>(sql, [...values])
  return result.affectedRows
}

/** The names of tables and columns stand in the code; anything else would be a query built from strings. */
export function plainName(name: string): string {
  if (!/^[a-z_]+$/.test(name)) throw new Error(`"${name}" is not the name of a table or column`)
  return name
}

/** Inserts one row, a value for each column named. */
export async function insertRow(on: Queries, table: string, row: Readonly<Record<string, Value>>): Promise<void> {
  const columns = Object.keys(row).map(plainName)
  await run(
    on,
    `INSERT INTO ${plainName(table)} (${columns.join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`,
    Object.values(row),
  )
}

/** Changes the row with an id, a value for each column named; says how many rows it touched. */
export async function updateRow(
  on: Queries,
  table: string,
  id: string,
  row: Readonly<Record<string, Value>>,
): Promise<number> {
  const columns = Object.keys(row).map(plainName)
  return run(on, `UPDATE ${plainName(table)} SET ${columns.map(column => `${column} = ?`).join(', ')} WHERE id = ?`, [
    ...Object.values(row),
    id,
  ])
}

/** Inserts many rows in one statement; `sql` ends in `VALUES ?`. */
export async function insertMany(on: Queries, sql: string, values: readonly (readonly Value[])[]): Promise<void> {
  if (values.length > 0) await on.query(sql, [values])
}

/** MariaDB keeps JSON as text; the driver hands it over as it is. */
export function fromJson<T>(value: unknown): T {
  return (typeof value === 'string' ? JSON.parse(value) : value) as T
}

/** A moment as MariaDB's DATETIME(3), in UTC. */
export function toDateTime(moment: Date): string {
  return moment.toISOString().slice(0, 23).replace('T', ' ')
}

/**
 * A DATETIME(3) of the database as an ISO 8601 moment, with its milliseconds: the driver leaves out the fraction of a
 * whole second, and moments are put in order as text, where "37Z" would come after "37.238Z".
 */
export function toIso(dateTime: string): string {
  return new Date(`${dateTime.replace(' ', 'T')}Z`).toISOString()
}

/**
 * Does work in one transaction: all of it is kept or none. Work that lost to another transaction, or whose node went
 * before it was to be kept, is done again.
 */
export async function inTransaction<T>(on: Database, work: (on: PoolConnection) => Promise<T>): Promise<T> {
  for (let attempt = 1; ; attempt++) {
    const connection = await on.getConnection()
    let keeping = false
    try {
      await connection.beginTransaction()
      const result = await transaction.run(true, () => work(connection))
      keeping = true
      await connection.commit()
      return result
    } catch (error) {
      await connection.rollback().catch(() => connection.destroy())
      const again = worthAnotherTry(error) || (isLost(error) && !keeping)
      if (again && (await mayTryAgain(attempt))) continue
      throw error
    } finally {
      connection.release()
    }
  }
}

/** True when an insert or update hit a unique key. */
export function isDuplicate(error: unknown): boolean {
  return (error as { errno?: number }).errno === 1062
}
