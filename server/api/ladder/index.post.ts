import { defineEventHandler, setResponseStatus } from 'h3'
import { ladderSaveSchema, type LadderSave, type LadderVersion } from '../../../contract/progress'
import { requireLead } from '../../http/access'
import { DOCUMENT_BYTES, readAs } from '../../http/readAs'
import { refuse } from '../../http/refuse'
import { savedByOther } from '../../http/savedByOther'
import { currentLadder, keepLadder } from '../../store/ladder'

/** Saves a new version of the ladder over the one that was edited; sign-offs keep the ids of their rungs. */
export default defineEventHandler(async (event): Promise<LadderVersion> => {
  const me = await requireLead(event)
  const { baseVersion, why, ladder } = await readAs<LadderSave>(event, ladderSaveSchema, DOCUMENT_BYTES)
  const current = await currentLadder()
  const gone = current.ladder.rungs.find(rung => !ladder.rungs.some(other => other.id === rung.id))
  if (gone)
    throw refuse(422, 'Not accepted', `${gone.name} is missing: retire a rung that is no longer climbed.`, [
      { path: 'ladder.rungs', message: `${gone.name} is missing: retire a rung that is no longer climbed` },
    ])
  const kept = await keepLadder(baseVersion, ladder, { by: me.name, why, now: new Date() })
  if (!kept) throw savedByOther('Somebody saved a newer ladder meanwhile. Load it, and make your changes on that.')
  setResponseStatus(event, 201)
  return kept
})
