import Papa from 'papaparse'
import { readCell } from '~/papers/csv'
import { ELECTRODES, ROD_SIZES } from '~~/core/trade'
import { plainHeading } from '~/composables/listFile'

/** A row of a list: what stands under a column, without the blanks around it; empty where there is none. */
export type ListRow<Column extends string> = (column: Column) => string

/**
 * The rows of a list whose first line names its columns, in our words or a spreadsheet's own. Null where none of them
 * is called as the one that it needs, or nothing stands under them.
 * @param names what each column is called
 */
export function listRows<Column extends string>(
  text: string,
  names: Readonly<Record<Column, readonly string[]>>,
  needs: NoInfer<Column>,
): ListRow<Column>[] | null {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, '').trim(), {
    header: true,
    skipEmptyLines: 'greedy',
  })
  const headings = new Map<Column, string>()
  for (const heading of meta.fields ?? []) {
    const column = (Object.keys(names) as Column[]).find(one =>
      names[one].some(name => plainHeading(name) === plainHeading(heading)),
    )
    if (column && !headings.has(column)) headings.set(column, heading)
  }
  if (!headings.has(needs) || data.length === 0) return null
  return data.map(row => column => readCell((row[headings.get(column) ?? ''] ?? '').trim()))
}

/** No rod is of it. */
const NO_SIZE = 0

/** A size by how it is written: `1/8`, `1/8 in`, `3.2`, `3,2 mm`. */
export function diameterOf(written: string): number {
  const size = written.replace(',', '.').replace(/["”]/g, '').trim().toLowerCase()
  const found = ROD_SIZES.find(
    ({ name, label, diameterMm, unit }) =>
      [name, label].includes(size) || (unit === 'mm' && Number(size.replace(/mm$/, '')) === diameterMm),
  )
  return found?.diameterMm ?? NO_SIZE
}

/** A classification however its letters are written; what is none stays as it is. */
export const classOf = (written: string): string =>
  ELECTRODES.find(row => row.classification.toLowerCase() === written.toLowerCase())?.classification ?? written

/** A whole number as it is written; what an empty field counts for is said. */
export const wholeOf = (written: string, none: number): number => (written === '' ? none : Number(written))

const SAME_SIZE_MM = 0.01

/** Whether a lot is the one that a list names: by rod, size and what its maker calls it. */
export const isCalled = (
  lot: { readonly classification: string; readonly diameterMm: number; readonly makersLot: string },
  { classification, diameterMm, makersLot }: typeof lot,
): boolean =>
  lot.classification === classification &&
  Math.abs(lot.diameterMm - diameterMm) < SAME_SIZE_MM &&
  lot.makersLot.toLowerCase() === makersLot.toLowerCase()
