import { idleSchema } from '../../../contract/signIns'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { signOutIdle } from '../../store/school'

/** Says after how long a screen that is not touched is signed out. */
export default defineRoute(
  { who: lead, did: 'changed when idle screens are signed out', takes: idleSchema },
  ({ body: { minutes } }) => signOutIdle(minutes ?? null),
)
