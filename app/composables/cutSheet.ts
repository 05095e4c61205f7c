import type { CutOrder } from '~~/core/cutting'
import { parseLength, type LengthUnit } from '~~/core/units'

/** A row of the sheet as it is typed. */
export interface TypedRow {
  readonly name: string
  readonly length: string
  readonly count: string
}
/** The sheet as it is typed: what is wanted, what there is, the saw. */
export interface TypedCut {
  readonly pieces: readonly TypedRow[]
  readonly stock: readonly TypedRow[]
  readonly kerf: string
  readonly leastOffcut: string
}

export const EMPTY_ROW: TypedRow = { name: '', length: '', count: '' }

/** What a school cuts most: practice plates off flat bar, by its own unit. */
export const usualCut = (unit: LengthUnit): TypedCut =>
  unit === 'in'
    ? {
        pieces: [
          { name: 'practice plate', length: '6', count: '24' },
          { name: 'T upright', length: '8', count: '12' },
        ],
        stock: [{ name: '20 ft bar', length: '240', count: '' }],
        kerf: '1/8',
        leastOffcut: '6',
      }
    : {
        pieces: [
          { name: 'practice plate', length: '150', count: '24' },
          { name: 'T upright', length: '200', count: '12' },
        ],
        stock: [{ name: '6 m bar', length: '6000', count: '' }],
        kerf: '3',
        leastOffcut: '150',
      }

const isEmpty = ({ name, length, count }: TypedRow) => [name, length, count].every(text => text.trim() === '')

/**
 * The order that a sheet says; rows that are empty are left out.
 * @throws RangeError naming what cannot be read
 */
export function orderOf({ pieces, stock, kerf, leastOffcut }: TypedCut, unit: LengthUnit): CutOrder {
  const length = (text: string, of: string) => {
    try {
      return parseLength(text, unit)
    } catch {
      throw new RangeError(`${of}: a length like ${unit === 'in' ? '5 1/2' : '140'}`)
    }
  }
  const named = (row: TypedRow, n: number, what: string) => row.name.trim() || `${what} ${n + 1}`
  return {
    pieces: pieces
      .filter(row => !isEmpty(row))
      .map((row, n) => {
        const name = named(row, n, 'piece')
        return { name, lengthMm: length(row.length, name), count: Number(row.count) }
      }),
    stock: stock
      .filter(row => !isEmpty(row))
      .map((row, n) => {
        const name = named(row, n, 'stock')
        return {
          name,
          lengthMm: length(row.length, name),
          count: row.count.trim() === '' ? null : Number(row.count),
        }
      }),
    kerfMm: kerf.trim() === '' ? 0 : length(kerf, 'What the saw takes'),
    leastOffcutMm: leastOffcut.trim() === '' ? 0 : length(leastOffcut, 'Offcuts kept from'),
  }
}
