import Papa from 'papaparse'
import type { RodRoom } from '~~/contract/rodRoom'
import { STUB_CLASSES, type StubClass } from '~~/core/rodRoom'
import { rodSizeOf } from '~~/core/trade'

/** Lots with what lies there, as a spreadsheet takes them. */
export const lotsCsv = ({ lots, stock }: RodRoom): string =>
  Papa.unparse(
    lots.map(lot => ({
      'rod': lot.classification,
      'size': rodSizeOf(lot.diameterMm).label,
      'maker’s lot': lot.makersLot,
      'R on it': lot.resistant ? 'yes' : 'no',
      'received': lot.receivedOn,
      'rods in a box': lot.rodsInBox,
      'price of a box': lot.boxPriceCents === null ? '' : (lot.boxPriceCents / 100).toFixed(2),
      'where': lot.place,
      'rods there': stock[lot.id] ?? 0,
    })),
  )

/** The book of the last weeks, line by line. */
export const bookCsv = ({ lots, movements, names }: RodRoom): string =>
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
