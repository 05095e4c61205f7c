import { ownPasswordSchema } from '../../../contract/people'
import { cameIn } from '../../http/access'
import { beginSession } from '../../http/beginSession'
import { defineRoute } from '../../http/defineRoute'
import { mustKnowPassword } from '../../http/mustKnowPassword'
import { changePassword, passwordOf } from '../../store/accounts'
import { hashPassword, mustBeHardToGuess } from '../../http/passwords'

/** Changes one's own password. Every other session of the account ends; this one goes on. */
export default defineRoute(
  { who: cameIn, did: 'changed the own password', takes: ownPasswordSchema },
  async ({ me, body: { current, next }, event }) => {
    await mustKnowPassword(event, me, current, 'current')
    await mustBeHardToGuess(next, [me.name, (await passwordOf(me.id))!.username], 'next')
    const number = await changePassword(me.id, await hashPassword(next))
    await beginSession(event, { user: { id: me.id, number } })
  },
)
