import { staffCodesSchema } from '../../../contract/oneTimeCodes'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { refuse } from '../../http/refuse'
import { codesOf } from '../../store/oneTimeCodes'
import { wantStaffCodes } from '../../store/school'

/** Says whether leads and instructors must sign in with one-time codes; who asks for it has them already. */
export default defineRoute(
  { who: lead, did: 'changed who signs in with codes', takes: staffCodesSchema },
  async ({ me, body: { wanted } }) => {
    if (wanted && !(await codesOf(me.id)).on)
      throw refuse(409, 'Your own first', 'Turn one-time codes on for your own sign-in first, and try them once.')
    await wantStaffCodes(wanted)
  },
)
