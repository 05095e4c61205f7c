import { lead } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { notFound } from '../../../http/refuse'
import { turnOffCodes } from '../../../store/oneTimeCodes'

/** Takes the one-time codes off an account whose phone is lost, and its recovery codes with it. */
export default defineRoute({ who: lead, did: 'took one-time codes off an account', id: 'account' }, async ({ id }) => {
  if (!(await turnOffCodes(id))) throw notFound('account')
})
