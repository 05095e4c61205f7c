import { causesResetSchema, type CausesSaid } from '../../../contract/causes'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { causesSaid, resetCauses } from '../../store/causes'

/** The odds of causes go back to what was shipped. */
export default defineRoute(
  { who: lead, did: 'began the causes anew', takes: causesResetSchema },
  async ({ me, body: { why } }): Promise<CausesSaid> => {
    await resetCauses({ by: me.name, why, now: new Date() })
    return causesSaid()
  },
)
