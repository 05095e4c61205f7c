import { roomOfBooths, type ShopPlan, type ShopRoom } from './shopPlan'

interface WithBooth {
  readonly id: string
  readonly booth: number | null
}

/** A class as it stands in the shop. */
export interface ClassInShop<Student extends WithBooth> {
  readonly rooms: readonly ShopRoom[]
  /** Who has each booth; the first of a class, where two have it. */
  readonly inBooth: ReadonlyMap<number, Student>
  /** Students without a booth in these rooms, or who share one. */
  readonly elsewhere: readonly Student[]
}

/**
 * Where each student of a class stands: in the shop as it is laid out, else in rows of the booths that they have. A
 * room in which no student of the class has a booth is left out, unless it is the only one.
 * @param plan null where the shop is not laid out
 * @example classInShop(null, [{ id: 'a', booth: 2 }]).rooms[0].columns // 1
 */
export function classInShop<Student extends WithBooth>(
  plan: ShopPlan | null,
  students: readonly Student[],
): ClassInShop<Student> {
  const booths = students.flatMap(student => student.booth ?? [])
  const all = plan?.rooms ?? (booths.length === 0 ? [] : [roomOfBooths(booths, '')])
  const used = all.filter(room => room.fixtures.some(one => one.booth !== null && booths.includes(one.booth)))
  const rooms = used.length === 0 ? all : used
  const drawn = new Set(rooms.flatMap(room => room.fixtures.flatMap(one => one.booth ?? [])))
  const inBooth = new Map<number, Student>()
  for (const student of students)
    if (student.booth !== null && drawn.has(student.booth) && !inBooth.has(student.booth))
      inBooth.set(student.booth, student)
  return { rooms, inBooth, elsewhere: students.filter(one => inBooth.get(one.booth ?? -1) !== one) }
}
