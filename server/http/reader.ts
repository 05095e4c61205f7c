import type { H3Event } from 'h3'
import { isStudentOf } from '../store/studentCodes'
import { silentFrom } from '../store/signIns'
import { tabletTurn } from '../store/tablets'
import type { Student } from '../../contract/people'
import type { Reader } from '../store/blindReadings'
import { whoever } from './access'
import { doneAt, doneByStudent } from './doneAt'
import { refuse } from './refuse'

/** A tablet in students' hands: whose section, which tablet, and who reads at it, under which number. */
export interface TabletSession {
  readonly sectionId: string
  readonly tabletId: string
  /** Counts who has read at it: a session of an earlier turn is over. */
  readonly turn: number
  readonly student: { readonly id: string; readonly number: number } | null
}

declare module '#auth-utils' {
  /** A tablet handed over to a section's students: it holds no sign-in, and one of them may be reading. */
  interface UserSession {
    kiosk?: TabletSession
  }
}

declare module 'h3' {
  interface H3EventContext {
    /** Which tablet it is, once it was looked up for this request. */
    tablet?: Promise<TabletSession | null>
  }
}

/** The tablet that asks, where it is out still; looked up anew at each request: one that was put out is out at once. */
function tabletAt(event: H3Event): Promise<TabletSession | null> {
  event.context.tablet ??= getUserSession(event).then(async ({ kiosk }) => {
    const turn = kiosk?.tabletId ? await tabletTurn(kiosk.tabletId) : null
    return kiosk && turn === kiosk.turn ? kiosk : null
  })
  return event.context.tablet
}

/** The tablet this is. */
export async function tablet(event: H3Event): Promise<TabletSession> {
  const kiosk = await tabletAt(event)
  if (!kiosk) throw refuse(401, 'No tablet', 'An instructor hands the tablet over first.')
  return kiosk
}

/** The student who reads at a tablet; null where none does, or the code was changed since. */
export const readerAt = async ({ student, sectionId }: TabletSession): Promise<string | null> =>
  student && (await isStudentOf(student, sectionId)) ? student.id : null

/** The reader of a coupon that is read blind: a student at the tablet or by an own account, or an instructor. */
export async function reader(event: H3Event): Promise<Reader> {
  const kiosk = await tabletAt(event)
  const atTablet = kiosk?.student ? await readerAt(kiosk) : null
  if (atTablet) return { kind: 'student', id: atTablet }
  const me = await whoever(event)
  if (!me) throw refuse(401, 'Signed out', 'Sign in first.')
  return me.role === 'student' ? { kind: 'student', id: me.studentId! } : { kind: 'instructor', id: me.id }
}

/** The reader for the student in the address: that student, or an instructor. */
export async function readerFor(event: H3Event, studentId: string): Promise<Reader> {
  const me = await reader(event)
  if (me.kind === 'student' && me.id !== studentId) throw refuse(403, 'Not yours', 'You may speak for yourself only.')
  return me
}

/** The student who reads. */
export async function studentReader(event: H3Event): Promise<string> {
  const { kind, id } = await reader(event)
  if (kind !== 'student') throw refuse(403, 'For students', 'Only a student reads the own coupons.')
  return id
}

/** Who may say that a student's coupon is ready: staff, the student, or the tablet of the student's section. */
export interface Hand {
  readonly saidBy: 'student' | 'instructor'
  /** When what this request asks for was done, as far as that one is believed. */
  readonly doneAt: () => Promise<Date>
  /** Refuses a student who is not theirs to speak for. */
  readonly speaksFor: (student: Pick<Student, 'id' | 'sectionId'>) => void
}

/** The hand that a request comes from. */
export async function hand(event: H3Event): Promise<Hand> {
  const kiosk = await tabletAt(event)
  const me = await whoever(event)
  const mayNot = refuse(403, 'Not yours', 'You may speak for yourself only.')
  if (me)
    return {
      saidBy: me.role === 'student' ? 'student' : 'instructor',
      doneAt: async () =>
        me.role === 'student'
          ? doneByStudent(event, await silentFrom({ signIn: (await getUserSession(event)).user!.signIn }))
          : doneAt(event),
      speaksFor: ({ id }) => {
        if (me.role === 'student' && me.studentId !== id) throw mayNot
      },
    }
  if (!kiosk) throw refuse(401, 'Signed out', 'Sign in first.')
  return {
    saidBy: 'student',
    doneAt: async () => doneByStudent(event, await silentFrom({ tablet: kiosk.tabletId })),
    speaksFor: ({ sectionId }) => {
      if (sectionId !== kiosk.sectionId) throw mayNot
    },
  }
}

/** Who may look at a section's queue: staff, and the tablet that was handed to the section. */
export async function onFloor(event: H3Event, sectionId: string): Promise<null> {
  const kiosk = await tabletAt(event)
  const me = await whoever(event)
  if (me && me.role !== 'student') return null
  if (!me && kiosk?.sectionId === sectionId) return null
  throw me || kiosk
    ? refuse(403, 'Not yours to see', 'Only instructors may do this.')
    : refuse(401, 'Signed out', 'Sign in first.')
}
