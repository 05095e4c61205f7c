import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { listAccounts } from '../../store/accounts'

export default defineRoute({ who: lead }, async () => {
  return listAccounts()
})
