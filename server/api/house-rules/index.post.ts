import { rulesSaveSchema } from '../../../contract/houseRules'
import type { RulesVersion } from '../../../contract/record'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { DOCUMENT_BYTES } from '../../http/readAs'
import { savedByOther } from '../../http/savedByOther'
import { currentRules, keepRules } from '../../store/houseRules'

/** Saves a new version of the house rules over the one that was edited; coupons keep the rules of their day. */
export default defineRoute(
  { who: lead, did: 'saved house rules', takes: rulesSaveSchema, mostBytes: DOCUMENT_BYTES, makes: true },
  async ({ me, body: { baseVersion, why, rules } }): Promise<RulesVersion> => {
    const kept = await keepRules(baseVersion, rules, { by: me.name, why, now: new Date() })
    if (!kept) {
      const newer = await currentRules()
      throw savedByOther(
        newer.version > baseVersion
          ? `${newer.saved?.by ?? 'Someone'} saved newer house rules meanwhile. Load them, and make your changes on those.`
          : `There is no version ${baseVersion} of the house rules to change.`,
      )
    }
    return kept
  },
)
