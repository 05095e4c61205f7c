import { describe, expect, it } from 'vitest'
import type { RodsUsed } from '~~/contract/rodRoom'
import type { RodLot } from '~~/core/rodRoom'
import { bookCsv } from '~/papers/rodBook'
import { readBook } from './bookFile'

const LOT: RodLot = {
  id: '01a00000-0000-7000-8000-000000000001',
  classification: 'E7018',
  diameterMm: 3.175,
  makersLot: 'R 2291',
  resistant: false,
  receivedOn: '2026-09-01',
  openedOn: null,
  rodsInBox: 150,
  boxPriceCents: null,
  place: 'oven 1',
}
const THIN: RodLot = { ...LOT, id: '01a00000-0000-7000-8000-000000000002', diameterMm: 2.38125 }
const SENARA = { id: '01a00000-0000-7000-8000-00000000000a', name: 'Senara Quick' }
const known = { lots: [LOT], students: [SENARA], now: new Date('2026-10-05T10:00:00Z') }
const read = (text: string, lots = known.lots) => readBook(text, { ...known, lots })!

describe('a list of what happened to rods', () => {
  const LIST =
    'Date,What,Rod,Size,Lot,Rods,Student,Stubs to 2\n' +
    '2026-09-14,drawn,e7018,1/8,r 2291,8,senara quick,\n' +
    '2026-09-14,back,E7018,1/8 in,R 2291,3,Senara Quick,5\n'
  it('is read by a spreadsheet’s own names; what comes back is of what that student drew', () => {
    const [drawn, back] = read(LIST)
    expect([drawn!.errors, back!.errors]).toEqual([[], []])
    expect(drawn!.line).toMatchObject({
      kind: 'issued',
      count: 8,
      lotId: LOT.id,
      studentId: SENARA.id,
      handfulId: null,
    })
    expect(drawn!.line.at).toBe('2026-09-14T12:00:00.000Z')
    expect(back!.line).toMatchObject({ kind: 'returned', count: 3, stubs: { 'to 2': 5 }, handfulId: drawn!.line.id })
    expect(drawn!.says).toBe('2026-09-14 · drawn · 8 · E7018 1/8 in, lot R 2291 · Senara Quick')
  })
  it('has the same numbers when it is read again, and each of two lines alike its own', () => {
    const ids = (text: string) => read(text).map(one => one.line.id)
    expect(ids(LIST)).toEqual(ids(LIST))
    const twice = 'what,when,rod,lot,rods\nissued,2026-09-14,E7018,R 2291,4\nissued,2026-09-14,E7018,R 2291,4\n'
    expect(new Set(ids(twice)).size).toBe(2)
  })
  it('a day is taken at noon; today, as of now', () => {
    const today = 'what,when,rod,lot,rods\nissued,2026-10-05,E7018,R 2291,4\nissued,2026-09-14 18:30Z,E7018,R 2291,4\n'
    expect(read(today).map(one => one.line.at)).toEqual(['2026-10-05T10:00:00.000Z', '2026-09-14T18:30:00.000Z'])
  })
  it.each([
    ['issued,2026-09-14,E7018,,R 9,4,', ['E7018 lot R 9 is not kept: take it in first']],
    ['burnt,2026-09-14,E7018,,R 2291,4,', [expect.stringContaining('what: “burnt” is none of received, drawn')]],
    ['issued,14/9,E7018,,R 2291,4,', ['when is a date like 2026-09-14']],
    ['issued,2026-09-14,E7018,,R 2291,4,Nobody Known', ['who: nobody here is called Nobody Known']],
    ['returned,2026-09-14,E7018,,R 2291,4,', ['No rods of that lot are drawn before it on the list']],
    ['counted,2026-09-14,E7018,,R 2291,4,', ['Say why: it is kept with the count']],
    ['issued,2026-09-14,E7018,,R 2291,four,', [expect.stringContaining('rods')]],
  ])('says what is wrong with a line: %s', (line, errors) => {
    expect(read(`what,when,rod,size,lot,rods,who\n${line}\n`)[0]!.errors).toEqual(errors)
  })
  it('a size is left out only where that leaves no doubt', () => {
    const list =
      'what,when,rod,size,lot,rods\nissued,2026-09-14,E7018,,R 2291,4\nissued,2026-09-14,E7018,3/32,R 2291,4\n'
    const [any, thin] = read(list, [LOT, THIN])
    expect(any!.errors).toEqual(['E7018 lot R 2291: of which size?'])
    expect(thin!.line.lotId).toBe(THIN.id)
  })
  it('is none without a column that says what happened', () => {
    expect(readBook('rod,lot\nE7018,R 2291\n', known)).toBeNull()
  })
})

it('our own book comes in as it went out, line for line', () => {
  const at = '2026-09-14T18:00:00.000Z'
  const drawn = { id: '01a00000-0000-7000-8000-0000000000d1', lotId: LOT.id, why: '', by: 'Maren Holt' }
  const back = { ...drawn, id: '01a00000-0000-7000-8000-0000000000d2', handfulId: drawn.id }
  const movements: RodsUsed['movements'] = [
    { ...drawn, kind: 'issued', rods: -8, studentId: SENARA.id, booth: 4, at },
    { ...back, kind: 'returned', rods: 2, studentId: SENARA.id, stubs: { 'to 2': 4, 'over 6': 2 }, at },
  ]
  const csv = bookCsv({ lots: [LOT], stock: { [LOT.id]: 94 }, movements, names: { [SENARA.id]: SENARA.name } })
  const nothing = { handfulId: null, booth: null, stubs: null, why: '', studentId: SENARA.id, lotId: LOT.id, at }
  expect(read(csv)).toMatchObject([
    { errors: [], line: { ...nothing, id: drawn.id, kind: 'issued', count: 8, booth: 4 } },
    {
      errors: [],
      line: {
        ...{ ...nothing, id: back.id, kind: 'returned', count: 2 },
        ...{ handfulId: drawn.id, stubs: { 'to 2': 4, 'over 6': 2 } },
      },
    },
  ])
})
