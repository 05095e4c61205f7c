import Papa from 'papaparse'
import { ValidationError } from 'yup'
import { rodLotsImportSchema, type RodLotSave } from '~~/contract/rodRoom'
import { ELECTRODES, ROD_SIZES } from '~~/core/trade'
import { plainHeading } from '~/composables/listFile'
import { LOT_COLUMNS, type LotColumn } from '~/papers/lotColumns'

/** A line of a list of lots: what it says, how many rods lie there, and what is wrong with it. */
export interface LotLine {
  readonly lot: RodLotSave
  readonly rods: number
  readonly errors: readonly string[]
}

const columnCalled = (heading: string): LotColumn | null =>
  (Object.keys(LOT_COLUMNS) as LotColumn[]).find(column =>
    LOT_COLUMNS[column].some(name => plainHeading(name) === plainHeading(heading)),
  ) ?? null

/** No rod is of it. */
const NO_SIZE = 0

/** A size by how it is written: `1/8`, `1/8 in`, `3.2`, `3,2 mm`. */
function diameterOf(written: string): number {
  const size = written.replace(',', '.').replace(/["”]/g, '').trim().toLowerCase()
  const found = ROD_SIZES.find(
    ({ name, label, diameterMm, unit }) =>
      [name, label].includes(size) || (unit === 'mm' && Number(size.replace(/\s*mm$/, '')) === diameterMm),
  )
  return found?.diameterMm ?? NO_SIZE
}

const wholeOf = (written: string, none: number) => (written === '' ? none : Number(written))
const centsOf = (written: string) =>
  written === '' ? null : Math.round(100 * Number(written.replace(/[^\d.,-]/g, '').replace(',', '.')))
const classOf = (written: string) =>
  ELECTRODES.find(row => row.classification.toLowerCase() === written.toLowerCase())?.classification ?? written
const SAID_YES = /^(yes|y|true|1|r|x)$/i

const ANY_ID = '01900000-0000-7000-8000-000000000000'

/** A field as its column is called. */
function saidAs(field: string): string {
  const column = { diameterMm: 'size', boxPriceCents: 'price' }[field] ?? field
  return LOT_COLUMNS[column as LotColumn]?.[0] ?? field
}

function errorsOf(lot: RodLotSave, rods: number): string[] {
  try {
    rodLotsImportSchema.validateSync({ lots: [{ id: ANY_ID, lineId: ANY_ID, lot, rods }] }, { abortEarly: false })
    return []
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    return error.errors.map(message =>
      message.replace(/^lots\[0\]\.(?:lot\.)?(\w+)/, (_, field: string) => saidAs(field)),
    )
  }
}

/** A list of lots as our own goes out, or as a spreadsheet has it. Null where its first line names no column of one. */
export function readLots(text: string): LotLine[] | null {
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, '').trim(), {
    header: true,
    skipEmptyLines: 'greedy',
  })
  const columns = (meta.fields ?? []).map(heading => [heading, columnCalled(heading)] as const)
  if (!columns.some(([, column]) => column === 'classification') || data.length === 0) return null
  return data.map(row => {
    const of = (wanted: LotColumn) => {
      const heading = columns.find(([, column]) => column === wanted)?.[0]
      return (heading === undefined ? '' : (row[heading] ?? '')).trim()
    }
    const lot: RodLotSave = {
      classification: classOf(of('classification')),
      diameterMm: diameterOf(of('size')),
      makersLot: of('makersLot'),
      resistant: SAID_YES.test(of('resistant')),
      receivedOn: of('receivedOn'),
      rodsInBox: wholeOf(of('rodsInBox'), Number.NaN),
      boxPriceCents: centsOf(of('price')),
      place: of('place'),
    }
    const rods = wholeOf(of('rods'), 0)
    return { lot, rods, errors: errorsOf(lot, rods) }
  })
}
