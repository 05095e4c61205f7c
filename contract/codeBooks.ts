import { boolean, mixed, number, object, string } from 'yup'
import { SHIPPED_SETS } from '../core/criteria'
import { bookFaults, SHIPPED_BOOKS, type CodeBook, type KeptBook } from '../core/qualification'
import { label, uuid } from './fields'

/** A version of a school's own book as the server keeps it. */
export interface SavedBook extends KeptBook {
  /** No longer offered for new tests; what was judged by it keeps it. */
  readonly retired: boolean
  readonly savedAt: string
  readonly savedBy: string
  readonly why: string
}

/** The body of `PUT /api/code-books/:id`. `baseVersion` is the version that was edited, 0 for a new copy. */
export interface BookSave {
  readonly baseVersion: number
  readonly why: string
  readonly retired: boolean
  readonly book: CodeBook
}

const shippedOf = (book: unknown): CodeBook | undefined =>
  SHIPPED_BOOKS.find(one => one.family === (book as CodeBook | null)?.family)

/** A copy of a shipped book: its lines, no more and no less, and a name of its own. */
const bookSchema = mixed<CodeBook>()
  .required('${path} is missing')
  .test('family', '${path} is of no family that is kept', value => shippedOf(value) !== undefined)
  .test('lines', '', function (value) {
    const shipped = shippedOf(value)
    const [fault] = shipped ? bookFaults(value as CodeBook, shipped) : []
    return fault
      ? this.createError({ path: fault.path ? `${this.path}.${fault.path}` : this.path, message: fault.message })
      : true
  })
  .test('name', '', function (value) {
    const { name, edition, criteriaId } = (value ?? {}) as Partial<CodeBook>
    for (const [path, text] of Object.entries({ name, edition }))
      if (!label(80).isValidSync(text))
        return this.createError({
          path: `${this.path}.${path}`,
          message: `${path} is a short text, at most 80 characters`,
        })
    const known = SHIPPED_SETS.some(set => set.id === criteriaId) || uuid().required().isValidSync(criteriaId)
    return known || this.createError({ path: `${this.path}.criteriaId`, message: 'criteriaId is no set of criteria' })
  })

export const bookSaveSchema = object({
  baseVersion: number().strict().required('${path} is missing').integer().min(0),
  why: label(400),
  retired: boolean().strict().required(),
  book: bookSchema,
}).exact()

/** Which book, and which version of it. Shipped ones have version 0. */
export const bookRefSchema = object({
  id: string().strict().required('${path} is missing').max(64),
  version: number().strict().required('${path} is missing').integer().min(0),
}).exact()
