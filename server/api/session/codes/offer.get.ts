import { cameIn } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { offerCodes } from '../../../http/oneTimeCode'
import { passwordOf } from '../../../store/accounts'

/** A fresh secret for one's own authenticator. It counts for nothing until a code proves that a phone has it. */
export default defineRoute({ who: cameIn }, async ({ me }) => offerCodes((await passwordOf(me.id))!.username))
