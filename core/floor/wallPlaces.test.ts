import { describe, expect, it } from 'vitest'
import { wallColumns, wallNames, wallPlaces } from '.'

const now = new Date('2026-11-27T18:30:00Z')
const student = (id: string, name: string, booth: number | null, readToday = false) => ({ id, name, booth, readToday })
const since = (minutes: number) => new Date(now.getTime() - 60_000 * minutes).toISOString()

describe('a class on the wall', () => {
  const students = [
    student('d', 'Dag Holm', null),
    student('b', 'Bo Tarn', 2, true),
    student('a', 'Ada Lorne', 1, true),
    student('c', 'Cai Wend', 3),
  ]
  it('stands booth by booth, with who is read before who waits, and a wait with its place and minutes', () => {
    const waiting = [
      { studentId: 'c', since: since(7.9) },
      { studentId: 'b', since: since(12) },
      { studentId: 'd', since: since(-1) },
    ]
    expect(wallPlaces(students, waiting, [{ studentId: 'c' }], now)).toEqual([
      { id: 'a', booth: 1, name: 'Ada', state: 'read', says: 'read' },
      { id: 'b', booth: 2, name: 'Bo', state: 'waits', says: '2nd, 12 min' },
      { id: 'c', booth: 3, name: 'Cai', state: 'read now', says: 'at the bench' },
      // A clock that is a minute wrong waits for no less than nothing.
      { id: 'd', booth: null, name: 'Dag', state: 'waits', says: '3rd, 0 min' },
    ])
    expect(wallPlaces(students, [], [], now).map(one => one.state)).toEqual(['read', 'read', 'not read', 'not read'])
  })
  it.each([
    [1, '1st'],
    [2, '2nd'],
    [3, '3rd'],
    [4, '4th'],
    [11, '11th'],
    [21, '21st'],
    [22, '22nd'],
  ])('place %d is the %s', (place, says) => {
    const many = Array.from({ length: place }, (_, n) => student(`s${n}`, `S${n}`, n + 1))
    const places = wallPlaces(
      many,
      many.map(({ id: studentId }) => ({ studentId, since: since(0) })),
      [],
      now,
    )
    expect(places.at(-1)!.says).toBe(`${says}, 0 min`)
  })
  it.each([
    [1, 1],
    [3, 3],
    [12, 4],
    [20, 5],
    [24, 6],
    [25, 7],
  ])('%d booths stand in %d columns', (booths, columns) => expect(wallColumns(booths)).toBe(columns))
  it('shows no more of a name than tells two apart', () => {
    expect(wallNames(['Ada Lorne', 'Ada Quist', 'Bo Tarn', 'Ida'])).toEqual(['Ada L.', 'Ada Q.', 'Bo', 'Ida'])
    expect(wallNames(['Ada Lorne', 'Ada Larsen', 'Ada Quist'])).toEqual(['Ada Lorne', 'Ada Larsen', 'Ada Q.'])
    expect(wallNames(['Åse Øvre', 'Åse Ødegård Moe'])).toEqual(['Åse Ø.', 'Åse M.'])
  })
})
