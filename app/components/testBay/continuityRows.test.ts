import { describe, expect, it } from 'vitest'
import { shippedBook } from '~~/core/qualification'
import type { KeptUse, TestBay, TestSummary } from '~~/contract/welderTests'
import { continuityRows, rowsOfThoseHere } from './continuityRows'
import { isOpen, STATE_WORDS, urgencyOf } from './testHeading'

const test = (id: string, student: string, testDay: string, more: Partial<TestSummary> = {}): TestSummary => ({
  id,
  studentId: student.toLowerCase(),
  student,
  here: true,
  book: { id: 'structural', version: 0 },
  pieceName: '3G plate',
  position: '3G',
  classification: 'E7018',
  processes: ['SMAW'],
  testDay,
  state: 'passed',
  odds: null,
  retest: null,
  bent: 2,
  opened: 0,
  ...more,
})
const use = (student: string, usedOn: string): KeptUse => ({
  id: usedOn,
  studentId: student.toLowerCase(),
  student,
  process: 'SMAW',
  kind: 'used',
  usedOn,
  witness: 'Tobias',
})
const rows = (bay: TestBay, today = '2026-11-25') =>
  continuityRows(bay, ref => shippedBook(ref.id), today).map(
    row => `${row.student} ${row.book.id} ${row.lastDay}${row.lapsedOn ? ' lapsed' : ''}`,
  )

describe('how the school’s students stand', () => {
  it('reminds nobody of those who have left', () => {
    const tests = [test('a', 'Runa', '2026-09-01'), test('b', 'Oskar', '2026-09-01', { here: false })]
    const all = continuityRows({ tests, uses: [] }, ref => shippedBook(ref.id), '2026-11-25')
    expect(all.map(row => row.student)).toEqual(['Runa', 'Oskar'])
    expect(rowsOfThoseHere(all, { tests }).map(row => row.student)).toEqual(['Runa'])
  })
  it('what ends soonest first, what has lapsed last, newest lapse first', () => {
    expect(
      rows({
        tests: [
          test('1', 'Ada', '2026-10-01'),
          test('2', 'Bo', '2026-06-10'),
          test('3', 'Cy', '2026-01-10'),
          test('4', 'Di', '2026-03-10'),
        ],
        uses: [],
      }),
    ).toEqual([
      'Bo structural 2026-12-10',
      'Ada structural 2027-04-01',
      'Di structural 2026-09-10 lapsed',
      'Cy structural 2026-07-10 lapsed',
    ])
  })
  it('goes by each student’s own uses, and each book by its own rule', () => {
    const tests = [
      test('1', 'Ada', '2026-06-01'),
      test('2', 'Ada', '2026-06-01', { book: { id: 'ISO', version: 0 } }),
      test('3', 'Bo', '2026-06-01'),
    ]
    expect(rows({ tests, uses: [use('Ada', '2026-11-01')] })).toEqual([
      'Ada ISO 2026-12-01',
      'Bo structural 2026-12-01',
      'Ada structural 2027-05-01',
    ])
  })
  it('a failed test gives nothing, one of two retests neither', () => {
    const retest = { of: '1', pieces: 2 }
    const failed = test('1', 'Ada', '2026-10-01', { state: 'failed' })
    expect(rows({ tests: [failed], uses: [] })).toEqual([])
    expect(rows({ tests: [failed, test('2', 'Ada', '2026-10-08', { retest })], uses: [] })).toEqual([])
    expect(
      rows({
        tests: [
          failed,
          test('2', 'Ada', '2026-10-08', { retest }),
          test('3', 'Ada', '2026-10-09', { retest, state: 'failed' }),
        ],
        uses: [],
      }),
    ).toEqual([])
    expect(
      rows({
        tests: [failed, test('2', 'Ada', '2026-10-08', { retest }), test('3', 'Ada', '2026-10-09', { retest })],
        uses: [],
      }),
    ).toEqual(['Ada structural 2027-04-09'])
  })
})

it('states have words, and what runs comes before what waits and what is planned', () => {
  const states = Object.keys(STATE_WORDS) as TestSummary['state'][]
  expect(states.filter(isOpen).sort((a, b) => urgencyOf(a) - urgencyOf(b))).toEqual([
    'under way',
    'for visual',
    'for specimens',
    'planned',
  ])
  expect(new Set(Object.values(STATE_WORDS)).size).toBe(states.length)
})
