import { defineEventHandler } from 'h3'
import { requireLead } from '../../http/access'
import { listAccounts } from '../../store/accounts'

export default defineEventHandler(async event => {
  await requireLead(event)
  return listAccounts()
})
