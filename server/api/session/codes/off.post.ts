import { turnOffCodesSchema } from '../../../../contract/oneTimeCodes'
import { cameIn } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { mustKnowPassword } from '../../../http/mustKnowPassword'
import { turnOffCodes } from '../../../store/oneTimeCodes'

/** From now on the password alone lets one in. */
export default defineRoute(
  { who: cameIn, did: 'turned one-time codes off', takes: turnOffCodesSchema },
  async ({ me, body: { password }, event }) => {
    await mustKnowPassword(event, me, password, 'password')
    await turnOffCodes(me.id)
  },
)
