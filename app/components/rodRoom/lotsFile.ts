import { ValidationError } from 'yup'
import { rodLotsImportSchema, type RodLotSave, type RodRoom } from '~~/contract/rodRoom'
import type { RodLot } from '~~/core/rodRoom'
import { LOT_COLUMNS, type LotColumn } from '~/papers/lotColumns'
import { classOf, diameterOf, isCalled, listRows, wholeOf } from './rodList'

/** A line of a list of lots: what it says, how many rods lie there, and what is wrong with it. */
export interface LotLine {
  /** The lot that is kept already and meant by it; null for a new one. */
  readonly keptAs: string | null
  readonly lot: RodLotSave
  readonly rods: number
  readonly errors: readonly string[]
}

/** What a list leaves empty stays as it is kept, and the maker's lot as it was typed first. */
function withKept(
  written: RodLotSave,
  { id: _, ...kept }: RodLot,
  isEmpty: (column: LotColumn) => boolean,
): RodLotSave {
  const stays = (Object.keys(kept) as (keyof RodLotSave)[]).filter(field => isEmpty(columnOf(field)))
  return { ...written, ...Object.fromEntries(stays.map(field => [field, kept[field]])), makersLot: kept.makersLot }
}

/** Fields of a lot that are written otherwise in a list than they are kept. */
const COLUMN_OF: Readonly<Partial<Record<string, LotColumn>>> = { diameterMm: 'size', boxPriceCents: 'price' }
const columnOf = (field: string) => COLUMN_OF[field] ?? (field as LotColumn)

const centsOf = (written: string) =>
  written === '' ? null : Math.round(100 * Number(written.replace(/[^\d.,-]/g, '').replace(',', '.')))
const SAID_YES = /^(yes|y|true|1|r|x)$/i

const ANY_ID = '01900000-0000-7000-8000-000000000000'

/** A field as its column is called. */
const saidAs = (field: string): string => LOT_COLUMNS[columnOf(field)]?.[0] ?? field

function errorsOf(lot: RodLotSave, rods: number): string[] {
  try {
    const line = { id: ANY_ID, lineId: ANY_ID, lot, rods, counted: false }
    rodLotsImportSchema.validateSync({ lots: [line] }, { abortEarly: false })
    return []
  } catch (error) {
    if (!ValidationError.isError(error)) throw error
    return error.errors.map(message =>
      message.replace(/^lots\[0\]\.(?:lot\.)?(\w+)/, (_, field: string) => saidAs(field)),
    )
  }
}

/** What is kept already: a list of what was counted names the lot, and says the rest only where it has changed. */
type LotsKept = Pick<RodRoom, 'lots' | 'stock'>
const NONE_KEPT: LotsKept = { lots: [], stock: {} }

/**
 * A list of lots as our own goes out, or as a spreadsheet has it. Null where its first line names no column of one.
 * @param kept what the rod room has: a line that names one of its lots is a count of it
 */
export function readLots(text: string, { lots, stock }: LotsKept = NONE_KEPT): LotLine[] | null {
  const listed = listRows(text, LOT_COLUMNS, 'classification')
  if (!listed) return null
  return listed.map(of => {
    const written: RodLotSave = {
      classification: classOf(of('classification')),
      diameterMm: diameterOf(of('size')),
      makersLot: of('makersLot'),
      resistant: SAID_YES.test(of('resistant')),
      receivedOn: of('receivedOn'),
      openedOn: of('openedOn') || null,
      rodsInBox: wholeOf(of('rodsInBox'), Number.NaN),
      boxPriceCents: centsOf(of('price')),
      place: of('place'),
    }
    const kept = lots.find(one => isCalled(one, written))
    const lot = kept ? withKept(written, kept, column => of(column) === '') : written
    const rods = wholeOf(of('rods'), kept ? (stock[kept.id] ?? 0) : 0)
    return { keptAs: kept?.id ?? null, lot, rods, errors: errorsOf(lot, rods) }
  })
}
