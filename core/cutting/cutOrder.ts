/** Pieces wanted of one section of bar, plate strip or pipe. Lengths in mm. */
export interface WantedPiece {
  readonly name: string
  readonly lengthMm: number
  readonly count: number
}

/** What there is to cut from: stock lengths as they are bought, or offcuts that lie there. */
export interface StockLength {
  readonly name: string
  readonly lengthMm: number
  /** How many there are; null for as many as are bought. */
  readonly count: number | null
}

/** What is to be cut, of what, and how. */
export interface CutOrder {
  readonly pieces: readonly WantedPiece[]
  readonly stock: readonly StockLength[]
  /** What the saw takes, mm. */
  readonly kerfMm: number
  /** The shortest offcut that is kept, mm. */
  readonly leastOffcutMm: number
}

/** Most different lengths, and most pieces of one: beyond it a list is a slip of the keys. */
export const MOST_LENGTHS = 20
export const MOST_PIECES = 500

/**
 * What is wrong with an order, in words; empty where it can be cut.
 * @example cutFaults({ ...order, pieces: [] }) // ['Say what is wanted']
 */
export function cutFaults({ pieces, stock, kerfMm }: CutOrder): string[] {
  const longest = Math.max(0, ...stock.map(one => one.lengthMm))
  const fits = (count: number, most: number) => Number.isInteger(count) && count >= 1 && count <= most
  return [
    ...(pieces.length === 0 ? ['Say what is wanted'] : []),
    ...(stock.length === 0 ? ['Say what there is to cut from'] : []),
    ...(pieces.length > MOST_LENGTHS ? [`At most ${MOST_LENGTHS} different lengths`] : []),
    ...(kerfMm >= 0 && kerfMm <= 25 ? [] : ['The saw takes from nought to an inch']),
    ...pieces.flatMap(({ name, lengthMm, count }) => [
      ...(fits(count, MOST_PIECES) ? [] : [`${name}: how many, a whole number from 1 to ${MOST_PIECES}`]),
      ...(lengthMm > 0 ? [] : [`${name}: a length over nought`]),
      ...(stock.length > 0 && lengthMm > longest ? [`${name} is longer than anything there is`] : []),
    ]),
    ...stock.flatMap(({ name, lengthMm, count }) => [
      ...(lengthMm > 0 ? [] : [`${name}: a length over nought`]),
      ...(count === null || fits(count, MOST_PIECES) ? [] : [`${name}: how many, a whole number from 1`]),
    ]),
  ]
}
