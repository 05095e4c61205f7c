import { expect, it } from 'vitest'
import type { RodRoom } from '~~/contract/rodRoom'
import { bookCsv, lotsCsv } from './rodBook'

const ROOM: RodRoom = {
  now: '2026-09-14T20:30:00Z',
  lots: [
    {
      id: 'a',
      classification: 'E7018',
      diameterMm: 3.175,
      makersLot: 'B, 2291',
      resistant: true,
      receivedOn: '2026-09-01',
      openedOn: null,
      rodsInBox: 100,
      boxPriceCents: 3205,
      place: 'oven 1',
    },
  ],
  stock: { a: -3 },
  movements: [
    {
      id: 'm',
      lotId: 'a',
      kind: 'issued',
      rods: -8,
      studentId: 's',
      booth: 4,
      why: '',
      at: '2026-09-14T18:00:00Z',
      by: 'Maren Holt',
    },
    {
      id: 'n',
      lotId: 'a',
      kind: 'returned',
      rods: 0,
      handfulId: 'm',
      stubs: { 'to 2': 7 },
      why: '',
      at: '2026-09-14T20:00:00Z',
      by: 'Maren Holt',
    },
  ],
  names: { s: 'Dario Venn' },
  ovens: [],
}

it('lots and the book go out as spreadsheets take them', () => {
  expect(lotsCsv(ROOM)).toBe(
    'rod,size,maker’s lot,R on it,received,opened,rods in a box,price of a box,where,rods there\r\n' +
      'E7018,1/8 in,"B, 2291",yes,2026-09-01,,100,32.05,oven 1,-3',
  )
  const [head, drawn, back] = bookCsv(ROOM).split('\r\n')
  expect(head).toContain('stubs up to 2 in')
  expect(drawn).toBe('2026-09-14T18:00:00Z,drawn,E7018,1/8 in,"B, 2291",8,Dario Venn,4,,m,,,,,,Maren Holt')
  expect(back).toBe('2026-09-14T20:00:00Z,back,E7018,1/8 in,"B, 2291",0,,,,n,m,7,,,,Maren Holt')
})

it('of a count it is said how many lay there, whatever was drawn since', () => {
  const [drawn, back] = ROOM.movements
  const counted = { ...back!, id: 'c', kind: 'counted', rods: 2, why: 'shelf' } as const
  const after = { ...drawn!, id: 'd', at: '2026-09-14T20:10:00Z' }
  const [, , line] = bookCsv({ ...ROOM, movements: [drawn!, counted, after] }).split('\r\n')
  // Three fewer than nothing are there now, after eight were drawn.
  expect(line).toContain('counted,E7018,1/8 in,"B, 2291",5,')
})
