import { v7 as uuid } from 'uuid'
import { defineStore } from 'pinia'
import type { AttendanceNote } from '~~/core/floor'
import { NOW, type AttendanceSave, type DayStudent, type DemonstrationSave, type SectionDay } from '~~/contract/day'
import { dayWith } from '~/sync/withWhatWaits'
import { useOutbox } from './outbox'
import { request } from './request'
import { useSession } from './session'

const NOTHING_NOTED: AttendanceNote = { came: null, left: null, absent: false, why: '' }

const sayNote = ({ absent, left }: AttendanceNote) => (absent ? 'is missing' : left ? 'has left' : 'is here')

/** A section's class day: who was there, what was shown, and what it came to. */
export const useDay = defineStore('day', () => {
  const session = useSession()
  const outbox = useOutbox()
  /** As the server told it last; what was noted here, and is not told yet, stands on it. */
  const told = shallowRef<SectionDay | null>(null)
  const day = computed(() => told.value && dayWith(told.value, outbox.left, { by: session.me?.name ?? '' }))
  const sectionId = ref('')

  /** @param classDay another than today's; empty for today */
  async function load(id: string, classDay: string): Promise<void> {
    const asked = classDay === '' ? '' : `?day=${encodeURIComponent(classDay)}`
    told.value = await request<SectionDay>('GET', `/api/sections/${id}/day${asked}`)
    sectionId.value = id
  }
  const again = async () => day.value && load(sectionId.value, day.value.classDay)

  outbox.onSaved(({ kind }) => {
    if (kind === 'attendance' || kind === 'demonstration') void again().catch(() => {})
  })

  /** Notes something of a student's day; what was noted before stands but for what is said anew. */
  async function note(student: DayStudent, said: Partial<AttendanceNote>): Promise<void> {
    const { came, left, absent, why } = student.note ?? NOTHING_NOTED
    const { classDay } = day.value!
    const body = { ...{ came, left, absent, why }, ...said, studentId: student.id, classDay } satisfies AttendanceSave
    await outbox.send({ kind: 'attendance', id: uuid(), body, student: student.name, about: sayNote(body) })
  }
  const cameNow = (student: DayStudent) => note(student, { came: NOW, left: null, absent: false, why: '' })
  const leftNow = (student: DayStudent) => note(student, { left: NOW })

  /** Keeps that something was shown to those who are there. */
  async function show(id: string, what: Pick<DemonstrationSave, 'topic' | 'minutes'>): Promise<void> {
    const { classDay, students } = day.value!
    const there = students.filter(student => student.attendance.state === 'here').length
    const body: DemonstrationSave = { ...what, sectionId: sectionId.value, classDay, students: there }
    await outbox.send({ kind: 'demonstration', id, body, student: '', about: `demonstration: ${what.topic}` })
  }
  async function takeBack(id: string): Promise<void> {
    if (outbox.find({ kind: 'demonstration', id })) await outbox.forget({ kind: 'demonstration', id })
    else await request('DELETE', `/api/demonstrations/${id}`)
    await again()
  }

  return { day, load, again, note, cameNow, leftNow, show, takeBack }
})
