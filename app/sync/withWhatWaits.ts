import { attendanceOf } from '~~/core/floor'
import { bookLine, countAfter, type SaidOfRods } from '~~/core/rodRoom'
import type { CouponSave } from '~~/contract/coupon'
import { NOW, type AttendanceSave, type Demonstration, type DemonstrationSave, type SectionDay } from '~~/contract/day'
import type { FloorQueue, WaitingStudent } from '~~/contract/floor'
import type { FloorStudent } from '~~/contract/people'
import type { Remark, RemarkSave } from '~~/contract/remarks'
import type { OvenReading, OvenReadingSave, RodRoom } from '~~/contract/rodRoom'
import { shopClock, wallTime } from '~/composables/shopClock'
import type { Intent } from './intents'

/** The rod room with the lines that wait in this browser, as they will stand when they are sent. */
export function rodsWith(
  told: RodRoom,
  waiting: readonly Intent<SaidOfRods>[],
  { by, aheadMs }: { readonly by: string; readonly aheadMs: number },
): RodRoom {
  const movements = [...told.movements]
  const stock: Record<string, number> = { ...told.stock }
  const names: Record<string, string> = { ...told.names }
  for (const { id, body, madeAt, student } of [...waiting].sort((a, b) => a.turn - b.turn)) {
    if (movements.some(line => line.id === id)) continue
    const book = movements.filter(line => line.lotId === body.lotId)
    const now = new Date(Date.parse(madeAt) + aheadMs)
    const there = stock[body.lotId] ?? 0
    const since = book.filter(one => one.at > now.toISOString()).reduce((sum, one) => sum + one.rods, 0)
    const line = bookLine(id, body, book, { by, now, stock: there - since })
    // What was counted after it at another screen lay there then.
    if (!countAfter(book, line)) stock[body.lotId] = there + line.rods
    movements.push(line)
    if (body.studentId) names[body.studentId] ??= student
  }
  return { ...told, movements, stock, names }
}

/**
 * A queue with those who were said to be ready while the server was away, and without those whose coupon was read
 * since, or is not ready after all: all of it waits here to be sent.
 */
export function queueWith(
  told: FloorQueue,
  mine: readonly Intent[],
  students: readonly Pick<FloorStudent, 'id' | 'name' | 'booth'>[],
): FloorQueue {
  const readAt = (studentId: string) =>
    mine
      .filter(({ kind, body }) => kind === 'coupon' && (body as CouponSave).document.studentId === studentId)
      .map(one => one.madeAt)
      .sort()
      .at(-1)
  const said = mine.flatMap(({ kind, id, body, madeAt }): WaitingStudent[] => {
    const student = kind === 'ready' && students.find(one => one.id === (body as { studentId: string }).studentId)
    if (!student || told.waiting.some(one => one.id === id)) return []
    const { id: studentId, name, booth } = student
    return [{ id, studentId, name, booth, since: madeAt, saidBy: 'instructor', readToday: false }]
  })
  const takenBack = new Set(mine.filter(one => one.kind === 'not ready').map(one => one.id))
  const waiting = [...told.waiting, ...said].filter(
    one => !takenBack.has(one.id) && (readAt(one.studentId) ?? '') < one.since,
  )
  return { ...told, waiting }
}

/** Who does what waits here, as it will be signed. */
interface ByMe {
  readonly by: string
}

/** Remarks of a section with those that were left while the server was away. */
export function remarksWith(
  told: readonly Remark[],
  mine: readonly Intent[],
  { by, sectionId }: ByMe & { readonly sectionId: string | null },
): Remark[] {
  const left = mine.flatMap(({ kind, id, body, madeAt, student }): Remark[] => {
    const save = body as RemarkSave
    if (kind !== 'remark' || save.sectionId !== sectionId || told.some(one => one.id === id)) return []
    return [{ ...save, id, student: student || null, by, at: madeAt }]
  })
  return [...told, ...left]
}

/** The newest reading of each oven, of those told and those that were taken while the server was away. */
export function ovensWith(
  told: readonly OvenReading[],
  mine: readonly Intent[],
  { by, aheadMs }: ByMe & { readonly aheadMs: number },
): OvenReading[] {
  const newest = new Map(told.map(one => [one.oven, one] as const))
  for (const { kind, body, madeAt } of mine) {
    if (kind !== 'oven reading') continue
    const at = new Date(Date.parse(madeAt) + aheadMs).toISOString()
    const reading: OvenReading = { ...(body as OvenReadingSave), by, at }
    if ((newest.get(reading.oven)?.at ?? '') < at) newest.set(reading.oven, reading)
  }
  return [...newest.values()]
}

/** A class day with what was noted and shown while the server was away, which waits here to be sent. */
export function dayWith(told: SectionDay, mine: readonly Intent[], { by }: ByMe): SectionDay {
  const shown = mine.flatMap(({ kind, id, body }): Demonstration[] => {
    const save = body as DemonstrationSave
    const isNew = kind === 'demonstration' && !told.demonstrations.some(one => one.id === id)
    return isNew && save.classDay === told.classDay ? [{ ...save, id, by }] : []
  })
  const noted = new Map(
    mine
      .filter(one => one.kind === 'attendance' && (one.body as AttendanceSave).classDay === told.classDay)
      .map(one => [(one.body as AttendanceSave).studentId, one as Intent<AttendanceSave>] as const),
  )
  return {
    ...told,
    demonstrations: [...told.demonstrations, ...shown],
    students: told.students.map(student => {
      const intent = noted.get(student.id)
      if (!intent) return student
      const { absent, why } = intent.body
      const clock = wallTime(intent.madeAt)
      const at = (time: string | null) => (time === NOW ? clock : time)
      const note = { came: at(intent.body.came), left: at(intent.body.left), absent, why }
      const seen = { seen: [], ran: student.coupons > 0, now: clock }
      return {
        ...student,
        attendance: attendanceOf({ meeting: told.meeting, note, ...seen, turnsAt: shopClock.value.turnsAt }),
      }
    }),
  }
}
