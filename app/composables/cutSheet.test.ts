import { describe, expect, it } from 'vitest'
import { cutFaults } from '~~/core/cutting'
import { inches } from '~~/core/units'
import { EMPTY_ROW, orderOf, usualCut } from './cutSheet'

describe('the cutting sheet', () => {
  it('is read as a welder types it; empty rows are left out, an empty count is as many as are bought', () => {
    const order = orderOf(
      {
        pieces: [
          { name: ' plate ', length: '5 1/2', count: '3' },
          EMPTY_ROW,
          { name: '', length: '60 mm', count: '2' },
        ],
        stock: [
          { name: '20 ft', length: '240', count: '' },
          { name: '', length: '30', count: '2' },
        ],
        kerf: '',
        leastOffcut: '6',
      },
      'in',
    )
    expect(order.pieces).toEqual([
      { name: 'plate', lengthMm: inches(5.5), count: 3 },
      { name: 'piece 2', lengthMm: 60, count: 2 },
    ])
    expect(order.stock.map(one => one.count)).toEqual([null, 2])
    expect([order.kerfMm, order.leastOffcutMm]).toEqual([0, inches(6)])
  })

  it('names what cannot be read', () => {
    const typed = usualCut('in')
    expect(() => orderOf({ ...typed, pieces: [{ name: 'plate', length: 'long', count: '1' }] }, 'in')).toThrow(
      'plate: a length like 5 1/2',
    )
    expect(() => orderOf({ ...typed, kerf: 'thin' }, 'mm')).toThrow('What the saw takes: a length like 140')
  })

  it('begins with what can be cut, in either unit', () => {
    for (const unit of ['in', 'mm'] as const) expect(cutFaults(orderOf(usualCut(unit), unit))).toEqual([])
  })
})
