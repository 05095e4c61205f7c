import type { H3Event } from 'h3'
import { findMe } from '../store/accounts'
import type { Reader } from '../store/blindReadings'
import { refuse } from './refuse'

declare module '#auth-utils' {
  /** A tablet handed over to a section's students: nobody is signed in at it, and one of them may be reading. */
  interface UserSession {
    kiosk?: { readonly sectionId: string; readonly studentId: string | null }
  }
}

/** The section whose students read at this tablet. */
export async function requireKiosk(
  event: H3Event,
): Promise<{ readonly sectionId: string; readonly studentId: string | null }> {
  const { kiosk } = await getUserSession(event)
  if (!kiosk) throw refuse(401, 'No tablet', 'An instructor hands the tablet over first.')
  return kiosk
}

/** Whoever reads a coupon blind: a student at the tablet or by an own account, or an instructor. */
export async function requireReader(event: H3Event): Promise<Reader> {
  const { user, kiosk } = await getUserSession(event)
  if (kiosk?.studentId) return { kind: 'student', id: kiosk.studentId }
  const me = user ? await findMe(user.id) : null
  if (!me) throw refuse(401, 'Signed out', 'Sign in first.')
  return me.role === 'student' ? { kind: 'student', id: me.studentId! } : { kind: 'instructor', id: me.id }
}

/** The student who reads. */
export async function requireStudentReader(event: H3Event): Promise<string> {
  const { kind, id } = await requireReader(event)
  if (kind !== 'student') throw refuse(403, 'For students', 'Only a student reads the own coupons.')
  return id
}
