import { ladderSaveSchema, type LadderVersion } from '../../../contract/progress'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { DOCUMENT_BYTES } from '../../http/readAs'
import { wrongField } from '../../http/refuse'
import { savedByOther } from '../../http/savedByOther'
import { currentLadder, keepLadder } from '../../store/ladder'

/** Saves a new version of the ladder over the one that was edited; sign-offs keep the ids of their rungs. */
export default defineRoute(
  { who: lead, did: 'saved the ladder', takes: ladderSaveSchema, mostBytes: DOCUMENT_BYTES, makes: true },
  async ({ me, body: { baseVersion, why, ladder } }): Promise<LadderVersion> => {
    const current = await currentLadder()
    const gone = current.ladder.rungs.find(rung => !ladder.rungs.some(other => other.id === rung.id))
    if (gone) throw wrongField('ladder.rungs', `${gone.name} is missing: retire a rung that is no longer climbed`)
    const kept = await keepLadder(baseVersion, ladder, { by: me.name, why, now: new Date() })
    if (!kept) throw savedByOther('Somebody saved a newer ladder meanwhile. Load it, and make your changes on that.')
    return kept
  },
)
