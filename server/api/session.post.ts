import type { Me } from '../../contract/people'
import { signInSchema } from '../../contract/people'
import { anyone } from '../http/access'
import { addressOf } from '../http/addressOf'
import { beginSession } from '../http/beginSession'
import { defineRoute } from '../http/defineRoute'
import { refuse } from '../http/refuse'
import { tooManyTries } from '../http/tooManyTries'
import { findForSignIn } from '../store/accounts'
import { giveTurnBack, passwordSubjects, takeTurn } from '../store/turns'

/** Verified when there is no such account, so that the answer takes as long either way. */
const NOBODY = hashPassword('no account has this password')

export default defineRoute(
  { who: anyone, did: 'signed in', takes: signInSchema },
  async ({ body: { username, password }, event }): Promise<Me> => {
    const subjects = passwordSubjects(username, addressOf(event))
    const wait = await takeTurn(subjects)
    if (wait > 0) throw tooManyTries(event, wait, 'ask a lead instructor for a new password')
    const found = await findForSignIn(username)
    const right = await verifyPassword(found?.passwordHash ?? (await NOBODY), password)
    if (!found || !right) throw refuse(401, 'Not signed in', 'User name and password do not match.')
    await giveTurnBack(subjects)
    await beginSession(event, { user: found.user })
    return found.me
  },
)
