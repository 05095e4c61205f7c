import { defineEventHandler, getRequestIP } from 'h3'
import type { Me } from '../../contract/people'
import { signInSchema } from '../../contract/people'
import { beginSession } from '../http/beginSession'
import { readAs } from '../http/readAs'
import { refuse } from '../http/refuse'
import { findForSignIn } from '../store/accounts'
import { isLockedOut, noteFailure } from '../store/signIns'

/** Verified when there is no such account, so that the answer takes as long either way. */
const NOBODY = hashPassword('no account has this password')

export default defineEventHandler(async (event): Promise<Me> => {
  const { username, password } = await readAs<{ username: string; password: string }>(event, signInSchema)
  const address = getRequestIP(event) ?? 'unknown'
  const now = new Date()
  if (await isLockedOut(username, address, now))
    throw refuse(
      429,
      'Too many tries',
      'Too many failed sign-ins. Wait a quarter of an hour, or ask a lead instructor.',
    )
  const found = await findForSignIn(username)
  const right = await verifyPassword(found?.passwordHash ?? (await NOBODY), password)
  if (!found || !right) {
    await noteFailure(username, address, now)
    throw refuse(401, 'Not signed in', 'User name and password do not match.')
  }
  await beginSession(event, { user: { id: found.me.id } })
  return found.me
})
