import type { CouponDocument, Hand, Verdict } from '../core/coupon'
import type { ToldTally } from '../core/diagnosis'
import type { ElementId } from '../core/grading'
import type { HouseRules } from '../core/house'
import type { PositionId, RodFamily, Travel, Work } from '../core/trade'
import type { Student } from './people'

/** Summed evidence of one student: a cell of kind of piece by position by rod family, an element in it. */
export interface EvidenceSum {
  readonly work: Work
  readonly position: PositionId
  readonly rodFamily: RodFamily
  readonly element: ElementId
  readonly tried: number
  readonly sound: number
}

/** One element on one class day. */
export interface DayPoint {
  readonly classDay: string
  readonly element: ElementId
  readonly tried: number
  readonly sound: number
}

/** Pads of one position, hand and way: how many, and what became of their starts and restarts. */
export interface PadGridCell {
  readonly position: PositionId
  readonly hand: Hand
  readonly travel: Travel
  readonly coupons: number
  readonly starts: { readonly tried: number; readonly sound: number }
  readonly restarts: { readonly tried: number; readonly sound: number }
}

export interface StudentRecord {
  readonly student: Student
  readonly section: string
  readonly coupons: number
  readonly evidence: readonly EvidenceSum[]
  readonly days: readonly DayPoint[]
  readonly flaws: readonly { readonly flaw: string; readonly count: number }[]
  readonly grid: readonly PadGridCell[]
  /** Causes as instructors said them, the commonest first. */
  readonly causes: readonly { readonly cause: string; readonly count: number }[]
  /** What telling a cause came to on the next coupon of the kind, the most told first. */
  readonly told: readonly ToldTally[]
}

export interface CouponSummary {
  readonly id: string
  readonly classDay: string
  readonly savedAt: string
  readonly verdict: Verdict
  readonly score: number
  /** Pictures that lie on it to scale. */
  readonly pictures: number
  readonly document: CouponDocument
}

/** Where a student began with one kind of work and where that work is now: two coupons of one rung. */
export interface FirstAndLatest {
  /** Every rung with two coupons or more, the one run last first. */
  readonly rungs: readonly string[]
  /** Of the rung asked for, or of the first one; null where no rung has two. */
  readonly pair: { readonly rung: string; readonly first: CouponSummary; readonly latest: CouponSummary } | null
}

/** A page of coupons, newest first; `next` asks for the page after it. */
export interface CouponPage {
  readonly coupons: readonly CouponSummary[]
  readonly next: string | null
}

/** House rules as they were saved; version 1 is what every school starts with, and no person saved it. */
export interface RulesVersion {
  readonly version: number
  readonly rules: HouseRules
  readonly saved: { readonly at: string; readonly by: string; readonly why: string } | null
}

export interface Health {
  readonly ok: boolean
  readonly version: string
  readonly database: boolean
  /** Whether the database takes what is to be kept: it is not full, read-only or locked. */
  readonly saves: boolean
  /** Whether a sign-in could work: passwords are looked at, and sessions can be sealed. */
  readonly signIns: boolean
}

/** What the sign-in page needs to know before anybody is signed in. */
export interface Welcome {
  readonly school: string | null
  readonly needsFirstLead: boolean
  readonly demo: readonly {
    readonly username: string
    readonly password: string
    readonly name: string
    readonly role: string
  }[]
  /** The school's own identity provider, as its button calls it; null where there is none. */
  readonly provider: string | null
}
