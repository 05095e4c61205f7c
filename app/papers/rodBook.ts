import type { RodRoom, RodsUsed } from '~~/contract/rodRoom'
import { rodSizeOf } from '~~/core/trade'
import { BOOK_COLUMNS, KIND_NAMES, STUB_COLUMNS, type BookColumn } from './bookColumns'
import { LOT_COLUMNS, type LotColumn } from './lotColumns'
import { writeCsv } from './csv'

/** Lots with what lies there, as a spreadsheet takes them, and as they come in again. */
export const lotsCsv = ({ lots, stock }: RodRoom): string =>
  writeCsv(
    lots.map(lot => {
      const said: Readonly<Record<LotColumn, string | number>> = {
        classification: lot.classification,
        size: rodSizeOf(lot.diameterMm).label,
        makersLot: lot.makersLot,
        resistant: lot.resistant ? 'yes' : 'no',
        receivedOn: lot.receivedOn,
        openedOn: lot.openedOn ?? '',
        rodsInBox: lot.rodsInBox,
        price: lot.boxPriceCents === null ? '' : (lot.boxPriceCents / 100).toFixed(2),
        place: lot.place,
        rods: stock[lot.id] ?? 0,
      }
      return Object.fromEntries(
        Object.entries(LOT_COLUMNS).map(([column, [name]]) => [name, said[column as LotColumn]]),
      )
    }),
  )

type Book = Pick<RodRoom, 'lots' | 'stock'> & Pick<RodsUsed, 'movements' | 'names'>

/**
 * The book of the last weeks, line by line, as a spreadsheet takes it, and as it comes in again. How many rods a line
 * is about stands without a sign; of a count, how many lay there.
 */
export function bookCsv({ lots, stock, movements, names }: Book): string {
  const lotOf = new Map(lots.map(lot => [lot.id, lot]))
  const there = new Map(Object.entries(stock))
  const after = new Map<string, number>()
  for (const { id, lotId, rods } of [...movements].reverse()) {
    after.set(id, there.get(lotId) ?? 0)
    there.set(lotId, (there.get(lotId) ?? 0) - rods)
  }
  return writeCsv(
    movements.map(line => {
      const lot = lotOf.get(line.lotId)
      const said: Readonly<Record<BookColumn, string | number>> = {
        at: line.at,
        kind: KIND_NAMES[line.kind][0],
        classification: lot?.classification ?? '',
        size: lot ? rodSizeOf(lot.diameterMm).label : '',
        makersLot: lot?.makersLot ?? '',
        rods: line.kind === 'counted' ? after.get(line.id)! : Math.abs(line.rods),
        who: line.studentId ? (names[line.studentId] ?? '') : '',
        booth: line.booth ?? '',
        why: line.why,
        line: line.id,
        handful: line.handfulId ?? '',
      }
      return {
        ...Object.fromEntries(
          Object.entries(BOOK_COLUMNS).map(([column, [name]]) => [name, said[column as BookColumn]]),
        ),
        ...Object.fromEntries(STUB_COLUMNS.map(({ id, names: [name] }) => [name!, line.stubs?.[id] ?? ''])),
        'noted by': line.by,
      }
    }),
  )
}
