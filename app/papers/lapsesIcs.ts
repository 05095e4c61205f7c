import { createEvents, type DateArray } from 'ics'
import { addDays, formatISO, parseISO } from 'date-fns'
import { clauseIn } from '~~/core/qualification'
import type { Continuity } from '~~/core/welderTest'

/** A welder's qualifications by one process and book. */
export interface Lapse extends Continuity {
  readonly studentId: string
  readonly student: string
}

const WARN_DAYS = 30
const dateOf = (day: string) => day.split('-').map(Number) as unknown as DateArray

const describe = ({ lastUsed, book }: Lapse) =>
  [
    `Last used ${lastUsed}.`,
    `${book.name} ${book.continuity.says} (${clauseIn(book, book.continuity)}).`,
    'A school’s record; the code in force decides.',
  ].join(' ')

/**
 * The last days of what stands as a calendar, whole days, each with a reminder a month ahead. Importing it again
 * moves an entry, and does not double it.
 * @throws Error when the calendar cannot be made
 */
export function lapsesIcs(rows: readonly Lapse[]): string {
  const { error, value } = createEvents(
    rows.map(row => ({
      uid: `${row.studentId}-${row.book.id}-${row.process}@fusilis`,
      productId: 'fusilis',
      calName: 'Continuity',
      title: `${row.student}: ${row.process} by ${row.book.name} lapses after today`,
      description: describe(row),
      start: dateOf(row.lastDay),
      end: dateOf(formatISO(addDays(parseISO(row.lastDay), 1), { representation: 'date' })),
      alarms: [
        {
          action: 'display',
          description: `${row.student}: ${row.process} lapses in ${WARN_DAYS} days`,
          trigger: { before: true, hours: 24 * WARN_DAYS },
        },
      ],
    })),
  )
  if (error || !value) throw error ?? new Error('The calendar could not be made')
  return value
}
