import type { AccountFields } from '../../contract/people'
import { findStudent } from '../store/students'
import { wrongField } from './refuse'

/** Refuses an account for a student who is not there. */
export async function requireStudentOf({ studentId }: AccountFields): Promise<void> {
  if (studentId === null || (await findStudent(studentId))) return
  throw wrongField('studentId', 'There is no such student')
}
