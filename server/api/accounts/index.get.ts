import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { listAccounts } from '../../store/accounts'

/** The accounts of the school, without their passwords. */
export default defineRoute({ who: lead }, async () => {
  return listAccounts()
})
