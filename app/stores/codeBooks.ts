import { defineStore } from 'pinia'
import { bookFor, SHIPPED_BOOKS, type CodeBook, type KeptBook } from '~~/core/qualification'
import type { BookSave, SavedBook } from '~~/contract/codeBooks'
import { request } from './request'

/** Code books for tests: those that ship, and every version of the school's own. */
export const useCodeBooks = defineStore('codeBooks', () => {
  const own = shallowRef<readonly SavedBook[]>([])

  /** The newest version of each of the school's own. */
  const newest = computed(() =>
    own.value.filter(one => !own.value.some(other => other.book.id === one.book.id && other.version > one.version)),
  )
  /** What a new test may be taken by: the school's own first, then those that ship. */
  const offered = computed<readonly KeptBook[]>(() => [
    ...newest.value.filter(one => !one.retired),
    ...SHIPPED_BOOKS.map(book => ({ book, version: 0 })),
  ])

  async function load(): Promise<void> {
    own.value = await request<SavedBook[]>('GET', '/api/code-books')
  }

  /** The book that a test names. @throws RangeError when it is not kept */
  const bookOf = (ref: { readonly id: string; readonly version: number }): CodeBook => bookFor(ref, own.value)

  /**
   * Saves a version of a school's own book. @throws RequestFailure when someone saved it meanwhile, or a line is
   * wrong
   */
  async function save(save: BookSave): Promise<void> {
    const saved = await request<SavedBook>('PUT', `/api/code-books/${save.book.id}`, save)
    own.value = [saved, ...own.value]
  }

  return { own, newest, offered, load, bookOf, save }
})
