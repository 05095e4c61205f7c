import { turnOnCodesSchema, type RecoveryCodes } from '../../../../contract/oneTimeCodes'
import { cameIn } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { mustKnowPassword } from '../../../http/mustKnowPassword'
import { stepOf } from '../../../http/oneTimeCode'
import { wrongField } from '../../../http/refuse'
import { turnOnCodes } from '../../../store/oneTimeCodes'

/** From now on one signs in with a code as well. Answers with recovery codes, once. */
export default defineRoute(
  { who: cameIn, did: 'turned one-time codes on', takes: turnOnCodesSchema },
  async ({ me, body: { password, secret, code }, event }): Promise<RecoveryCodes> => {
    await mustKnowPassword(event, me, password, 'password')
    const step = stepOf(code, secret, new Date())
    if (step === null)
      throw wrongField('code', 'That is not the code of now: look at the phone again, and at its clock')
    return { recovery: await turnOnCodes(me.id, secret, step) }
  },
)
