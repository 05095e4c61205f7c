import type { CodeBook } from '~~/core/qualification'
import { continuityOf, countsAsPassed } from '~~/core/welderTest'
import type { TestBay, TestSummary } from '~~/contract/welderTests'
import type { Lapse } from '~/papers/lapsesIcs'

/**
 * How every student stands who ever passed a test, by process and book; what ends soonest first, what has lapsed
 * last.
 */
export function continuityRows(
  { tests, uses }: TestBay,
  bookOf: (ref: { readonly id: string; readonly version: number }) => CodeBook,
  today: string,
): Lapse[] {
  const ofStudent = new Map<string, TestSummary[]>(tests.map(test => [test.studentId, []]))
  for (const test of tests) ofStudent.get(test.studentId)!.push(test)
  const passed = tests.filter(test => countsAsPassed(test, ofStudent.get(test.studentId)!))
  const students = new Map(passed.map(test => [test.studentId, test.student]))
  const rows = [...students].flatMap(([studentId, student]) =>
    continuityOf(
      passed
        .filter(test => test.studentId === studentId)
        .map(test => ({ book: bookOf(test.book), processes: test.processes, testDay: test.testDay })),
      uses.filter(use => use.studentId === studentId),
      today,
    ).map(row => ({ ...row, studentId, student })),
  )
  return rows.sort(
    (a, b) =>
      Number(a.lapsedOn !== null) - Number(b.lapsedOn !== null) ||
      (a.lapsedOn === null ? a.lastDay.localeCompare(b.lastDay) : b.lastDay.localeCompare(a.lastDay)),
  )
}

/** Those of students who have not left the school. */
export function rowsOfThoseHere(rows: readonly Lapse[], { tests }: Pick<TestBay, 'tests'>): Lapse[] {
  const here = new Set(tests.filter(test => test.here).map(test => test.studentId))
  return rows.filter(row => here.has(row.studentId))
}
