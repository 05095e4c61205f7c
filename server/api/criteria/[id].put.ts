import { criteriaSaveSchema, type SavedCriteria } from '../../../contract/criteria'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { DOCUMENT_BYTES } from '../../http/readAs'
import { savedByOther } from '../../http/savedByOther'
import { keepCriteria } from '../../store/criteria'

/**
 * Saves one of the school's own sets, new or over the version that was edited. Shipped sets have no such id and
 * stay as they are.
 */
export default defineRoute(
  {
    who: lead,
    did: 'saved a set of criteria',
    id: 'set of criteria',
    takes: criteriaSaveSchema,
    mostBytes: DOCUMENT_BYTES,
  },
  async ({ me, id, body: { baseVersion, why, set } }): Promise<SavedCriteria> => {
    const kept = await keepCriteria(id, baseVersion, set, { by: me.name, why, now: new Date() })
    if (!kept) throw savedByOther('Someone saved this set meanwhile. Load it, and make your changes on that.')
    return kept
  },
)
