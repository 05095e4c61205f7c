import { object } from 'yup'
import { label } from './fields'
import type { GuardianConsent } from './guardianConsent'
import type { CouponDocument } from '../core/coupon'
import type { Stubs } from '../core/rodRoom'
import type { WelderTest } from '../core/welderTest'
import type { Student } from './people'
import type { CouponPicture } from './pictures'

/** The body of `POST /api/students/:id/erase`. The name typed again is a guard against the wrong row. */
export interface Erasure {
  readonly name: string
  readonly why: string
}
export const erasureSchema = object({ name: label(80), why: label(400) }).exact()

/** A document that is kept, with every version of it before. Days local, moments ISO 8601. */
interface Kept<Document> {
  readonly id: string
  readonly version: number
  readonly savedAt: string
  readonly savedBy: string
  readonly document: Document
  readonly before: readonly { readonly version: number; readonly savedAt: string; readonly document: Document }[]
}

/** All that is kept about one student, in the form that `docs/person-export.schema.json` describes. */
export interface PersonExport {
  readonly format: 'fusilis-person'
  readonly version: 1
  readonly school: string
  readonly made: string
  readonly student: Student & { readonly section: string }
  readonly coupons: readonly Kept<CouponDocument>[]
  readonly tests: readonly Kept<WelderTest>[]
  /** Pictures of coupons: JPEG as base64; null where its file is lost. */
  readonly pictures: readonly (CouponPicture & { readonly data: string | null })[]
  readonly blindReadings: readonly {
    readonly id: string
    readonly couponId: string
    readonly stage: string
    readonly madeAt: string
    readonly document: CouponDocument
  }[]
  readonly beadAnswers: readonly {
    readonly card: string
    readonly saidCause: string
    readonly saidChange: string
    readonly answeredAt: string
  }[]
  readonly signOffs: readonly {
    readonly rungId: string
    readonly stood: string
    readonly why: string
    readonly by: string
    readonly at: string
    readonly takenBackAt: string | null
  }[]
  readonly processUses: readonly {
    readonly process: string
    readonly kind: string
    readonly usedOn: string
    readonly witness: string
  }[]
  readonly attendance: readonly {
    readonly classDay: string
    /** On the shop's wall; null where it was not said when. */
    readonly came: string | null
    readonly left: string | null
    readonly absent: boolean
    readonly why: string
    readonly by: string
    readonly at: string
  }[]
  /** Cautions that were said to be read, in the words that were shown. */
  readonly cautionsRead: readonly { readonly says: string; readonly by: string; readonly at: string }[]
  /** Null where nothing is noted: the student is of age. */
  readonly guardianConsent: GuardianConsent | null
  /** Rods that were drawn, and came back: by how many the store changed. */
  readonly rods: readonly {
    readonly classification: string
    readonly what: string
    readonly rods: number
    readonly stubs: Stubs | null
    readonly why: string
    readonly by: string
    readonly at: string
  }[]
  /** What was planned for days on the newest plan of each; minutes since the class began. */
  readonly planned: readonly {
    readonly classDay: string
    readonly rungId: string
    readonly booth: number
    readonly from: number
    readonly minutes: number
  }[]
  readonly remarks: readonly { readonly says: string; readonly by: string; readonly at: string }[]
  readonly trail: readonly { readonly at: string; readonly who: string; readonly did: string }[]
}
