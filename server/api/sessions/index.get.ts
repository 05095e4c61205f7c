import type { SignIn } from '../../../contract/signIns'
import { cameIn } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { signInsOf } from '../../store/signIns'

/** Where one is signed in. */
export default defineRoute({ who: cameIn }, async ({ me, event }): Promise<SignIn[]> => {
  const { user } = await getUserSession(event)
  return signInsOf(me.id, user!.signIn)
})
