import { object } from 'yup'
import { uuid } from './fields'

/** Who reads a student's coupon at this moment. */
export interface Hold {
  readonly studentId: string
  readonly by: { readonly id: string; readonly name: string }
}

/** A student whose coupon is ready. */
export interface WaitingStudent {
  readonly id: string
  readonly studentId: string
  readonly name: string
  readonly booth: number | null
  readonly since: string
  readonly saidBy: 'student' | 'instructor'
  readonly readToday: boolean
}

/** A section's queue, in the order in which it is read. */
export interface FloorQueue {
  /** How often the section's floor had changed when this was asked for: no later change is in it for certain. */
  readonly serial: number
  readonly waiting: readonly WaitingStudent[]
  readonly holds: readonly Hold[]
  /** Coupons read today. */
  readonly readings: number
  /** Minutes that a reading takes today, and how many read. */
  readonly minutesAReading: number
  readonly readers: number
}

/** Where a student stands in the queue; null where the student does not wait. */
export interface QueuePlace {
  readonly waiting: {
    readonly id: string
    readonly since: string
    readonly place: number
    readonly minutes: number
  } | null
}

/** The body of `PUT /api/waiting/:id`: this student's coupon is ready. */
export const readySchema = object({ studentId: uuid().required('${path} is missing') }).exact()

/** A class as a screen on the wall may show it: nothing of a record. */
export interface WallClass {
  readonly section: string
  /** Where the school stands, IANA; empty where it has not said. */
  readonly timeZone: string
  /** The hour on the wall at which its class days begin. */
  readonly dayTurnsAt: number
  readonly students: readonly {
    readonly id: string
    readonly name: string
    readonly booth: number | null
    readonly readToday: boolean
  }[]
  readonly queue: FloorQueue
}
