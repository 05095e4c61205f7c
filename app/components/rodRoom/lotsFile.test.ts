import { describe, expect, it } from 'vitest'
import type { RodLot } from '~~/core/rodRoom'
import { inches } from '~~/core/units'
import { lotsCsv } from '~/papers/rodBook'
import { readLots } from './lotsFile'

const LOT: RodLot = {
  id: 'a',
  classification: 'E7018',
  diameterMm: inches(1 / 8),
  makersLot: 'B, 2291',
  resistant: true,
  receivedOn: '2026-09-01',
  openedOn: null,
  rodsInBox: 100,
  boxPriceCents: 3205,
  place: 'oven 1',
}

describe('a list of lots', () => {
  it('comes in as it went out', () => {
    const lots = [LOT, { ...LOT, id: 'b', resistant: false, diameterMm: 3.2, boxPriceCents: null }]
    const out = lotsCsv({ now: '', lots, stock: { a: 140 }, movements: [], names: {}, ovens: [] })
    expect(readLots(out)).toEqual(
      lots.map(({ id, ...lot }) => ({ keptAs: null, lot, rods: id === 'a' ? 140 : 0, errors: [] })),
    )
  })
  it('of lots that are kept is a count of them: what it leaves empty stays, what it says is changed', () => {
    const kept = { lots: [LOT, { ...LOT, id: 'b', makersLot: '4711' }], stock: { a: 140, b: 60 } }
    const list = 'rod,size,maker’s lot,opened,where,rods there\n'
    const lines = readLots(`${list}E7018,1/8,"b, 2291",,,133\nE7018,1/8,4711,2026-09-03,oven 2,`, kept)!
    const { id: _, ...lot } = LOT
    expect(lines).toEqual([
      { keptAs: 'a', lot, rods: 133, errors: [] },
      {
        keptAs: 'b',
        lot: { ...lot, makersLot: '4711', openedOn: '2026-09-03', place: 'oven 2' },
        rods: 60,
        errors: [],
      },
    ])
    // Another size, class or number is another lot, and must say all that a new one does.
    const other = readLots(`${list}E7018,3/32,4711,,,10\nE6010,1/8,4711,,,10`, kept)!
    expect(other.map(line => [line.keptAs, line.errors.length > 0])).toEqual([
      [null, true],
      [null, true],
    ])
  })
  it('or as a spreadsheet has it, with its own names, commas for points and signs of money', () => {
    const [line] = readLots(
      'Batch;Electrode;Dia;Delivered;Per box;Cost;Shelf;Quantity\n4711;e6010;"3,2 mm";2026-09-02;150;€ 42,50;dry shelf;75',
    )!
    expect(line).toEqual({
      keptAs: null,
      lot: {
        classification: 'E6010',
        diameterMm: 3.2,
        makersLot: '4711',
        resistant: false,
        receivedOn: '2026-09-02',
        openedOn: null,
        rodsInBox: 150,
        boxPriceCents: 4250,
        place: 'dry shelf',
      },
      rods: 75,
      errors: [],
    })
  })
  it('says of each line what is wrong with it, by the names of the columns', () => {
    const head = 'rod,size,maker’s lot,received,rods in a box,where,rods there\n'
    const [line] = readLots(`${head}E9999,9/16,,yesterday,many,oven 1,-3`)!
    const said = line!.errors.join('; ')
    for (const column of ['rod', 'size', 'maker’s lot', 'received', 'rods in a box', 'rods there'])
      expect(said).toContain(`${column} is`)
    expect(said).not.toMatch(/lots\[|diameterMm|makersLot/)
  })
  it.each(['', 'name,booth\nDario Venn,4', 'rod,size\n'])('%j is none', text => expect(readLots(text)).toBeNull())
})
