import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { SHIPPED_BOOKS, type CodeBook } from '../qualification'
import { bendVerdict, OPENING_KINDS, type Opening } from '.'

const RANK = { 'passes': 0, 'another specimen': 1, 'fails': 2 } as const
const rank = (book: CodeBook, openings: readonly Opening[], wall = 0.375) =>
  RANK[bendVerdict(book, 'in', openings, wall).outcome]
/** Lengths in sixty-fourths of an inch, as a scale reads. */
const opening: fc.Arbitrary<Opening> = fc.record({
  length: fc.integer({ min: 1, max: 40 }).map(n => n / 64),
  atMm: fc.integer({ min: 0, max: 38 }),
  corner: fc.boolean(),
  kind: fc.constantFrom(...OPENING_KINDS),
  depth: fc.constant(null),
})
const openings = fc.array(opening, { maxLength: 5 })

/** What holds of any book that says what is too long: common sense, not a clause. */
describe.each(SHIPPED_BOOKS.map(book => [book.name, book] as const))('a bend by %s', (_, book) => {
  it('one opening more never makes it better', () =>
    fc.assert(
      fc.property(openings, opening, (some, one) => {
        const before = rank(book, some)
        const after = rank(book, [...some, one])
        expect(after).toBeGreaterThanOrEqual(before)
      }),
    ))
  it('nor does a longer one', () =>
    fc.assert(
      fc.property(
        fc.array(opening, { minLength: 1, maxLength: 5 }),
        fc.integer({ min: 1, max: 20 }),
        ([first, ...rest], more) => {
          expect(rank(book, [{ ...first!, length: first!.length + more / 64 }, ...rest])).toBeGreaterThanOrEqual(
            rank(book, [first!, ...rest]),
          )
        },
      ),
    ))
  it('their order does not matter, nor where along the strip they lie', () =>
    fc.assert(
      fc.property(openings, some => {
        const turned = [...some].reverse().map(one => ({ ...one, atMm: 38 - one.atMm }))
        expect(rank(book, turned)).toBe(rank(book, some))
      }),
    ))
  it('slag or lack of fusion at a corner counts like any opening, a clean corner crack never counts more', () =>
    fc.assert(
      fc.property(opening, one => {
        const at = (more: Partial<Opening>) => rank(book, [{ ...one, ...more }])
        expect(at({ corner: true, kind: 'slag' })).toBe(at({ corner: false, kind: 'slag' }))
        expect(at({ corner: true, kind: 'opening' })).toBeLessThanOrEqual(at({ corner: false, kind: 'opening' }))
      }),
    ))
  it('says why, and where that is written, whenever it does not pass', () =>
    fc.assert(
      fc.property(openings, some => {
        const { outcome, reasons, clause } = bendVerdict(book, 'in', some, 0.375)
        expect(reasons.length > 0).toBe(outcome !== 'passes')
        expect(clause).toContain(book.bend.clause)
      }),
    ))
})
