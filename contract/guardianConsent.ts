import { object } from 'yup'
import { across, day, typed } from './fields'

/** That a student is under age until a day, and whether a guardian has agreed that the school keeps the record. */
export interface GuardianConsent {
  /** The day from which the student is of age; local. */
  readonly ofAgeOn: string
  /** When the guardian agreed; null where it was not yet agreed. */
  readonly givenOn: string | null
  /** Who agreed, as typed; empty where it was not. */
  readonly givenBy: string
}

/** As kept: with who noted it. */
export interface NotedConsent extends GuardianConsent {
  readonly studentId: string
  readonly notedBy: string
}

/** The body of `PUT /api/students/:id/consent`; null for a student who is of age. */
export const consentSchema = object({
  consent: across(
    object({
      ofAgeOn: day().required('${path} is missing'),
      givenOn: day().nullable().defined('${path} is missing'),
      givenBy: typed().defined('${path} is missing').max(80, '${path} is at most 80 characters'),
    }).exact(),
    ({ givenOn, givenBy }) =>
      givenOn !== null && givenBy === '' ? { path: 'givenBy', message: 'Say who agreed' } : null,
  )
    .nullable()
    .defined('${path} is missing')
    .default(undefined),
}).exact()

/** Whether a guardian's word is still wanting on a day. */
export const consentWanting = (consent: GuardianConsent | undefined, today: string) =>
  consent !== undefined && consent.givenOn === null && today < consent.ofAgeOn
