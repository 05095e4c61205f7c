import { newAccountSchema } from '../../../contract/people'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { nameTaken } from '../../http/nameTaken'
import { requireStudentOf } from '../../http/studentOf'
import { addAccount } from '../../store/accounts'

export default defineRoute(
  { who: lead, takes: newAccountSchema, makes: true },
  async ({ body: { password, ...fields } }) => {
    await requireStudentOf(fields)
    const account = await nameTaken(
      addAccount(fields, await hashPassword(password)),
      'username',
      'This user name is taken',
    )
    return account
  },
)
