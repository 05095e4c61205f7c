import Papa from 'papaparse'
import { rosterImportSchema, type RosterImport } from '~~/contract/people'
import { ValidationError } from 'yup'

export interface RosterLine {
  /** Line of the file, the heading being line 1. */
  readonly line: number
  readonly student: RosterImport['students'][number]
  readonly errors: readonly string[]
}

export interface RosterPreview {
  readonly lines: readonly RosterLine[]
  /** What is wrong with the file as a whole; then there are no lines. */
  readonly problem: string | null
}

const COLUMNS: Readonly<Record<string, 'name' | 'hand' | 'startDate' | 'booth'>> = {
  'name': 'name',
  'student': 'name',
  'hand': 'hand',
  'start': 'startDate',
  'start date': 'startDate',
  'startdate': 'startDate',
  'booth': 'booth',
}
const ONE_LINE = '01900000-0000-7000-8000-000000000000'

/** Decodes a file's bytes: UTF-8, or Latin-1 when they are not UTF-8. */
export function decodeText(bytes: ArrayBuffer): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/**
 * Reads a roster: a heading line with `name`, and if wanted `hand`, `start` and `booth`; comma, semicolon or tab.
 * Every line is checked by the contract; a hand or start that is not given is right-handed from `startDate`.
 */
export function parseRoster(text: string, startDate: string): RosterPreview {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: heading => COLUMNS[heading.trim().toLowerCase()] ?? heading.trim(),
  })
  if (!meta.fields?.includes('name'))
    return {
      lines: [],
      problem: 'The first line names the columns; one of them is “name”. Others may be “hand”, “start” and “booth”.',
    }
  if (data.length === 0) return { lines: [], problem: 'There is nobody on this list under its first line.' }
  return { lines: data.map((row, index) => readLine(row, index + 2, startDate)), problem: null }
}

function readLine(row: Record<string, string>, line: number, startDate: string): RosterLine {
  const booth = (row.booth ?? '').trim()
  const student = {
    name: (row.name ?? '').trim(),
    hand: ((row.hand ?? '').trim().toLowerCase() || 'right') as 'right' | 'left',
    startDate: (row.startDate ?? '').trim() || startDate,
    booth: booth === '' ? null : Number(booth),
  }
  return { line, student, errors: errorsOf(student) }
}

function errorsOf(student: RosterLine['student']): string[] {
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
