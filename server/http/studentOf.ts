import type { AccountFields } from '../../contract/people'
import { findStudent } from '../store/students'
import { refuse } from './refuse'

/** Refuses an account for a student who is not there. */
export async function requireStudentOf({ studentId }: AccountFields): Promise<void> {
  if (studentId === null || (await findStudent(studentId))) return
  const message = 'There is no such student'
  throw refuse(422, 'Not accepted', `${message}.`, [{ path: 'studentId', message }])
}
