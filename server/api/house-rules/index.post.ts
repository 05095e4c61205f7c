import { defineEventHandler, setResponseStatus } from 'h3'
import { rulesSaveSchema, type RulesSave } from '../../../contract/houseRules'
import type { RulesVersion } from '../../../contract/record'
import { requireLead } from '../../http/access'
import { readAs } from '../../http/readAs'
import { refuse } from '../../http/refuse'
import { addRules, currentRules } from '../../store/houseRules'

/** Saves a new version of the house rules over the one that was edited; coupons keep the rules of their day. */
export default defineEventHandler(async (event): Promise<RulesVersion> => {
  const me = await requireLead(event)
  const { baseVersion, why, rules } = await readAs<RulesSave>(event, rulesSaveSchema)
  const current = await currentRules()
  const now = new Date()
  const version = baseVersion + 1
  if (current.version !== baseVersion || !(await addRules(version, rules, { by: me.name, why, now }))) {
    const newer = await currentRules()
    throw refuse(
      409,
      'Saved by someone else',
      newer.version > baseVersion
        ? `${newer.saved?.by ?? 'Someone'} saved newer house rules meanwhile. Load them, and make your changes on those.`
        : `There is no version ${baseVersion} of the house rules to change.`,
    )
  }
  setResponseStatus(event, 201)
  return { version, rules, saved: { at: now.toISOString(), by: me.name, why } }
})
