import { object, string } from 'yup'
import type { Outcome, Tallies, Tally } from '../core/agreement'
import type { CouponDocument, RunAgain } from '../core/coupon'
import type { ReaderMarks } from '../core/progress'
import { couponSchema } from './coupon'
import { oneOf, uuid } from './fields'
import type { Student } from './people'

/** When a coupon is read: under its slag, or clean. */
export const STAGES = ['before chipping', 'after chipping'] as const
export type Stage = (typeof STAGES)[number]

/** The body of `PUT /api/readings/:id`. */
export const blindReadingSchema = object({
  couponId: uuid().required('${path} is missing'),
  stage: oneOf(STAGES, 'a stage'),
  document: couponSchema.required('${path} is missing'),
}).exact()

export interface BlindReadingSave {
  readonly couponId: string
  readonly stage: Stage
  readonly document: CouponDocument
}

/** A coupon as a reader read it blind. */
export interface BlindReading extends BlindReadingSave {
  readonly id: string
  readonly reader: { readonly kind: 'student' | 'instructor'; readonly id: string; readonly name: string }
  readonly madeAt: string
}

/** What handing in answers: the reading, and the instructor's own where the coupon has been read already. */
export interface HandedIn {
  readonly reading: BlindReading
  readonly reference: CouponDocument | null
}

/**
 * What a student may read: the next coupon, laid out as the last, and those of late not read yet, with the moment
 * (`at`) at which each was last handed in or saved.
 */
export interface OpenToRead {
  readonly student: Student
  readonly next: RunAgain | null
  readonly coupons: readonly {
    readonly couponId: string
    readonly classDay: string
    readonly at: string
    readonly document: CouponDocument
    readonly read: readonly Stage[]
  }[]
}

/** How one reading agreed with the instructor's. */
export interface BlindReadingSummary {
  readonly id: string
  readonly couponId: string
  readonly classDay: string
  readonly stage: Stage
  readonly rung: string
  readonly outcomes: Readonly<Record<Outcome, number>>
  readonly tally: Tally
}

/** How two of the school's readers agree, and what waits for a second reader. */
export interface ReadersAgreement {
  readonly pairs: readonly {
    readonly first: string
    readonly second: string
    readonly coupons: number
    readonly tallies: Tallies
  }[]
  /** How much each reader marks beside the level that the school's readings are reckoned at; least first. */
  readonly marks: readonly (Omit<ReaderMarks, 'reader'> & { readonly name: string })[]
  readonly waiting: readonly {
    readonly couponId: string
    readonly classDay: string
    readonly student: string
    readonly rung: string
    readonly readBy: string
  }[]
}

const code = () =>
  string()
    .strict()
    .required('${path} is missing')
    .matches(/^\d{4}$/, '${path} is four digits')

/** The body of `PUT /api/students/:id/code`. */
export const studentCodeSchema = object({ code: code() }).exact()

/** The body of `POST /api/kiosk`: the section whose students read at this tablet. */
export const kioskSchema = object({ sectionId: uuid().required('${path} is missing') }).exact()

/** The body of `POST /api/kiosk/student`. */
export const kioskStudentSchema = object({ studentId: uuid().required('${path} is missing'), code: code() }).exact()

/** The shared tablet: who may read at it, and who does. */
export interface Kiosk {
  readonly sectionId: string
  readonly section: string
  /** Where the school stands, IANA; empty where it has not said. */
  readonly timeZone: string
  /** The hour on the wall at which its class days begin. */
  readonly dayTurnsAt: number
  readonly students: readonly {
    readonly id: string
    readonly name: string
    readonly booth: number | null
    readonly hasCode: boolean
  }[]
  readonly studentId: string | null
}
