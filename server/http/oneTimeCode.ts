import { Secret, TOTP } from 'otpauth'
import type { CodesOffer } from '../../contract/oneTimeCodes'

/** RFC 6238 as every authenticator reads it: six digits, a new one each half minute, SHA-1. */
const TERMS = { issuer: 'Fusilis', algorithm: 'SHA1', digits: 6, period: 30 } as const
const SECRET_BYTES = 20
/** A phone's clock may be off by one step either way. */
const STEPS_OFF = 1

export function offerCodes(username: string): CodesOffer {
  const secret = new Secret({ size: SECRET_BYTES })
  return { secret: secret.base32, address: new TOTP({ ...TERMS, label: username, secret }).toString() }
}

/** The step (half minutes since 1970) that a code belongs to; null where it is none of those around now. */
export function stepOf(code: string, secret: string, now: Date): number | null {
  const token = code.replace(/\s/g, '')
  const totp = new TOTP({ ...TERMS, secret: Secret.fromBase32(secret) })
  const timestamp = now.getTime()
  const off = totp.validate({ token, window: STEPS_OFF, timestamp })
  return off === null ? null : Math.floor(timestamp / 1000 / TERMS.period) + off
}
