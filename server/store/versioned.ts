import {
  fromJson,
  inTransaction,
  insertRow,
  isDuplicate,
  rows,
  toDateTime,
  toIso,
  database,
  type Queries,
} from './database'

/**
 * Things that a school edits whole and keeps in versions: house rules, ladder, criteria, code books, its shop, its
 * calendar. Each
 * version is a row with who, when and why; it is saved over the version it was edited from, or not at all.
 */
export interface VersionedTable {
  readonly table: 'house_rules' | 'ladder' | 'criteria_set' | 'code_book' | 'shop_plan' | 'day_plan' | 'school_calendar'
  /** The column that holds the thing itself, as JSON. */
  readonly content: 'rules' | 'ladder' | 'criteria' | 'book' | 'plan' | 'calendar'
  /** The columns that tell things of this kind apart; none where there is one for the school. */
  readonly key: readonly ('id' | 'section_id' | 'class_day')[]
  /** The version that comes with the application and is not kept; 0 where nothing does. */
  readonly first: 0 | 1
  /** Columns beside the content, flags all. */
  readonly flags?: readonly 'retired'[]
}

export const HOUSE_RULES: VersionedTable = { table: 'house_rules', content: 'rules', key: [], first: 1 }
export const LADDER: VersionedTable = { table: 'ladder', content: 'ladder', key: [], first: 1 }
export const CRITERIA: VersionedTable = { table: 'criteria_set', content: 'criteria', key: ['id'], first: 0 }
export const SHOP_PLAN: VersionedTable = { table: 'shop_plan', content: 'plan', key: [], first: 0 }
export const SCHOOL_CALENDAR: VersionedTable = { table: 'school_calendar', content: 'calendar', key: [], first: 0 }
export const DAY_PLAN: VersionedTable = {
  table: 'day_plan',
  content: 'plan',
  key: ['section_id', 'class_day'],
  first: 0,
}
export const CODE_BOOKS: VersionedTable = {
  table: 'code_book',
  content: 'book',
  key: ['id'],
  first: 0,
  flags: ['retired'],
}

/** Who saves a version, when, and why. */
export interface VersionSaver {
  readonly by: string
  readonly why: string
  readonly now: Date
}

export interface KeptVersion<T> {
  readonly version: number
  readonly content: T
  readonly flags: Readonly<Record<string, boolean>>
  readonly saved: { readonly at: string; readonly by: string; readonly why: string }
}

interface Row {
  version: number
  content: unknown
  saved_at: string
  saved_by: string
  why: string
  [flag: string]: unknown
}

const columns = ({ content, flags = [] }: VersionedTable) =>
  ['version', `${content} AS content`, 'saved_at', 'saved_by', 'why', ...flags].join(', ')

function toVersion<T>({ flags = [] }: VersionedTable, row: Row): KeptVersion<T> {
  return {
    version: row.version,
    content: fromJson<T>(row.content),
    flags: Object.fromEntries(flags.map(flag => [flag, row[flag] === 1])),
    saved: { at: toIso(row.saved_at), by: row.saved_by, why: row.why },
  }
}

/** Which thing of its kind: a value for each column of its key. */
const whichOf = ({ key }: VersionedTable) => ['TRUE', ...key.map(column => `${column} = ?`)].join(' AND ')

/** The newest version of a thing, by its key where there are many; null while none is kept. */
export async function newestVersion<T>(
  of: VersionedTable,
  key: readonly string[] = [],
  on: Queries = database(),
): Promise<KeptVersion<T> | null> {
  const [row] = await rows<Row>(
    on,
    `SELECT ${columns(of)} FROM ${of.table} WHERE ${whichOf(of)} ORDER BY version DESC LIMIT 1`,
    key,
  )
  return row ? toVersion<T>(of, row) : null
}

/** One version, by its number, and its key where there are many; null when it is not kept. */
export async function versionOf<T>(
  of: VersionedTable,
  { key = [], version }: { readonly key?: readonly string[]; readonly version: number },
  on: Queries = database(),
): Promise<KeptVersion<T> | null> {
  const [row] = await rows<Row>(on, `SELECT ${columns(of)} FROM ${of.table} WHERE ${whichOf(of)} AND version = ?`, [
    ...key,
    version,
  ])
  return row ? toVersion<T>(of, row) : null
}

/** Every version, oldest first. */
export async function allVersions<T>(of: VersionedTable, on: Queries = database()): Promise<KeptVersion<T>[]> {
  const order = of.key.length > 0 ? 'saved_at, version' : 'version'
  return (await rows<Row>(on, `SELECT ${columns(of)} FROM ${of.table} ORDER BY ${order}`)).map(row =>
    toVersion<T>(of, row),
  )
}

/** The newest version of each thing of this kind. */
export async function newestOfEach<T>(of: VersionedTable, on: Queries = database()): Promise<KeptVersion<T>[]> {
  const key = of.key.join(', ')
  const newest = `SELECT ${key}, MAX(version) FROM ${of.table} GROUP BY ${key}`
  return (await rows<Row>(on, `SELECT ${columns(of)} FROM ${of.table} WHERE (${key}, version) IN (${newest})`)).map(
    row => toVersion<T>(of, row),
  )
}

/** A version about to be kept: the one after `baseVersion`. */
export interface NextVersion {
  /** A value for each column of its key. */
  readonly key?: readonly string[]
  readonly baseVersion: number
  readonly content: unknown
  readonly flags?: Readonly<Record<string, boolean>>
}

/**
 * Keeps a version, when it was edited from the newest one; the check and the row are one transaction.
 * @returns the version kept, or null when a newer one is kept already
 */
export async function keepVersion<T>(
  of: VersionedTable,
  { key = [], baseVersion, content, flags = {} }: NextVersion,
  { by, why, now }: VersionSaver,
): Promise<KeptVersion<T> | null> {
  const version = baseVersion + 1
  try {
    return await inTransaction(database(), async on => {
      const [row] = await rows<{ newest: number | null }>(
        on,
        `SELECT MAX(version) AS newest FROM ${of.table} WHERE ${whichOf(of)}`,
        key,
      )
      if ((row?.newest ?? of.first) !== baseVersion) return null
      await insertRow(on, of.table, {
        ...Object.fromEntries(of.key.map((column, n) => [column, key[n]!])),
        version,
        [of.content]: JSON.stringify(content),
        ...flags,
        saved_at: toDateTime(now),
        saved_by: by,
        why,
      })
      return { version, content: content as T, flags, saved: { at: now.toISOString(), by, why } }
    })
  } catch (error) {
    // Two who saved at one moment: the key lets one of them in.
    if (isDuplicate(error)) return null
    throw error
  }
}
