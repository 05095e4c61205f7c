import { bookFor, type CodeBook } from '../../core/qualification'
import type { BookSave, SavedBook } from '../../contract/codeBooks'
import { database, fromJson, isDuplicate, rows, run, toDateTime, toIso, type Queries } from './database'

interface BookRow {
  version: number
  book: unknown
  retired: number
  saved_at: string
  saved_by: string
  why: string
}

const toSaved = (row: BookRow): SavedBook => ({
  version: row.version,
  book: fromJson<CodeBook>(row.book),
  retired: row.retired === 1,
  savedAt: toIso(row.saved_at),
  savedBy: row.saved_by,
  why: row.why,
})

/** Every version of the school's own books, newest first: a test is judged by the version it names. */
export async function schoolBooks(on: Queries = database()): Promise<SavedBook[]> {
  return (
    await rows<BookRow>(
      on,
      'SELECT version, book, retired, saved_at, saved_by, why FROM code_book ORDER BY saved_at DESC',
    )
  ).map(toSaved)
}

/** Finds the book that a test names. @throws RangeError when it is not kept */
export async function findBook(
  ref: { readonly id: string; readonly version: number },
  on: Queries = database(),
): Promise<CodeBook> {
  return bookFor(ref, ref.version === 0 ? [] : await schoolBooks(on))
}

/**
 * Keeps a version of a school's book. False when somebody has kept this version already, or the one before it is
 * not there.
 */
export async function addBook(
  id: string,
  { baseVersion, why, retired, book }: BookSave,
  by: { name: string; now: Date },
): Promise<boolean> {
  const [before] = await rows<{ newest: number | null }>(
    database(),
    'SELECT MAX(version) AS newest FROM code_book WHERE id = ?',
    [id],
  )
  if ((before?.newest ?? 0) !== baseVersion) return false
  try {
    await run(
      database(),
      'INSERT INTO code_book (id, version, book, retired, saved_at, saved_by, why) VALUES (?, ?, ?, ?, ?, ?, ?)',
      [id, baseVersion + 1, JSON.stringify({ ...book, id }), retired, toDateTime(by.now), by.name, why],
    )
    return true
  } catch (error) {
    if (isDuplicate(error)) return false
    throw error
  }
}
