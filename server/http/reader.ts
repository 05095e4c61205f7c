import type { H3Event } from 'h3'
import { findMe } from '../store/accounts'
import { isStudentOf } from '../store/studentCodes'
import type { Reader } from '../store/blindReadings'
import { refuse } from './refuse'

/** A tablet in students' hands: whose section, which tablet, and who reads at it, under which number. */
export interface TabletSession {
  readonly sectionId: string
  readonly tabletId: string
  readonly student: { readonly id: string; readonly number: number } | null
}

declare module '#auth-utils' {
  /** A tablet handed over to a section's students: nobody is signed in at it, and one of them may be reading. */
  interface UserSession {
    kiosk?: TabletSession
  }
}

/** The tablet this is. */
export async function tablet(event: H3Event): Promise<TabletSession> {
  const { kiosk } = await getUserSession(event)
  if (!kiosk?.tabletId) throw refuse(401, 'No tablet', 'An instructor hands the tablet over first.')
  return kiosk
}

/** The student who reads at a tablet; null when nobody does, or the code was changed since. */
export const readerAt = async ({ student, sectionId }: TabletSession): Promise<string | null> =>
  student && (await isStudentOf(student, sectionId)) ? student.id : null

/** Whoever reads a coupon blind: a student at the tablet or by an own account, or an instructor. */
export async function reader(event: H3Event): Promise<Reader> {
  const { user, kiosk } = await getUserSession(event)
  const atTablet = kiosk?.student ? await readerAt(kiosk) : null
  if (atTablet) return { kind: 'student', id: atTablet }
  const me = user ? await findMe(user) : null
  if (!me) throw refuse(401, 'Signed out', 'Sign in first.')
  return me.role === 'student' ? { kind: 'student', id: me.studentId! } : { kind: 'instructor', id: me.id }
}

/** The student who reads. */
export async function studentReader(event: H3Event): Promise<string> {
  const { kind, id } = await reader(event)
  if (kind !== 'student') throw refuse(403, 'For students', 'Only a student reads the own coupons.')
  return id
}
