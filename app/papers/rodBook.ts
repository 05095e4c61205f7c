import Papa from 'papaparse'
import type { RodRoom, RodsUsed } from '~~/contract/rodRoom'
import { STUB_CLASSES, type StubClass } from '~~/core/rodRoom'
import { rodSizeOf } from '~~/core/trade'
import { LOT_COLUMNS, type LotColumn } from './lotColumns'

/** Lots with what lies there, as a spreadsheet takes them, and as they come in again. */
export const lotsCsv = ({ lots, stock }: RodRoom): string =>
  Papa.unparse(
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

/** The book of the last weeks, line by line. */
export const bookCsv = ({
  lots,
  movements,
  names,
}: Pick<RodRoom, 'lots'> & Pick<RodsUsed, 'movements' | 'names'>): string =>
  Papa.unparse(
    movements.map(line => {
      const lot = lots.find(one => one.id === line.lotId)
      return {
        'when': line.at,
        'what': line.kind,
        'rod': lot?.classification ?? '',
        'maker’s lot': lot?.makersLot ?? '',
        'store changes by': line.rods,
        'who': line.studentId ? (names[line.studentId] ?? '') : '',
        'booth': line.booth ?? '',
        ...Object.fromEntries(
          STUB_CLASSES.map(({ id, name }) => [`stubs ${name}`, line.stubs?.[id as StubClass] ?? '']),
        ),
        'why': line.why,
        'noted by': line.by,
      }
    }),
  )
