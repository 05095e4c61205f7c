import { shippedBook, type CodeBook } from '../../core/qualification'
import type { BookSave, SavedBook } from '../../contract/codeBooks'
import { database, type Queries } from './database'
import { allVersions, CODE_BOOKS, keepVersion, versionOf, type KeptVersion, type VersionSaver } from './versioned'

const toBook = ({ version, content, flags, saved }: KeptVersion<CodeBook>): SavedBook => ({
  version,
  book: content,
  retired: flags.retired ?? false,
  savedAt: saved.at,
  savedBy: saved.by,
  why: saved.why,
})

/** Every version of the school's own books, newest first: a test is judged by the version it names. */
export async function schoolBooks(): Promise<SavedBook[]> {
  return (await allVersions<CodeBook>(CODE_BOOKS)).reverse().map(toBook)
}

/**
 * Finds the book that a test names: a shipped one is version 0, the school's own are kept.
 * @throws RangeError when there is none
 */
export async function findBook(
  { id, version }: { readonly id: string; readonly version: number },
  on: Queries = database(),
): Promise<CodeBook> {
  if (version === 0) return shippedBook(id)
  const kept = await versionOf<CodeBook>(CODE_BOOKS, { key: [id], version }, on)
  if (!kept) throw new RangeError(`There is no version ${version} of this code book`)
  return kept.content
}

/** Keeps a book as the version after the one it was edited from; null when a newer one is saved already. */
export async function keepBook(
  id: string,
  { baseVersion, retired, book }: BookSave,
  saver: VersionSaver,
): Promise<SavedBook | null> {
  const kept = await keepVersion<CodeBook>(
    CODE_BOOKS,
    { key: [id], baseVersion, content: { ...book, id }, flags: { retired } },
    saver,
  )
  return kept ? toBook(kept) : null
}
