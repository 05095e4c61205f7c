import { describe, expect, it } from 'vitest'
import { bookLines, ISO_9606, SHIPPED_BOOKS, STRUCTURAL } from '~~/core/qualification'
import { bookGroups, sayDoubt, sayValue } from './bookGroups'

describe('a code book on its page', () => {
  it.each(SHIPPED_BOOKS.map(book => [book.name, book] as const))('%s: every line stands in one group', (_, book) => {
    const groups = bookGroups(book)
    expect(groups.flatMap(group => group.lines)).toHaveLength(bookLines(book).length)
    expect(groups.map(group => group.name).slice(0, 3)).toEqual(['Positions', 'Thickness', 'Diameter'])
  })
  it('is read in both printed units, a metric book in its own', () => {
    expect([
      sayValue({ is: 'size', in: 1 / 8, mm: 3 }, false),
      sayValue({ is: 'size', in: 3 / 25.4, mm: 3 }, true),
      sayValue({ is: 'number', value: 6 }, false),
      sayValue({ is: 'positions', letters: ['F', 'V'] }, false),
      sayValue({ is: 'positions', letters: [] }, false),
      sayValue({ is: 'specimens', kinds: ['root', 'face'] }, false),
      sayValue({ is: 'words', words: 'a new test' }, false),
    ]).toEqual(['1/8 in (3 mm)', '3 mm', '6', 'flat, vertical', 'none', 'root, face', 'a new test'])
  })
  it('says where a line is not sure, and where a school has checked it', () => {
    const doubts = (book: typeof STRUCTURAL) => new Set(bookLines(book).map(sayDoubt))
    expect(doubts(STRUCTURAL)).toEqual(new Set(['', 'check before it decides', 'may be wrong']))
    expect(doubts(ISO_9606).has('check before it decides')).toBe(true)
    const [line] = bookLines(STRUCTURAL)
    expect(sayDoubt({ ...line!, source: { clause: 'x', remembered: 'checked' } })).toBe('checked')
  })
})
