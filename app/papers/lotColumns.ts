/** The columns of a list of lots, in and out: what each is called, in our words first. */
export const LOT_COLUMNS = {
  classification: ['rod', 'classification', 'class', 'electrode', 'type'],
  size: ['size', 'diameter', 'dia'],
  makersLot: ['maker’s lot', 'lot', 'lot number', 'lot no', 'batch', 'heat'],
  resistant: ['R on it', 'R', 'moisture resistant'],
  receivedOn: ['received', 'received on', 'date', 'delivered'],
  openedOn: ['opened', 'opened on', 'first opened'],
  rodsInBox: ['rods in a box', 'in a box', 'per box', 'box'],
  price: ['price of a box', 'price', 'box price', 'cost'],
  place: ['where', 'place', 'location', 'shelf'],
  rods: ['rods there', 'rods', 'stock', 'quantity', 'count'],
} as const satisfies Record<string, readonly [string, ...string[]]>

export type LotColumn = keyof typeof LOT_COLUMNS
