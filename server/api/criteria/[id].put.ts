import { defineEventHandler } from 'h3'
import { criteriaSaveSchema, type CriteriaSave, type SavedCriteria } from '../../../contract/criteria'
import { idIn, requireLead } from '../../http/access'
import { DOCUMENT_BYTES, readAs } from '../../http/readAs'
import { savedByOther } from '../../http/savedByOther'
import { keepCriteria } from '../../store/criteria'

/**
 * Saves one of the school's own sets, new or over the version that was edited. Shipped sets have no such id and
 * stay as they are.
 */
export default defineEventHandler(async (event): Promise<SavedCriteria> => {
  const me = await requireLead(event)
  const id = idIn(event, 'set of criteria')
  const { baseVersion, why, set } = await readAs<CriteriaSave>(event, criteriaSaveSchema, DOCUMENT_BYTES)
  const kept = await keepCriteria(id, baseVersion, set, { by: me.name, why, now: new Date() })
  if (!kept) throw savedByOther('Someone saved this set meanwhile. Load it, and make your changes on that.')
  return kept
})
