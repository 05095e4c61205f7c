import { describe, expect, it } from 'vitest'
import { setShopClock } from '~/composables/shopClock'
import { seededRandom } from '~~/core/statistics'
import type { SaidOfRods } from '~~/core/rodRoom'
import { NOW, type AttendanceSave, type SectionDay } from '~~/contract/day'
import type { FloorQueue } from '~~/contract/floor'
import type { RodRoom } from '~~/contract/rodRoom'
import type { Intent, IntentKind } from './intents'
import { dayWith, ovensWith, queueWith, remarksWith, rodsWith } from './withWhatWaits'

let turn = 0
const waits = <Body>(kind: IntentKind, id: string, body: Body, madeAt: string, student = ''): Intent<Body> => ({
  ...{ kind, id, body, madeAt, student, about: '', owner: 'me', refused: null },
  turn: ++turn,
})

describe('rods that were written here', () => {
  const TOLD: RodRoom = { now: '', lots: [], stock: { lot: 40 }, movements: [], names: {}, ovens: [] }
  const said = (more: Partial<SaidOfRods>): SaidOfRods => ({
    ...{ lotId: 'lot', kind: 'issued', count: 0, handfulId: null, studentId: null, booth: null, stubs: null, why: '' },
    ...more,
  })
  const rods = (id: string, more: Partial<SaidOfRods>, at: string, student = '') =>
    waits('rods', id, said(more), `2026-10-05T18:${at}:00Z`, student)

  it('stand in the book as they will when they are sent: drawn, back, with whose they are, by the server’s clock', () => {
    const mine = [
      rods('a', { count: 8, studentId: 's' }, '05', 'Senara Quick'),
      rods('b', { kind: 'returned', handfulId: 'a', count: 3, stubs: { 'to 2': 5 } }, '50'),
    ]
    const shown = rodsWith(TOLD, mine, { by: 'tobias', aheadMs: 60_000 })
    expect(shown.stock.lot).toBe(35)
    expect(shown.names).toEqual({ s: 'Senara Quick' })
    expect(shown.movements).toMatchObject([
      { id: 'a', rods: -8, at: '2026-10-05T18:06:00.000Z', by: 'tobias' },
      { id: 'b', rods: 3, studentId: 's', at: '2026-10-05T18:51:00.000Z' },
    ])
    expect(TOLD.movements).toEqual([])
  })
  it('count once while the server has them and the browser does not know yet', () => {
    const mine = [rods('a', { count: 8 }, '05')]
    const first = rodsWith(TOLD, mine, { by: '', aheadMs: 0 })
    const again = rodsWith({ ...TOLD, movements: first.movements, stock: first.stock }, mine, { by: '', aheadMs: 0 })
    expect(again.stock).toEqual(first.stock)
    expect(again.movements).toHaveLength(1)
  })
  it('that were drawn before somebody else counted change nothing of what was counted', () => {
    const counted = { id: 'c', lotId: 'lot', kind: 'counted', rods: -2, why: '', by: 'maren' } as const
    const told = { ...TOLD, movements: [{ ...counted, at: '2026-10-05T18:30:00.000Z' }] }
    const drawn = (at: string) => rodsWith(told, [rods('a', { count: 8 }, at)], { by: '', aheadMs: 0 }).stock.lot
    expect([drawn('05'), drawn('50')]).toEqual([40, 32])
    // What was counted here before that was of the stock as it was then.
    const mine = rods('b', { kind: 'counted', count: 45, why: 'shelf' }, '05')
    expect(rodsWith(told, [mine], { by: '', aheadMs: 0 }).movements.at(-1)).toMatchObject({ id: 'b', rods: 3 })
  })
  it('are counted against the stock that was told: of the book only its last lines are here', () => {
    const counted = rods('a', { kind: 'counted', count: 31, why: 'counted' }, '05')
    const shown = rodsWith(TOLD, [counted], { by: '', aheadMs: 0 })
    expect(shown.stock.lot).toBe(31)
    expect(shown.movements).toMatchObject([{ id: 'a', rods: -9 }])
  })
  it('come to the same whatever part of them was sent, and in whatever order they are listed', () => {
    const random = seededRandom(5)
    for (let round = 0; round < 40; round++) {
      const mine = Array.from({ length: 12 }, (_, n) =>
        rods(`r${round} ${n}`, { kind: n % 3 === 2 ? 'received' : 'issued', count: 1 + n }, String(10 + n)),
      )
      const whole = rodsWith(TOLD, mine, { by: '', aheadMs: 0 })
      const sent = rodsWith(TOLD, mine.slice(0, Math.floor(13 * random.uniform())), { by: '', aheadMs: 0 })
      const shuffled = [...mine].sort(() => random.uniform() - 0.5)
      const shown = rodsWith({ ...TOLD, movements: sent.movements, stock: sent.stock }, shuffled, {
        by: '',
        aheadMs: 0,
      })
      expect(shown.stock).toEqual(whole.stock)
      expect(shown.movements.map(line => line.id).sort()).toEqual(whole.movements.map(line => line.id).sort())
    }
  })
})

describe('the queue', () => {
  const student = { id: 's', name: 'Senara Quick', booth: 4 }
  const TOLD: FloorQueue = { serial: 1, waiting: [], holds: [], readings: 0, minutesAReading: 0, readers: 1 }
  const ready = waits('ready', 'w', { studentId: 's' }, '2026-10-05T18:05:00Z')
  const read = (madeAt: string) => waits('coupon', 'c', { document: { studentId: 's' } }, madeAt)

  it('has who was said to be ready here, once', () => {
    const shown = queueWith(TOLD, [ready], [student])
    expect(shown.waiting).toMatchObject([{ id: 'w', studentId: 's', name: 'Senara Quick', booth: 4 }])
    expect(queueWith(shown, [ready], [student]).waiting).toHaveLength(1)
    expect(queueWith(TOLD, [ready], []).waiting).toEqual([])
  })
  it('has nobody whose wait was taken back here', () => {
    const told = queueWith(TOLD, [ready], [student])
    const takenBack = (id: string) => waits('not ready', id, null, '2026-10-05T18:20:00Z')
    expect(queueWith(told, [takenBack('w')], [student]).waiting).toEqual([])
    expect(queueWith(told, [takenBack('another')], [student]).waiting).toHaveLength(1)
  })
  it('has nobody whose coupon was read here since, but whoever is ready again', () => {
    const told = queueWith(TOLD, [ready], [student])
    expect(queueWith(told, [read('2026-10-05T18:20:00Z')], [student]).waiting).toEqual([])
    expect(queueWith(told, [read('2026-10-05T17:50:00Z')], [student]).waiting).toHaveLength(1)
    // The newest reading counts, whichever lies first.
    const twice = [read('2026-10-05T17:50:00Z'), read('2026-10-05T18:20:00Z')]
    expect(queueWith(told, twice, [student]).waiting).toEqual([])
    expect(queueWith(told, twice.reverse(), [student]).waiting).toEqual([])
  })
})

describe('remarks', () => {
  const save = { sectionId: 'c', studentId: 's', booth: null, says: 'new gloves' }
  const left = waits('remark', 'r', save, '2026-10-05T18:10:00Z', 'Senara Quick')
  const mine = { by: 'tobias', sectionId: 'c' }

  it('that were left here stand behind the others, once, and in their own section', () => {
    const shown = remarksWith([], [left], mine)
    expect(shown).toEqual([{ ...save, id: 'r', student: 'Senara Quick', by: 'tobias', at: '2026-10-05T18:10:00Z' }])
    expect(remarksWith(shown, [left], mine)).toHaveLength(1)
    expect(remarksWith([], [left], { ...mine, sectionId: 'another' })).toEqual([])
    expect(remarksWith([], [waits('remark', 'q', { ...save, studentId: null }, '')], mine)[0]!.student).toBeNull()
  })
})

it('an oven is as it was read last, here or there, by the server’s clock', () => {
  const told = [{ oven: 'oven 1', celsius: 120, doorOpen: false, by: 'maren', at: '2026-10-05T18:30:00.000Z' }]
  const read = (celsius: number, at: string) =>
    waits('oven reading', at, { oven: 'oven 1', celsius, doorOpen: true }, `2026-10-05T18:${at}:00Z`)
  const by = { by: 'tobias', aheadMs: 60_000 }
  expect(ovensWith(told, [read(90, '20')], by)).toEqual(told)
  expect(ovensWith(told, [read(80, '45'), read(90, '40')], by)).toEqual([
    { oven: 'oven 1', celsius: 80, doorOpen: true, by: 'tobias', at: '2026-10-05T18:46:00.000Z' },
  ])
  expect(ovensWith([], [read(90, '20')], by)).toHaveLength(1)
})

describe('the class day', () => {
  const TOLD = {
    classDay: '2026-10-05',
    meeting: { from: '18:00', to: '21:00' },
    students: [{ id: 's', coupons: 0, attendance: { state: 'not seen' } }],
    demonstrations: [],
  } as unknown as SectionDay
  const by = { by: 'tobias' }
  const note = (more: Partial<AttendanceSave>) =>
    waits<AttendanceSave>(
      'attendance',
      'n',
      { studentId: 's', classDay: '2026-10-05', came: null, left: null, absent: false, why: '', ...more },
      '2026-10-05T18:30:00Z',
    )
  it('has what was noted here, at the time when it was noted', () => {
    setShopClock({ timeZone: 'UTC', dayTurnsAt: 0 })
    const shown = (more: Partial<AttendanceSave>) => dayWith(TOLD, [note(more)], by).students[0]!.attendance
    expect(shown({ came: NOW })).toMatchObject({ state: 'here', came: '18:30', late: true })
    expect(shown({ absent: true }).state).toBe('absent')
    expect(dayWith(TOLD, [note({ classDay: '2026-10-06', absent: true })], by).students).toEqual(TOLD.students)
  })
  it('has what was shown here that day, once', () => {
    const what = { topic: 'close the arc', minutes: 10, sectionId: 'c', students: 9, classDay: '2026-10-05' }
    const gave = (classDay: string) => waits('demonstration', 'd', { ...what, classDay }, '2026-10-05T19:00:00Z')
    const shown = dayWith(TOLD, [gave('2026-10-05')], by)
    expect(shown.demonstrations).toEqual([{ ...what, id: 'd', by: 'tobias' }])
    expect(dayWith(shown, [gave('2026-10-05')], by).demonstrations).toHaveLength(1)
    expect(dayWith(TOLD, [gave('2026-10-06')], by).demonstrations).toEqual([])
  })
})
