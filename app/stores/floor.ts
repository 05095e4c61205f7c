import { v7 as uuid } from 'uuid'
import { defineStore } from 'pinia'
import { offsetOf } from '~~/core/setup'
import type { FloorQueue, QueuePlace, WaitingStudent } from '~~/contract/floor'
import type { FloorStudent } from '~~/contract/people'
import type { Remark, RemarkSave } from '~~/contract/remarks'
import type { FloorBooths } from '~~/contract/shop'
import { queueWith, remarksWith } from '~/sync/withWhatWaits'
import { useOutbox } from './outbox'
import { request } from './request'
import { useSession } from './session'

const NOBODY_WAITS: FloorQueue = { serial: -1, waiting: [], holds: [], readings: 0, minutesAReading: 0, readers: 1 }

/** Today's class: the students of a section, each with the newest coupon, and who waits to be read. */
export const useFloor = defineStore('floor', () => {
  const session = useSession()
  const outbox = useOutbox()
  const students = ref<FloorStudent[]>([])
  /** As the server told it last; who was said to wait here, and is not told yet, stands behind. */
  const told = shallowRef<FloorQueue>(NOBODY_WAITS)
  const queue = computed(() => queueWith(told.value, outbox.left, students.value))
  const leftRemarks = shallowRef<Remark[]>([])
  const remarks = computed(() =>
    remarksWith(leftRemarks.value, outbox.left, { by: session.me?.name ?? '', sectionId: sectionId.value }),
  )
  const booths = shallowRef<FloorBooths>({ faults: [], machines: [], students: [] })
  const sectionId = ref<string | null>(null)

  async function load(id: string): Promise<void> {
    // The queue first: what changes after it has a later serial, and is followed.
    const waits = await queueOf(id)
    const [found, left, standing] = await Promise.all([
      request<FloorStudent[]>('GET', `/api/sections/${id}/floor`),
      remarksOf(id),
      boothsOf(id),
    ])
    students.value = found
    told.value = waits
    leftRemarks.value = left
    booths.value = standing
    sectionId.value = id
  }

  /**
   * What changes while a class goes on: queue, remarks and booths, and the students when a coupon was read.
   * @param serial of the change; what is shown already is not asked for again
   */
  async function follow(serial: number | null = null): Promise<void> {
    const id = sectionId.value
    if (!id || serial === told.value.serial) return
    const now = await queueOf(id)
    const [left, standing] = await Promise.all([remarksOf(id), boothsOf(id)])
    leftRemarks.value = left
    booths.value = standing
    if (now.readings !== told.value.readings) await load(id)
    else told.value = now
  }

  /** What was said is kept here already: that the server is away is no failure of it. */
  const followIfThere = () => follow().catch(() => {})

  /** What the arc has more than the panel of a booth's machine says, A; undefined where it is not known. */
  const panelOffsetOf = (booth: number | null): number | undefined => {
    const check = booth === null ? null : booths.value.machines.find(one => one.booth === booth)
    return check ? offsetOf(check) : undefined
  }

  const queueOf = (id: string) => request<FloorQueue>('GET', `/api/sections/${id}/queue`)
  const boothsOf = (id: string) => request<FloorBooths>('GET', `/api/sections/${id}/booths`)
  const remarksOf = (id: string) => request<Remark[]>('GET', `/api/sections/${id}/remarks`)
  /** What was to be remembered of one student. */
  const remarksAbout = (studentId: string) => remarks.value.filter(one => one.studentId === studentId)

  /** Leaves a remark for next time. @throws RequestFailure with the field that is wrong */
  async function remark(id: string, save: RemarkSave): Promise<void> {
    const student = save.studentId ? nameOf(save.studentId) : ''
    await outbox.send({ kind: 'remark', id, body: save, student, about: `for next time: ${save.says}` })
    await followIfThere()
  }
  async function tick(id: string): Promise<void> {
    if (outbox.find({ kind: 'remark', id })) return outbox.forget({ kind: 'remark', id })
    await request('POST', `/api/remarks/${id}/tick`)
    leftRemarks.value = leftRemarks.value.filter(one => one.id !== id)
  }

  const waitOf = (studentId: string): WaitingStudent | null =>
    queue.value.waiting.find(one => one.studentId === studentId) ?? null
  /** Another instructor who reads this student's coupon now; null where none does. */
  const readBy = (studentId: string): string | null =>
    queue.value.holds.find(hold => hold.studentId === studentId && hold.by.id !== session.me?.id)?.by.name ?? null

  /** An instructor says for a student that the coupon is ready, or that it is not. */
  async function setReady(studentId: string, ready: boolean): Promise<void> {
    const wait = waitOf(studentId)
    if (ready && !wait) await sayReady(studentId)
    if (!ready && wait) await takeReadyBack(wait.id, studentId)
    await followIfThere()
  }

  const nameOf = (studentId: string) => students.value.find(one => one.id === studentId)?.name ?? ''
  /** A coupon is ready; it waits here where the server is away. */
  const sayReady = (studentId: string, student = nameOf(studentId)) =>
    outbox.send<QueuePlace>({ kind: 'ready', id: uuid(), body: { studentId }, student, about: 'coupon is ready' })
  /** What was not sent yet is forgotten; what was, is taken back when the server answers. */
  async function takeReadyBack(id: string, studentId: string): Promise<void> {
    if (outbox.find({ kind: 'ready', id })) return outbox.forget({ kind: 'ready', id })
    await outbox.send({
      kind: 'not ready',
      id,
      body: null,
      student: nameOf(studentId),
      about: 'is not ready after all',
    })
  }

  /** Where a student stands, as the server knows it. */
  const placeOf = (studentId: string) => request<QueuePlace>('GET', `/api/students/${studentId}/place`)

  /** Tells the others who is read now. Nothing depends on it: a server that is away is not waited for. */
  const hold = (studentId: string) => void request('PUT', `/api/students/${studentId}/hold`).catch(() => {})
  const letGo = (studentId: string) => void request('DELETE', `/api/students/${studentId}/hold`).catch(() => {})

  /** Whose coupon to read next: the first who waits and is not read by another, else who was read longest ago. */
  const next = computed<FloorStudent | null>(() => {
    const first = queue.value.waiting.find(one => readBy(one.studentId) === null)
    const waits = students.value.find(student => student.id === first?.studentId)
    return waits ?? longestAgo.value.find(student => readBy(student.id) === null) ?? null
  })
  const longestAgo = computed(() =>
    [...students.value].sort((a, b) => (a.last?.savedAt ?? '').localeCompare(b.last?.savedAt ?? '')),
  )

  return {
    students,
    queue,
    remarks,
    booths,
    panelOffsetOf,
    remarksAbout,
    remark,
    tick,
    sectionId,
    load,
    follow,
    waitOf,
    readBy,
    setReady,
    placeOf,
    sayReady,
    takeReadyBack,
    hold,
    letGo,
    next,
    longestAgo,
  }
})
