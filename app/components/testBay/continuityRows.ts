import type { CodeBook } from '~~/core/qualification'
import { continuityOf, countsAsPassed } from '~~/core/welderTest'
import type { TestBay } from '~~/contract/welderTests'
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
  const passed = tests.filter(test =>
    countsAsPassed(
      test,
      tests.filter(other => other.studentId === test.studentId),
    ),
  )
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
