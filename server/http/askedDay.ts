import { getQuery, type H3Event } from 'h3'
import type { ClassDay } from '../../core/calendar'
import { day } from '../../contract/fields'
import { schoolDay } from '../store/school'
import { wrongField } from './refuse'

/** The class day that an address asks for with `?day=`; the school's today where it asks for none. */
export async function askedDay(event: H3Event, now: Date): Promise<ClassDay> {
  const { day: asked } = getQuery(event)
  if (asked === undefined) return schoolDay(now)
  if (!(await day().required().isValid(asked))) throw wrongField('day', 'day is a date like 2026-09-14')
  return asked as ClassDay
}
