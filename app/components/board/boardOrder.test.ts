import { describe, expect, it } from 'vitest'
import type { RungState } from '~~/core/ladder'
import type { BoardRow } from '~~/contract/progress'
import { awayFor, inOrder, reasonOf } from './boardOrder'

const state = (more: Partial<RungState>): RungState => ({
  rungId: 'flat-pad',
  status: 'open',
  coupons: 0,
  good: 0,
  lastDay: null,
  stuck: 0,
  since: 0,
  met: false,
  share: 0,
  says: '',
  ...more,
})
const row = (name: string, climb: RungState[], more: Partial<BoardRow> = {}): BoardRow => ({
  student: { id: name, name, booth: null },
  climb,
  lastDay: '2026-10-05',
  improved: 0,
  coupons: 5,
  ...more,
})

const ROWS = [
  row('Corin', [state({ status: 'signed off' }), state({ rungId: 'b', coupons: 9, stuck: 9, lastDay: '2026-10-05' })], {
    improved: -0.02,
  }),
  row('Ada', [state({ status: 'ready', coupons: 3, lastDay: '2026-10-02' })], {
    improved: 0.08,
    lastDay: '2026-10-02',
  }),
  row('Bero', [state({ coupons: 2, stuck: 2, lastDay: '2026-10-05' })], { lastDay: null, coupons: 0 }),
]
const names = (order: Parameters<typeof inOrder>[1]) => inOrder(ROWS, order).map(one => one.student.name)

describe('the Board in order', () => {
  it.each([
    ['by name', ['Ada', 'Bero', 'Corin']],
    ['ready to move up', ['Ada', 'Corin', 'Bero']],
    ['stuck longest', ['Corin', 'Bero', 'Ada']],
    ['most improved', ['Ada', 'Bero', 'Corin']],
    ['longest away', ['Bero', 'Ada', 'Corin']],
  ] as const)('%s', (order, expected) => expect(names(order)).toEqual(expected))
  it('says why a row is where it is', () => {
    expect([
      reasonOf(ROWS[1]!, 'ready to move up', '2026-10-06'),
      reasonOf(ROWS[0]!, 'stuck longest', '2026-10-06'),
      reasonOf(ROWS[0]!, 'most improved', '2026-10-06'),
      reasonOf(ROWS[2]!, 'most improved', '2026-10-06'),
    ]).toEqual(['1 ready', '9 coupons', '−2 in 100', ''])
    expect([
      awayFor('2026-10-05', '2026-10-05'),
      awayFor('2026-10-05', '2026-10-06'),
      awayFor('2026-10-05', '2026-10-12'),
      awayFor(null, '2026-10-12'),
    ]).toEqual(['today', '1 day', '7 days', 'no coupon yet'])
  })
})
