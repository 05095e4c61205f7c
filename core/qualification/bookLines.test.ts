import { describe, expect, it } from 'vitest'
import { plate } from './exampleTests'
import {
  bookFaults,
  bookLines,
  SHIPPED_BOOKS,
  STRUCTURAL,
  thicknessQualified,
  withClause,
  withLine,
  type BookValue,
  type Remembered,
} from '.'
import { bendVerdict, specimenKinds } from '../welderTest'

const lineAt = (path: string) => bookLines(STRUCTURAL).find(line => line.path === path)!

describe('a school’s copy of a book', () => {
  it.each(SHIPPED_BOOKS.map(book => [book.name, book] as const))(
    '%s: every figure is a line of its own, with its clause, and each can be put back as it was',
    (_, book) => {
      const lines = bookLines(book)
      expect(new Set(lines.map(line => line.path)).size).toBe(lines.length)
      expect(new Set(lines.map(line => `${line.group}: ${line.name}`)).size).toBe(lines.length)
      expect(lines.every(line => line.source.clause !== '')).toBe(true)
      for (const line of lines) expect(withLine(book, line, line.value)).toEqual(book)
      expect(bookFaults(book, book)).toEqual([])
    },
  )
  it('judges by the figure that was corrected, and leaves the shipped book alone', () => {
    const stricter = withLine(STRUCTURAL, lineAt('bend.single'), { is: 'size', in: 1 / 16, mm: 1.5 })
    const openings = [{ length: 0.1, atMm: 5, corner: false, kind: 'opening' as const, depth: null }]
    expect([
      bendVerdict(stricter, 'in', openings, 1).outcome,
      bendVerdict(STRUCTURAL, 'in', openings, 1).outcome,
    ]).toEqual(['fails', 'passes'])
    const twice = lineAt('thickness.2.most.times')
    expect(
      thicknessQualified(withLine(STRUCTURAL, twice, { is: 'number', value: 1.5 }), plate('3G'))[0]!.range.most,
    ).toBeCloseTo(0.5625, 9)
    const cut = lineAt('specimens.1.kinds')
    expect(
      specimenKinds(withLine(STRUCTURAL, cut, { is: 'specimens', kinds: ['side', 'side'] }), plate('3G'), 'specimens')
        .kinds,
    ).toEqual(['side', 'side'])
  })
  it('keeps the clause of a row as the school read it', () => {
    const line = lineAt('continuity.months')
    const read = withClause(STRUCTURAL, line, { clause: '6.2.3.1 (2020), our copy', remembered: 'checked' })
    expect(read.continuity).toMatchObject({ months: 6, clause: '6.2.3.1 (2020), our copy', remembered: 'checked' })
    expect(bookFaults(read, STRUCTURAL)).toEqual([])
  })
  it.each<[string, string, BookValue, RegExp]>([
    ['a length that is none', 'bend.single', { is: 'size', in: -1, mm: 3 }, /longest opening: a length/],
    ['no months', 'continuity.months', { is: 'number', value: 0 }, /a number over 0/],
    ['nothing cut', 'specimens.1.kinds', { is: 'specimens', kinds: [] }, /1 to 20 of face/],
    ['no words', 'retest.atOnce', { is: 'words', words: ' ' }, /some words/],
  ])('refuses %s, by its line', (_, path, value, message) =>
    expect(bookFaults(withLine(STRUCTURAL, lineAt(path), value), STRUCTURAL)).toMatchObject([
      { path, message: expect.stringMatching(message) },
    ]),
  )
  it.each([undefined, null, 7, ['a'], {}])('takes %j for no clause and no way to be sure, and says so', anything => {
    const odd = withClause(STRUCTURAL, lineAt('bend.single'), {
      clause: anything as unknown as string,
      remembered: anything as unknown as Remembered,
    })
    expect(bookFaults(odd, STRUCTURAL).map(fault => fault.path)).toEqual(
      expect.arrayContaining(['bend.clause', 'bend.remembered']),
    )
  })
  it('refuses a clause that is empty, and a book that is no copy', () => {
    expect(
      bookFaults(withClause(STRUCTURAL, lineAt('bend.single'), { clause: ' ', remembered: 'sure' }), STRUCTURAL)[0],
    ).toMatchObject({ path: 'bend.clause' })
    expect(bookFaults({ ...STRUCTURAL, positions: STRUCTURAL.positions.slice(1) }, STRUCTURAL)[0]!.message).toMatch(
      /no copy of AWS D1.1/,
    )
    expect(
      bookFaults({ ...STRUCTURAL, bend: { ...STRUCTURAL.bend, singleReached: false } }, STRUCTURAL)[0]!.message,
    ).toMatch(/no copy/)
  })
})
