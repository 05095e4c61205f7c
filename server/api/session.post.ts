import { defineEventHandler } from 'h3'
import type { Me } from '../../contract/people'
import { signInSchema } from '../../contract/people'
import { addressOf } from '../http/addressOf'
import { beginSession } from '../http/beginSession'
import { readAs } from '../http/readAs'
import { refuse } from '../http/refuse'
import { tooManyTries } from '../http/tooManyTries'
import { findForSignIn } from '../store/accounts'
import { giveTurnBack, passwordSubjects, takeTurn } from '../store/turns'

/** Verified when there is no such account, so that the answer takes as long either way. */
const NOBODY = hashPassword('no account has this password')

export default defineEventHandler(async (event): Promise<Me> => {
  const { username, password } = await readAs<{ username: string; password: string }>(event, signInSchema)
  const subjects = passwordSubjects(username, addressOf(event))
  const wait = await takeTurn(subjects)
  if (wait > 0) throw tooManyTries(event, wait, 'ask a lead instructor for a new password')
  const found = await findForSignIn(username)
  const right = await verifyPassword(found?.passwordHash ?? (await NOBODY), password)
  if (!found || !right) throw refuse(401, 'Not signed in', 'User name and password do not match.')
  await giveTurnBack(subjects)
  await beginSession(event, { user: found.user })
  return found.me
})
