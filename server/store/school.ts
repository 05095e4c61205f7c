import { classDayAt, MACHINE_CLOCK, type ClassDay, type SchoolClock } from '../../core/calendar'
import type { HoursWanted } from '../../core/floor'
import { database, fromJson, rows, run, toDateTime, toIso } from './database'

/** The school itself: its name, and its clock. */
export interface School {
  readonly name: string
  readonly clock: SchoolClock
}

/** Null before the school is founded. */
export async function findSchool(): Promise<School | null> {
  const [row] = await rows<{ name: string; time_zone: string; day_turns_at: number }>(
    database(),
    'SELECT name, time_zone, day_turns_at FROM school',
  )
  return row ? { name: row.name, clock: { zone: row.time_zone, turnsAt: row.day_turns_at } } : null
}

/** The clock on the school's wall; a school that has not said goes by the server's own zone. */
export const schoolClock = async (): Promise<SchoolClock> => (await findSchool())?.clock ?? MACHINE_CLOCK

/** Which class day it is where the school stands. */
export const schoolDay = async (moment: Date): Promise<ClassDay> => classDayAt(moment, await schoolClock())

/** When the last good backup was made, ISO 8601; null where none was. */
export async function lastBackup(): Promise<string | null> {
  const [row] = await rows<{ at: string | null }>(database(), 'SELECT last_backup_at AS at FROM school')
  return row?.at ? toIso(row.at) : null
}

export async function noteBackup(now: Date): Promise<void> {
  await run(database(), 'UPDATE school SET last_backup_at = ?', [toDateTime(now)])
}

/** Whether leads and instructors must sign in with one-time codes. */
export async function wantStaffCodes(wanted: boolean): Promise<void> {
  await run(database(), 'UPDATE school SET staff_codes = ?', [wanted])
}

/** Minutes after which a screen that is not touched is signed out; null for never. */
export async function signOutIdle(minutes: number | null): Promise<void> {
  await run(database(), 'UPDATE school SET idle_minutes = ?', [minutes])
}

/** Hours that the programme asks for; none where it was not said. */
export async function programmeHours(): Promise<HoursWanted[]> {
  const [row] = await rows<{ programme: unknown }>(database(), 'SELECT programme FROM school')
  return row?.programme ? fromJson<HoursWanted[]>(row.programme) : []
}

export async function askHours(wanted: readonly HoursWanted[]): Promise<void> {
  await run(database(), 'UPDATE school SET programme = ?', [wanted.length === 0 ? null : JSON.stringify(wanted)])
}

export async function setSchoolClock({ zone, turnsAt }: SchoolClock): Promise<void> {
  await run(database(), 'UPDATE school SET time_zone = ?, day_turns_at = ?', [zone, turnsAt])
}
