/** Who opens a page: staff, a student with an account, or a tablet that was handed over to a section. */
export type Entrant = 'staff' | 'student' | 'tablet'

/** A room of the application, or a part of one that has help of its own. */
export interface Room {
  /** The address that its pages begin with. */
  readonly at: string
  readonly name: string
  /** Whom it is open to. */
  readonly open: readonly Entrant[]
  /** A student enters the own part of it, called by the student's id. */
  readonly own?: true
  /** On whose rail it stands, in the order of this table. */
  readonly rail: readonly Entrant[]
  /** Without rail and frame: the door, and the screen on the wall. */
  readonly bare?: true
  /** What it asks the server for all students alike: kept in the browser for a class without a network. */
  readonly keeps: readonly string[]
}

const STAFF = ['staff'] as const
const room = (at: string, name: string, more: Partial<Room> = {}): Room => ({
  at,
  name,
  open: STAFF,
  rail: [],
  keeps: [],
  ...more,
})
const door = (at: string, name: string) => room(at, name, { open: ['staff', 'student'], bare: true })

/** Every room: its address, whom it is open to, on whose rail it stands, what of it is kept without a network. */
export const ROOMS: readonly Room[] = [
  room('/today', 'Today', { open: ['student'], rail: ['student'] }),
  room('/', 'Floor', { rail: STAFF, keeps: ['/api/shop', '/api/school/programme'] }),
  room('/day', 'The day'),
  room('/plan', 'Plan of the day'),
  room('/wall', 'Wall', { open: ['staff', 'tablet'], bare: true }),
  room('/bench', 'Bench', {
    rail: STAFF,
    keeps: ['/api/house-rules', '/api/causes', '/api/causes/told', '/api/criteria', '/api/code-books'],
  }),
  room('/second-reading', 'Second reading'),
  room('/kiosk', 'Read', { open: ['staff', 'student', 'tablet'], rail: ['student'] }),
  room('/record', 'Record', { own: true, rail: ['staff', 'student'] }),
  room('/board', 'Board', { rail: STAFF, keeps: ['/api/ladder'] }),
  room('/report', 'Report'),
  room('/test-bay', 'Test bay', { rail: STAFF, keeps: ['/api/tests'] }),
  room('/test-bay/plan', 'Planning a test'),
  room('/test-bay/test', 'A test'),
  room('/set-up', 'Set-up', { open: ['staff', 'student'], rail: ['staff', 'student'] }),
  room('/rods', 'Rod room', { rail: STAFF, keeps: ['/api/rods'] }),
  room('/reading-room', 'Practice', {
    open: ['staff', 'student'],
    rail: ['staff', 'student'],
    keeps: ['/api/reading-room'],
  }),
  room('/house', 'House', { rail: STAFF }),
  room('/first-day', 'First day'),
  door('/sign-in', 'Sign in'),
  door('/own-password', 'Own password'),
  door('/one-time-codes', 'One-time codes'),
  door('/away', 'Away'),
]

const isInside = (path: string, at: string) => path === at || (at !== '/' && path.startsWith(`${at}/`))

/** A test's own page is called by its id. */
const AT_A_TEST = /^\/test-bay\/[\da-f-]{36}/

/**
 * The room that an address is in: of several that it begins with, the longest.
 * @example roomAt('/house/rules')?.name // 'House'
 */
export function roomAt(path: string): Room | undefined {
  const asked = AT_A_TEST.test(path) ? '/test-bay/test' : path
  return ROOMS.filter(({ at }) => isInside(asked, at)).sort((a, b) => b.at.length - a.at.length)[0]
}

/** Where a student's own part of a room is. */
const ownPart = ({ at }: Room, studentId: string) => `${at}/${studentId}`

/**
 * Whether an address is open to a person.
 * @param studentId whose account it is, for a student
 */
export function mayEnter(path: string, who: Entrant, studentId: string | null): boolean {
  const asked = roomAt(path)
  if (!asked) return true
  if (asked.open.includes(who)) return true
  return who === 'student' && asked.own === true && studentId !== null && isInside(path, ownPart(asked, studentId))
}

/** The rooms on a person's rail, in their order, with the address each leads to. */
export const railOf = (
  who: Entrant,
  studentId: string | null,
): readonly { readonly to: string; readonly name: string }[] =>
  ROOMS.filter(({ rail }) => rail.includes(who)).map(one => ({
    to: who === 'student' && one.own && studentId !== null ? ownPart(one, studentId) : one.at,
    name: one.name,
  }))
