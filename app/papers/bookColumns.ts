import { STUB_CLASSES, type MovementKind, type StubClass } from '~~/core/rodRoom'

/** The columns of the rod room's book, in and out: what each is called, in our words first. */
export const BOOK_COLUMNS = {
  at: ['when', 'date', 'day'],
  kind: ['what', 'kind', 'event'],
  classification: ['rod', 'classification', 'class', 'electrode', 'type'],
  size: ['size', 'diameter', 'dia'],
  makersLot: ['maker’s lot', 'lot', 'lot number', 'lot no', 'batch'],
  rods: ['rods', 'count', 'quantity'],
  who: ['who', 'student', 'name'],
  booth: ['booth'],
  why: ['why', 'reason', 'remark'],
  line: ['line'],
  handful: ['of line'],
} as const satisfies Record<string, readonly [string, ...string[]]>
export type BookColumn = keyof typeof BOOK_COLUMNS

/** How a list says what happened; our own word first. */
export const KIND_NAMES: Readonly<Record<MovementKind, readonly [string, ...string[]]>> = {
  'received': ['received', 'came', 'in'],
  'issued': ['drawn', 'issued', 'out'],
  'returned': ['back', 'returned', 'brought back'],
  're-dried': ['re-dried', 'redried'],
  'binned': ['binned', 'bin', 'scrapped'],
  'counted': ['counted', 'count'],
}

/** The column of each class of stubs. */
export const STUB_COLUMNS = STUB_CLASSES.map(({ id, name }) => ({
  id: id as StubClass,
  names: [`stubs ${name}`, `stubs ${id}`],
}))
