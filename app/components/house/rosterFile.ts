import { isValid, parse } from 'date-fns'
import Papa from 'papaparse'
import { readCell } from '~/papers/csv'
import { ValidationError } from 'yup'
import { rosterImportSchema, rosterRepeats, type RosterImport } from '~~/contract/people'
import { plainHeading } from '~/composables/listFile'

/** Lists of people as they come out of a spreadsheet, a college's system or a mail: read, matched, checked. */
export type RosterStudent = RosterImport['students'][number]

/** What a column can hold; a name may stand in two. */
export const ROSTER_FIELDS = ['name', 'first name', 'last name', 'hand', 'start', 'booth'] as const
export type RosterField = (typeof ROSTER_FIELDS)[number]

export interface RosterTable {
  /** Names of the columns: of the first line, or made up where it is a student already. */
  readonly columns: readonly string[]
  readonly rows: readonly (readonly string[])[]
}

/** Which field each column holds; null for one that is left out. */
export type RosterMatch = readonly (RosterField | null)[]

export interface RosterLine {
  readonly student: RosterStudent
  readonly errors: readonly string[]
}

/** What columns are called, in lower case without signs. The first that fits is taken. */
const CALLED: Readonly<Record<RosterField, readonly string[]>> = {
  'first name': ['first name', 'firstname', 'given name', 'forename', 'first', 'given'],
  'last name': ['last name', 'lastname', 'surname', 'family name', 'last', 'family'],
  'name': ['name', 'student', 'student name', 'full name', 'learner', 'participant', 'pupil', 'trainee', 'who'],
  'hand': ['hand', 'handed', 'handedness', 'writing hand', 'left or right'],
  'start': ['start', 'start date', 'startdate', 'started', 'from', 'since', 'enrolled', 'enrolment date', 'begins'],
  'booth': ['booth', 'booth number', 'bay', 'station', 'stall', 'place', 'seat'],
}
const ONE_LINE = '01900000-0000-7000-8000-000000000000'
const fieldCalled = (heading: string): RosterField | null =>
  ROSTER_FIELDS.find(field => CALLED[field].includes(plainHeading(heading))) ?? null

/**
 * A list as it was pasted or read from a file: commas, semicolons or tabs. Its first line names the columns, unless no
 * word of it is known: then it is a student like the rest. Null where no student stands on it.
 */
export function readTable(text: string): RosterTable | null {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: 'greedy' })
  const [first = [], ...rest] = data.map(row => row.map(cell => readCell(cell.trim())))
  const width = Math.max(0, ...data.map(row => row.length))
  const wide = (row: readonly string[]) => Array.from({ length: width }, (_, n) => row[n] ?? '')
  const headed = first.some(fieldCalled)
  const rows = (headed ? rest : [first, ...rest]).map(wide).filter(row => row.some(cell => cell !== ''))
  if (rows.length === 0) return null
  return { columns: wide(headed ? first : []).map((name, n) => name || `Column ${n + 1}`), rows }
}

/** Which field each column holds, by what it is called; the first column holds names where none is called so. */
export function matchColumns({ columns }: RosterTable): RosterMatch {
  const taken = new Set<RosterField>()
  const match = columns.map(column => {
    const field = fieldCalled(column)
    if (!field || taken.has(field)) return null
    taken.add(field)
    return field
  })
  if (taken.has('name') || taken.has('first name') || taken.has('last name')) return match
  const free = match.indexOf(null)
  return match.map((field, n) => (n === free ? 'name' : field))
}

/** Days as people write them. Day before month only with dots, where it is not meant otherwise. */
const DAY_FORMATS = ['yyyy-MM-dd', 'yyyy/MM/dd', 'd.M.yyyy', 'd MMM yyyy', 'd MMMM yyyy', 'MMM d, yyyy', 'MMMM d, yyyy']
const NOON = new Date(2026, 0, 1, 12)

/** A day as ISO 8601; what cannot be read, or can be read two ways like 3/4/2026, stays as it is and is refused. */
function dayFrom(written: string): string {
  for (const format of DAY_FORMATS) {
    const day = parse(written, format, NOON)
    if (isValid(day)) return isoDay(day.getFullYear(), day.getMonth() + 1, day.getDate())
  }
  const [, one, other, year] = /^(\d{1,2})\/(\d{1,2})\/(\d{4})$/.exec(written) ?? []
  if (Number(one) > 12 && Number(other) <= 12) return isoDay(Number(year), Number(other), Number(one))
  if (Number(other) > 12 && Number(one) <= 12) return isoDay(Number(year), Number(one), Number(other))
  return written
}
const isoDay = (year: number, month: number, day: number) =>
  `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`

/** The students of a table. What is not given is right-handed, from `startDate`, without a booth. */
export function rosterLines({ rows }: RosterTable, match: RosterMatch, startDate: string): RosterLine[] {
  const cell = (row: readonly string[], field: RosterField) => row[match.indexOf(field)]?.trim() ?? ''
  const students = rows.map(row => {
    const hand = cell(row, 'hand').toLowerCase()
    const booth = cell(row, 'booth').replace(/^(booth|bay|no\.?)\s*/i, '')
    return {
      name: cell(row, 'name') || `${cell(row, 'first name')} ${cell(row, 'last name')}`.trim(),
      hand: (/^l/.test(hand) ? 'left' : /^r/.test(hand) || hand === '' ? 'right' : hand) as RosterStudent['hand'],
      startDate: dayFrom(cell(row, 'start')) || startDate,
      booth: booth === '' ? null : Number(booth),
    }
  })
  return checkedLines(students)
}

/** The students of a list with what is wrong, in words of the list: of each alone, and who stands on it twice. */
export function checkedLines(students: readonly RosterStudent[]): RosterLine[] {
  const repeats = rosterRepeats(students)
  return students.map((student, n) => ({
    student,
    errors: [...errorsOf(student), ...repeats.filter(one => one.index === n).map(one => one.message)],
  }))
}

function errorsOf(student: RosterStudent): string[] {
  if (Number.isNaN(student.booth)) return ['booth is a whole number']
  try {
    rosterImportSchema.validateSync({ sectionId: ONE_LINE, students: [student] }, { abortEarly: false })
    return []
  } catch (error) {
    return error instanceof ValidationError
      ? error.errors.map(message => message.replace(/^students\[0\]\./, '').replace(/^startDate/, 'start'))
      : [String(error)]
  }
}
