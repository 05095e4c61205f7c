import { boolean, object, string } from 'yup'

/** How one's own sign-in stands: whether it asks for a code, and how many recovery codes are left. */
export interface OwnCodes {
  readonly on: boolean
  readonly recoveryLeft: number
}

/** A secret to put into an authenticator, by hand or as an `otpauth:` address drawn as a QR code. */
export interface CodesOffer {
  readonly secret: string
  readonly address: string
}

/** Recovery codes, shown once: each lets in one time where the phone is lost. */
export interface RecoveryCodes {
  readonly recovery: readonly string[]
}

const password = () => string().strict().required('Type your password').max(200, 'That password is too long')

/** The body of `PUT /api/session/codes`: the secret that was offered, and a code that proves the phone has it. */
export const turnOnCodesSchema = object({
  password: password(),
  secret: string()
    .strict()
    .required('${path} is missing')
    .matches(/^[A-Z2-7]{32}$/, '${path} is the one that was offered'),
  code: string()
    .strict()
    .required('Type the six digits that the phone shows')
    .matches(/^\d{3} ?\d{3}$/, 'A code is six digits'),
}).exact()

/** The body of `POST /api/session/codes/off`. */
export const turnOffCodesSchema = object({ password: password() }).exact()

/** The body of `PUT /api/school/codes`: whether leads and instructors must sign in with codes. */
export const staffCodesSchema = object({ wanted: boolean().strict().required('${path} is missing') }).exact()
