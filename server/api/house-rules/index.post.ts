import { defineEventHandler, setResponseStatus } from 'h3'
import { rulesSaveSchema, type RulesSave } from '../../../contract/houseRules'
import type { RulesVersion } from '../../../contract/record'
import { requireLead } from '../../http/access'
import { DOCUMENT_BYTES, readAs } from '../../http/readAs'
import { savedByOther } from '../../http/savedByOther'
import { currentRules, keepRules } from '../../store/houseRules'

/** Saves a new version of the house rules over the one that was edited; coupons keep the rules of their day. */
export default defineEventHandler(async (event): Promise<RulesVersion> => {
  const me = await requireLead(event)
  const { baseVersion, why, rules } = await readAs<RulesSave>(event, rulesSaveSchema, DOCUMENT_BYTES)
  const kept = await keepRules(baseVersion, rules, { by: me.name, why, now: new Date() })
  if (!kept) {
    const newer = await currentRules()
    throw savedByOther(
      newer.version > baseVersion
        ? `${newer.saved?.by ?? 'Someone'} saved newer house rules meanwhile. Load them, and make your changes on those.`
        : `There is no version ${baseVersion} of the house rules to change.`,
    )
  }
  setResponseStatus(event, 201)
  return kept
})
