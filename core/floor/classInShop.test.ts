import { describe, expect, it } from 'vitest'
import { classInShop, roomOfBooths } from '.'

const plan = { rooms: [roomOfBooths([1, 2, 3], 'Plate bay'), roomOfBooths([11, 12], 'Pipe bay')] }
const student = (id: string, booth: number | null) => ({ id, booth })
const ids = (students: readonly { readonly id: string }[]) => students.map(one => one.id)

describe('a class in the shop', () => {
  it('stands in its booths; who has none, shares one or has one that is not drawn stands elsewhere', () => {
    const students = [student('a', 1), student('b', 1), student('c', null), student('d', 99), student('e', 12)]
    const { rooms, inBooth, elsewhere } = classInShop(plan, students)
    expect(rooms.map(room => room.name)).toEqual(['Plate bay', 'Pipe bay'])
    expect([inBooth.get(1)?.id, inBooth.get(12)?.id, inBooth.has(99)]).toEqual(['a', 'e', false])
    expect(ids(elsewhere)).toEqual(['b', 'c', 'd'])
  })
  it('rooms in which nobody has a booth are left out, unless nobody has one anywhere', () => {
    expect(classInShop(plan, [student('a', 11)]).rooms.map(room => room.name)).toEqual(['Pipe bay'])
    expect(classInShop(plan, [student('a', null)]).rooms).toHaveLength(2)
  })
  it('where nobody laid it out, stands in rows of its own booths', () => {
    const { rooms, elsewhere } = classInShop(null, [student('a', 7), student('b', 3), student('c', null)])
    expect(rooms[0]!.fixtures.map(one => one.booth)).toEqual([3, 7])
    expect(ids(elsewhere)).toEqual(['c'])
    expect(classInShop(null, [student('a', null)]).rooms).toEqual([])
  })
})
