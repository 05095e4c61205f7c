import type { H3Event } from 'h3'
import type { Me } from '../../contract/people'
import { findMe } from '../store/accounts'
import { seeSignIn } from '../store/signIns'
import { isUuid } from './isUuid'
import { keepLook } from './keepTrail'
import { refuse } from './refuse'
import { somebodyActs } from './somebodyActs'

declare module '#auth-utils' {
  /** What a sealed session holds: who, the number that ends it when it is raised, and which sign-in it is. */
  interface User {
    id: string
    number: number
    signIn: string
  }
}

declare module 'h3' {
  interface H3EventContext {
    /** Whose session it is, once it was looked up for this request. */
    me?: Promise<Me | null>
  }
}

/** A sign-in is seen anew at most so often. */
const SEEN_EVERY_SECONDS = 30

/** Whose session it is, looked up anew at each request: an account switched off is out at its next click. */
function lookUp(event: H3Event): Promise<Me | null> {
  event.context.me ??= getUserSession(event).then(async ({ user }) => {
    // A session that was begun before sign-ins were kept has none, and is over.
    const found = user?.signIn ? await findMe(user) : null
    if (found && found.seenSeconds >= SEEN_EVERY_SECONDS && somebodyActs(event)) await seeSignIn(user!.signIn)
    return found?.me ?? null
  })
  return event.context.me
}

function mustBeSignedIn(me: Me | null): Me {
  if (!me) throw refuse(401, 'Signed out', 'Sign in first.')
  return me
}

/** The person signed in, with nothing left to be done at the door; null where there is none. */
export async function whoever(event: H3Event): Promise<Me | null> {
  const me = await lookUp(event)
  if (me?.passwordGiven)
    throw refuse(403, 'Choose your own password', 'A lead gave you the password you came in with: change it first.')
  if (me?.codesWanted)
    throw refuse(403, 'Set up one-time codes', 'This school wants a one-time code of its staff: set yours up first.')
  return me
}

/** Anybody who is signed in, with nothing left to be done at the door. */
export const signedIn = async (event: H3Event): Promise<Me> => mustBeSignedIn(await whoever(event))

/** A person signed in who may still have something to do at the door: to do it, or to go. */
export const cameIn = async (event: H3Event): Promise<Me> => mustBeSignedIn(await lookUp(event))

/** A lead or an instructor. */
export async function staff(event: H3Event): Promise<Me> {
  const me = await signedIn(event)
  if (me.role === 'student') throw refuse(403, 'Not yours to see', 'Only instructors may do this.')
  return me
}

export async function lead(event: H3Event): Promise<Me> {
  const me = await signedIn(event)
  if (me.role !== 'lead') throw refuse(403, 'Not yours to change', 'Only a lead instructor may do this.')
  return me
}

/** Someone who may see the record of the student in the address: any instructor, or the student. */
export async function recordOf(event: H3Event, studentId: string): Promise<Me> {
  const me = await signedIn(event)
  mustSeeRecordOf(me, studentId)
  return me
}

/** As `recordOf`, and the trail says that a person other than the student looked. */
export async function lookerInto(event: H3Event, studentId: string): Promise<Me> {
  const me = await recordOf(event, studentId)
  if (me.role !== 'student' && isUuid(studentId)) await keepLook(event, studentId)
  return me
}

export function mustSeeRecordOf(me: Me, studentId: string): void {
  if (me.role === 'student' && me.studentId !== studentId)
    throw refuse(403, 'Not yours to see', 'You may see your own record only.')
}

/** Anyone who asks, signed in or not. */
export const anyone = (): null => null
