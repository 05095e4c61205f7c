import { TRAVEL_MM_PER_MINUTE } from '~~/core/floor'
import { rateInWords } from '~~/core/progress'
import { formatLength, inches, round, type LengthUnit } from '~~/core/units'
import type { ReportRow } from '~~/contract/progress'
import { writeCsv } from './csv'

/** Below this many coupons a rate is not told. Common practice. */
const FEW = 5

/** A long length as it is told: feet, or metres. @example sayWelded(30480, 'in') // '100 ft' */
export const sayWelded = (mm: number, unit: LengthUnit): string =>
  unit === 'in' ? `${round(mm / inches(12), 0)} ft` : mm < 1000 ? formatLength(mm, 'mm') : `${round(mm / 1000, 0)} m`

/** Arc time reckoned from the length of bead: hours, to a half. */
export const arcHours = (mm: number): number => Math.round((mm / TRAVEL_MM_PER_MINUTE / 60) * 2) / 2

/** Hours, to a half. */
export const boothHours = (minutes: number): number => Math.round(minutes / 30) / 2

/** A student's rates, in words. */
export const ratesInWords = ({ rates }: ReportRow): { element: string; words: string }[] =>
  rates.map(({ element, rate, coupons }) => ({ element, words: rateInWords(rate, coupons < FEW) }))

/**
 * The report as a table for a spreadsheet: a line a student. Names that a spreadsheet would take for a formula are
 * quoted off.
 */
export function reportCsv(rows: readonly ReportRow[], unit: LengthUnit): string {
  const elements = [...new Set(rows.flatMap(row => row.rates.map(rate => rate.element)))]
  return writeCsv({
    fields: [
      'Student',
      'Hand',
      'Start date',
      'Class days',
      'In the booth, h',
      'First coupon',
      'Last coupon',
      'Coupons',
      unit === 'in' ? 'Welded, ft' : 'Welded, m',
      'Arc time reckoned, h',
      'Rungs signed off',
      'Working on',
      ...elements,
    ],
    data: rows.map(row => [
      row.student.name,
      row.student.hand,
      row.student.startDate,
      row.days,
      boothHours(row.boothMinutes),
      row.firstDay ?? '',
      row.lastDay ?? '',
      row.coupons,
      unit === 'in' ? round(row.weldedMm / inches(12), 0) : round(row.weldedMm / 1000, 1),
      arcHours(row.weldedMm),
      row.signedOff.map(one => one.rung).join('; '),
      row.current ?? '',
      ...elements.map(element => ratesInWords(row).find(one => one.element === element)?.words ?? ''),
    ]),
  })
}
