import { newAccountSchema } from '../../../contract/people'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { nameTaken } from '../../http/nameTaken'
import { requireTies } from '../../http/requireTies'
import { addAccount } from '../../store/accounts'
import { hashPassword, mustBeHardToGuess } from '../../http/passwords'

/** A new account, with a password that its owner changes at the first sign-in. */
export default defineRoute(
  { who: lead, did: 'made an account', takes: newAccountSchema, makes: true },
  async ({ body: { password, ...fields } }) => {
    await requireTies(fields)
    await mustBeHardToGuess(password, [fields.name, fields.username])
    const account = await nameTaken(
      addAccount(fields, await hashPassword(password), 'given'),
      'username',
      'This user name is taken',
    )
    return account
  },
)
