import { inTransaction, rows, type Queries } from './database'
import { eraseAgain, type Erased } from './erasePerson'
import type { Database } from './nodes'

/** A database's name stands in statements as it is: nothing but letters, digits and dashes below. */
function databaseName(name: string): string {
  if (!/^\w{1,60}$/.test(name)) throw new Error(`"${name}" is no name of a database`)
  return `\`${name}\``
}

const tablesOf = async (on: Queries, name: string): Promise<string[]> =>
  (
    await rows<{ name: string }>(
      on,
      `SELECT table_name AS name FROM information_schema.tables
      WHERE table_schema = ? AND table_type = 'BASE TABLE' ORDER BY table_name`,
      [name],
    )
  ).map(row => row.name)

/** An empty database, in place of one of that name that was left by a restore that was cut off. */
export async function emptyDatabase(on: Queries, name: string): Promise<void> {
  await on.query(`DROP DATABASE IF EXISTS ${databaseName(name)}`)
  await on.query(`CREATE DATABASE ${databaseName(name)} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci`)
}

/** Persons who were erased in a database that is not to forget it: ids, when, by whom and why, and no name. */
export const erasedIn = (on: Queries): Promise<Erased[]> =>
  rows<Erased>(
    on,
    `SELECT CAST(id AS CHAR(36)) AS id, erased_at AS at, erased_by AS \`by\`, erased_why AS why
    FROM student WHERE erased_at IS NOT NULL`,
  ).catch(() => [])

/** Erases again whom a restored database still holds. @returns how many they were */
export async function eraseAllAgain(on: Database, erased: readonly Erased[]): Promise<number> {
  let done = 0
  for (const one of erased) done += (await inTransaction(on, connection => eraseAgain(connection, one))) ? 1 : 0
  return done
}

/**
 * Puts one database's tables in place of another's, all in one statement: a question meanwhile is answered by the one
 * or by the other. What was there is kept under a third name.
 * @throws Error where one of the tables that were there would be missing
 */
export async function swapIn(on: Queries, names: { live: string; staged: string; kept: string }): Promise<void> {
  const [live, staged, kept] = [databaseName(names.live), databaseName(names.staged), databaseName(names.kept)]
  const [now, next] = [await tablesOf(on, names.live), await tablesOf(on, names.staged)]
  const missing = now.filter(table => !next.includes(table))
  if (next.length === 0 || missing.length > 0)
    throw new Error(`The backup, brought up to date, has no ${missing.join(', ') || 'table'}`)
  await emptyDatabase(on, names.kept)
  const moves = [
    ...now.map(table => `${live}.\`${table}\` TO ${kept}.\`${table}\``),
    ...next.map(table => `${staged}.\`${table}\` TO ${live}.\`${table}\``),
  ]
  await on.query(`RENAME TABLE ${moves.join(', ')}`)
  await on.query(`DROP DATABASE ${staged}`)
}

/** What earlier restores kept of a database. */
export const keptDatabases = async (on: Queries, live: string): Promise<string[]> =>
  (await rows<{ name: string }>(on, 'SELECT schema_name AS name FROM information_schema.schemata')).flatMap(
    ({ name }) => (name.startsWith(`${live}_before_`) ? [name] : []),
  )

/** Lets go of what earlier restores kept. @returns their names */
export async function forgetKept(on: Queries, live: string): Promise<string[]> {
  const names = await keptDatabases(on, live)
  for (const name of names) await on.query(`DROP DATABASE ${databaseName(name)}`)
  return names
}
