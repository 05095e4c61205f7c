import { newAccountSchema } from '../../../contract/people'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { mustBeHardToGuess } from '../../http/hardToGuess'
import { nameTaken } from '../../http/nameTaken'
import { requireStudentOf } from '../../http/studentOf'
import { addAccount } from '../../store/accounts'

export default defineRoute(
  { who: lead, did: 'made an account', takes: newAccountSchema, makes: true },
  async ({ body: { password, ...fields } }) => {
    await requireStudentOf(fields)
    mustBeHardToGuess(password, [fields.name, fields.username])
    const account = await nameTaken(
      addAccount(fields, await hashPassword(password), 'given'),
      'username',
      'This user name is taken',
    )
    return account
  },
)
