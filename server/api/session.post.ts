import type { H3Event } from 'h3'
import type { Me } from '../../contract/people'
import { signInSchema } from '../../contract/people'
import { anyone } from '../http/access'
import { addressOf } from '../http/addressOf'
import { beginSession } from '../http/beginSession'
import { defineRoute } from '../http/defineRoute'
import { deviceIdOf, giveDeviceId } from '../http/deviceId'
import { deviceOf } from '../http/deviceOf'
import { log } from '../http/log'
import { stepOf } from '../http/oneTimeCode'
import { hashPassword, verifyPassword } from '../http/passwords'
import { refuse } from '../http/refuse'
import { tooManyTries } from '../http/tooManyTries'
import { findForSignIn } from '../store/accounts'
import { useRecoveryCode, useStep } from '../store/oneTimeCodes'
import { knowDevice, knowsDevice } from '../store/knownDevices'
import { giveSharedBack, giveTurnBack, knownDeviceSubjects, passwordSubjects, takeTurn } from '../store/turns'
import { isConsoleCode, useWayIn } from '../store/waysIn'

/** Verified when there is no such account, or its provider lets it in: the answer takes as long either way. */
const NO_ACCOUNT = hashPassword('no account has this password')

type Found = NonNullable<Awaited<ReturnType<typeof findForSignIn>>>

export default defineRoute(
  { who: anyone, did: 'signed in', takes: signInSchema },
  async ({ body: { username, password, code }, event }): Promise<Me> => {
    const found = await findForSignIn(username)
    const byConsole = found !== null && isConsoleCode(password) && (await useWayIn(found.me.id, password))
    if (!byConsole) await mustBeRight(event, found, { username, password, code })
    await knowDevice(found!.me.id, giveDeviceId(event), deviceOf(event))
    await beginSession(event, { user: found!.user })
    return found!.me
  },
)

interface Said {
  readonly username: string
  readonly password: string
  readonly code: string | undefined
}

/** @throws 401, 429 unless password and code are right, and it is this device's turn to try */
async function mustBeRight(event: H3Event, found: Found | null, { username, password, code }: Said): Promise<void> {
  const deviceId = deviceIdOf(event)
  const isKnown = found !== null && deviceId !== null && (await knowsDevice(found.me.id, deviceId))
  const subjects = isKnown ? knownDeviceSubjects(found.me.id, deviceId) : passwordSubjects(username, addressOf(event))
  const wait = await takeTurn(subjects)
  if (wait > 0) throw tooManyTries(event, wait, 'ask a lead instructor for a new password')
  const kept = found?.passwordHash || (await NO_ACCOUNT)
  const right = await verifyPassword(kept, password, isKnown ? 'known' : 'stranger')
  // The name is not logged: a person in a hurry types the password there.
  if (!found || !right) {
    log.warn({ requestId: event.context.requestId, account: found?.me.id }, 'sign-in failed')
    throw refuse(401, 'Not signed in', 'User name and password do not match.')
  }
  if (found.codeSecret !== null && !code) {
    await giveSharedBack(subjects)
    throw codeRefused('Type the six digits that your phone shows, or a recovery code')
  }
  if (found.codeSecret !== null) await mustHaveCode(found.me.id, found.codeSecret, code!)
  await giveTurnBack(subjects)
}

/** A code of now that was not used yet, or a recovery code. The turn is spent until it is right. */
async function mustHaveCode(accountId: string, secret: string, code: string): Promise<void> {
  const step = stepOf(code, secret, new Date())
  if (step !== null ? await useStep(accountId, step) : await useRecoveryCode(accountId, code)) return
  throw codeRefused('That code does not let in: wait for the next one, or use a recovery code')
}

const codeRefused = (message: string) => refuse(401, 'One-time code', `${message}.`, [{ path: 'code', message }])
