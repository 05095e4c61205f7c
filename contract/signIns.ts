import { number, object } from 'yup'

/** Where a person is signed in. */
export interface SignIn {
  readonly id: string
  /** What it is signed in with, as far as a browser says: `Chrome on Android`. */
  readonly device: string
  /** ISO 8601. */
  readonly beganAt: string
  readonly seenAt: string
  /** This very one. */
  readonly here: boolean
}

/** How long a sign-in lasts at most, h: as long as its cookie. */
export const SIGN_IN_HOURS = 12

/** Minutes after which a school may have screens signed out that are not touched. */
export const IDLE_MINUTES = [10, 30, 60, 240] as const

/** The header that says for how many seconds the screen that asks was not touched. */
export const UNTOUCHED = 'x-untouched-seconds'

/** The body of `PUT /api/school/idle`; null for never. */
export const idleSchema = object({
  minutes: number()
    .strict()
    .nullable()
    .defined('${path} is missing')
    .oneOf([...IDLE_MINUTES, null], '${path} is 10, 30, 60 or 240, or null for never'),
}).exact()
