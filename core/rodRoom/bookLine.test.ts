import { expect, it } from 'vitest'
import { bookLine, bookUntil, countAfter, handfulsOf, stockOf, type RodMovement, type SaidOfRods } from '.'

const NOW = new Date('2026-09-14T20:00:00Z')
const said = (more: Partial<SaidOfRods>): SaidOfRods => ({
  lotId: 'lot',
  kind: 'issued',
  count: 0,
  handfulId: null,
  studentId: null,
  booth: null,
  stubs: null,
  why: '',
  ...more,
})
let n = 0
const write = (book: readonly RodMovement[], more: Partial<SaidOfRods>) =>
  bookLine(`l${String(++n).padStart(3, '0')}`, said(more), book, {
    by: 'Maren Holt',
    now: NOW,
    stock: stockOf(book).get('lot') ?? 0,
  })

it('changes the store by what was said: in, out, back, binned, counted', () => {
  const book: RodMovement[] = []
  const add = (more: Partial<SaidOfRods>) => {
    const line = write(book, more)
    book.push(line)
    return line
  }
  expect(add({ kind: 'received', count: 100 }).rods).toBe(100)
  const drawn = add({ kind: 'issued', count: 8, studentId: 's' })
  expect(drawn).toMatchObject({ rods: -8, studentId: 's', by: 'Maren Holt', at: NOW.toISOString() })
  const back = add({ kind: 'returned', count: 3, handfulId: drawn.id, stubs: { 'to 2': 5 } })
  // Stubs are of who drew the rods, whoever wrote it down.
  expect(back).toMatchObject({ rods: 3, studentId: 's' })
  // What lies apart is drawn whole, whatever number was typed.
  expect(add({ kind: 'issued', count: 1, handfulId: drawn.id }).rods).toBe(-3)
  expect(handfulsOf(book)[0]).toMatchObject({ out: 3, inOven: 0 })
  // Out already: binned from a hand, the store does not change; from the oven it does.
  expect(write(book, { kind: 'binned', count: 3, handfulId: drawn.id, why: 'wet' }).rods).toBe(0)
  add({ kind: 'returned', count: 2, handfulId: drawn.id })
  expect(add({ kind: 'binned', handfulId: drawn.id, why: 'wet' }).rods).toBe(-2)
  expect(add({ kind: 'binned', count: 4, why: 'flaking' }).rods).toBe(-4)
  expect(stockOf(book).get('lot')).toBe(100 - 8 + 3 - 3 + 2 - 2 - 4)
  expect(add({ kind: 'counted', count: 90, why: 'shelf' }).rods).toBe(2)
  expect(stockOf(book).get('lot')).toBe(90)
  expect(Object.is(write(book, { kind: 're-dried', handfulId: drawn.id }).rods, 0)).toBe(true)
})

it('a count stands as it was counted: what is written down late is told from it', () => {
  const line = (id: string, kind: RodMovement['kind'], hour: string, rods: number): RodMovement => ({
    ...{ id, lotId: 'lot', kind, rods, why: '', at: `2026-09-14T${hour}:00.000Z`, by: 'Maren Holt' },
  })
  const book = [
    line('a', 'received', '08:00', 100),
    line('c', 'counted', '18:00', -4),
    line('d', 'counted', '20:00', 1),
  ]
  expect(countAfter(book, { lotId: 'lot', at: '2026-09-14T17:00:00.000Z' })?.id).toBe('c')
  expect(countAfter([...book].reverse(), { lotId: 'lot', at: '2026-09-14T17:00:00.000Z' })?.id).toBe('c')
  expect(countAfter(book, { lotId: 'lot', at: '2026-09-14T18:00:00.000Z' })?.id).toBe('d')
  expect(countAfter(book, { lotId: 'lot', at: '2026-09-14T20:00:00.000Z' })).toBeNull()
  expect(countAfter(book, { lotId: 'other', at: '2026-09-14T17:00:00.000Z' })).toBeNull()
  expect(stockOf(bookUntil(book, '2026-09-14T18:00:00.000Z')).get('lot')).toBe(96)
})
