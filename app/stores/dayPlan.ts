import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import type { AttendanceSave } from '~~/contract/day'
import type { DayPlan, DayPlanSave, DayPlanVersion, DayToPlan } from '~~/contract/dayPlan'
import { useOutbox } from './outbox'
import { request } from './request'

/** What a section's class day is planned from, and the plan of it that stands. */
export const useDayPlan = defineStore('dayPlan', () => {
  const known = shallowRef<DayToPlan | null>(null)
  const sectionId = ref('')

  /** @param classDay another than today's; empty for today */
  async function load(id: string, classDay: string): Promise<void> {
    const asked = classDay === '' ? '' : `?day=${encodeURIComponent(classDay)}`
    known.value = await request<DayToPlan>('GET', `/api/sections/${id}/plan${asked}`)
    sectionId.value = id
  }

  /** @throws RequestFailure with the field that is wrong, or 409 where another person planned it meanwhile */
  async function save(baseVersion: number, plan: DayPlan): Promise<void> {
    const body: DayPlanSave = { classDay: known.value!.classDay, baseVersion, plan }
    const saved = await request<DayPlanVersion>('PUT', `/api/sections/${sectionId.value}/plan`, body)
    known.value = { ...known.value!, kept: saved }
  }

  /** Notes that a student is missing that day, or is here after all. */
  async function noteAbsent(studentId: string, absent: boolean): Promise<void> {
    const { classDay, students } = known.value!
    const note = { came: null, left: null, absent, why: '' }
    const body: AttendanceSave = { ...note, studentId, classDay }
    const student = students.find(one => one.student.id === studentId)?.student.name ?? ''
    const about = absent ? 'is missing' : 'is here after all'
    await useOutbox().send({ kind: 'attendance', id: uuid(), body, student, about })
    known.value = {
      ...known.value!,
      students: students.map(one => (one.student.id === studentId ? { ...one, absent } : one)),
    }
  }

  return { known, sectionId, load, save, noteAbsent }
})
