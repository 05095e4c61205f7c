import { defineEventHandler, setResponseStatus } from 'h3'
import { newAccountSchema, type AccountFields } from '../../../contract/people'
import { requireLead } from '../../http/access'
import { nameTaken } from '../../http/nameTaken'
import { readAs } from '../../http/readAs'
import { requireStudentOf } from '../../http/studentOf'
import { addAccount } from '../../store/accounts'

export default defineEventHandler(async event => {
  await requireLead(event)
  const { password, ...fields } = await readAs<AccountFields & { password: string }>(event, newAccountSchema)
  await requireStudentOf(fields)
  const account = await nameTaken(
    addAccount(fields, await hashPassword(password)),
    'username',
    'This user name is taken',
  )
  setResponseStatus(event, 201)
  return account
})
