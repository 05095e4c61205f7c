import { ownPasswordSchema } from '../../../contract/people'
import { cameIn } from '../../http/access'
import { addressOf } from '../../http/addressOf'
import { beginSession } from '../../http/beginSession'
import { defineRoute } from '../../http/defineRoute'
import { mustBeHardToGuess } from '../../http/hardToGuess'
import { wrongField } from '../../http/refuse'
import { tooManyTries } from '../../http/tooManyTries'
import { changePassword, passwordOf } from '../../store/accounts'
import { giveTurnBack, passwordSubjects, takeTurn } from '../../store/turns'

/** Changes one's own password. Every other session of the account ends; this one goes on. */
export default defineRoute(
  { who: cameIn, did: 'changed the own password', takes: ownPasswordSchema },
  async ({ me, body: { current, next }, event }) => {
    const { username, passwordHash } = (await passwordOf(me.id))!
    // A device left signed in is no way to guess the password it was signed in with.
    const subjects = passwordSubjects(username, addressOf(event))
    const wait = await takeTurn(subjects)
    if (wait > 0) throw tooManyTries(event, wait, 'ask a lead instructor for a new password')
    if (!(await verifyPassword(passwordHash, current))) throw wrongField('current', 'That is not your password')
    mustBeHardToGuess(next, [me.name, username], 'next')
    await giveTurnBack(subjects)
    const number = await changePassword(me.id, await hashPassword(next))
    await beginSession(event, { user: { id: me.id, number } })
  },
)
