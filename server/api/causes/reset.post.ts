import { defineEventHandler } from 'h3'
import { causesResetSchema, type CausesSaid } from '../../../contract/causes'
import { requireLead } from '../../http/access'
import { readAs } from '../../http/readAs'
import { causesSaid, resetCauses } from '../../store/causes'

/** The odds of causes go back to what was shipped. */
export default defineEventHandler(async (event): Promise<CausesSaid> => {
  const me = await requireLead(event)
  const { why } = await readAs<{ why: string }>(event, causesResetSchema)
  await resetCauses({ by: me.name, why, now: new Date() })
  return causesSaid()
})
