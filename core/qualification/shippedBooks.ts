import { ISO_9606 } from './books/iso9606'
import { PIPELINE } from './books/pipeline'
import { PRESSURE } from './books/pressure'
import { STRUCTURAL } from './books/structural'
import type { CodeBook } from './codeBook'

/** The books that ship, from memory, check your copy. They cannot be changed; a school edits a copy of its own. */
export const SHIPPED_BOOKS: readonly CodeBook[] = [STRUCTURAL, PRESSURE, ISO_9606, PIPELINE]

/** The shipped book with this id. @throws RangeError when there is none */
export function shippedBook(id: string): CodeBook {
  const found = SHIPPED_BOOKS.find(book => book.id === id)
  if (!found) throw new RangeError(`No code book "${id}"; there are ${SHIPPED_BOOKS.map(book => book.id).join(', ')}`)
  return found
}

/** A version of a school's own book. */
export interface KeptBook {
  readonly version: number
  readonly book: CodeBook
}

/**
 * The book that a test names: a shipped one, or a version of the school's own.
 * @throws RangeError when it is not kept
 */
export function bookFor(
  { id, version }: { readonly id: string; readonly version: number },
  kept: readonly KeptBook[],
): CodeBook {
  if (version === 0) return shippedBook(id)
  const own = kept.find(one => one.book.id === id && one.version === version)
  if (!own) throw new RangeError(`There is no version ${version} of this code book`)
  return own.book
}
