import type { AccountFields } from '../../contract/people'
import { sectionExists } from '../store/sections'
import { findStudent } from '../store/students'
import { wrongField } from './refuse'

/** Refuses an account for a student, or tied to a section, that is not there. */
export async function requireTies({ studentId, sectionIds }: AccountFields): Promise<void> {
  if (studentId !== null && !(await findStudent(studentId))) throw wrongField('studentId', 'There is no such student')
  if ((await Promise.all((sectionIds ?? []).map(sectionExists))).includes(false))
    throw wrongField('sectionIds', 'There is no such section')
}
