import { accountSchema } from '../../../../contract/people'
import { lead } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { nameTaken } from '../../../http/nameTaken'
import { notFound, refuse } from '../../../http/refuse'
import { requireTies } from '../../../http/requireTies'
import { changeAccount } from '../../../store/accounts'
import { forgetTurns } from '../../../store/turns'
import { hashPassword, mustBeHardToGuess } from '../../../http/passwords'

/** Changes an account, or switches it off. */
export default defineRoute(
  { who: lead, did: 'changed an account', id: 'account', takes: accountSchema },
  async ({ me, id, body: { password, ...fields } }) => {
    await requireTies(fields)
    if (password) await mustBeHardToGuess(password, [fields.name, fields.username])
    const outcome = await nameTaken(
      changeAccount(id, fields, password ? await hashPassword(password) : null, me.id === id ? 'own' : 'given'),
      'username',
      'This user name is taken',
    )
    if (outcome === 'not found') throw notFound('account')
    if (outcome === 'last lead')
      throw refuse(409, 'Last lead', 'A school keeps at least one lead instructor who can sign in.')
    if (password) await forgetTurns(`account ${fields.username}`)
    return { id, ...fields }
  },
)
