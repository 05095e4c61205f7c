import { getRouterParam, type H3Event } from 'h3'
import type { Me } from '../../contract/people'
import { findMe } from '../store/accounts'
import { notFound, refuse } from './refuse'

declare module '#auth-utils' {
  /** What a sealed session holds: who, and the number that ends it when it is raised. */
  interface User {
    id: string
    number: number
  }
}

const UUID = /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/

/** The person signed in, looked up anew: an account switched off is out at its next click. */
export async function requireSignedIn(event: H3Event): Promise<Me> {
  const { user } = await getUserSession(event)
  const me = user ? await findMe(user) : null
  if (!me) throw refuse(401, 'Signed out', 'Sign in first.')
  return me
}

/** A lead or an instructor. */
export async function requireStaff(event: H3Event): Promise<Me> {
  const me = await requireSignedIn(event)
  if (me.role === 'student') throw refuse(403, 'Not yours to see', 'Only instructors may do this.')
  return me
}

export async function requireLead(event: H3Event): Promise<Me> {
  const me = await requireSignedIn(event)
  if (me.role !== 'lead') throw refuse(403, 'Not yours to change', 'Only a lead instructor may do this.')
  return me
}

/** Someone who may see this student's record: any instructor, or the student. */
export async function requireRecordOf(event: H3Event, studentId: string): Promise<Me> {
  const me = await requireSignedIn(event)
  if (me.role === 'student' && me.studentId !== studentId)
    throw refuse(403, 'Not yours to see', 'You may see your own record only.')
  return me
}

/** The id in the address of the request. */
export function idIn(event: H3Event, what: string): string {
  const id = getRouterParam(event, 'id') ?? ''
  if (!UUID.test(id)) throw notFound(what)
  return id
}
