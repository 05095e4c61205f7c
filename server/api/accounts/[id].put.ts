import { defineEventHandler } from 'h3'
import { accountSchema, type AccountFields } from '../../../contract/people'
import { idIn, requireLead } from '../../http/access'
import { nameTaken } from '../../http/nameTaken'
import { readAs } from '../../http/readAs'
import { notFound, refuse } from '../../http/refuse'
import { requireStudentOf } from '../../http/studentOf'
import { changeAccount } from '../../store/accounts'
import { forgetTurns } from '../../store/turns'

export default defineEventHandler(async event => {
  await requireLead(event)
  const id = idIn(event, 'account')
  const { password, ...fields } = await readAs<AccountFields & { password?: string }>(event, accountSchema)
  await requireStudentOf(fields)
  const outcome = await nameTaken(
    changeAccount(id, fields, password ? await hashPassword(password) : null),
    'username',
    'This user name is taken',
  )
  if (outcome === 'not found') throw notFound('account')
  if (outcome === 'last lead')
    throw refuse(409, 'Last lead', 'A school keeps at least one lead instructor who can sign in.')
  if (password) await forgetTurns(`account ${fields.username}`)
  return { id, ...fields }
})
