import { defineEventHandler, setResponseStatus } from 'h3'
import { ladderSaveSchema, type LadderSave, type LadderVersion } from '../../../contract/progress'
import { requireLead } from '../../http/access'
import { readAs } from '../../http/readAs'
import { refuse } from '../../http/refuse'
import { addLadder, currentLadder } from '../../store/ladders'

/** Saves a new version of the ladder over the one that was edited; sign-offs keep the ids of their rungs. */
export default defineEventHandler(async (event): Promise<LadderVersion> => {
  const me = await requireLead(event)
  const { baseVersion, why, ladder } = await readAs<LadderSave>(event, ladderSaveSchema)
  const current = await currentLadder()
  const gone = current.ladder.rungs.find(rung => !ladder.rungs.some(other => other.id === rung.id))
  if (gone)
    throw refuse(422, 'Not accepted', `${gone.name} is missing: retire a rung that is no longer climbed.`, [
      { path: 'ladder.rungs', message: `${gone.name} is missing: retire a rung that is no longer climbed` },
    ])
  const now = new Date()
  const version = baseVersion + 1
  if (current.version !== baseVersion || !(await addLadder(version, ladder, { by: me.name, why, now })))
    throw refuse(
      409,
      'Saved by someone else',
      'Somebody saved a newer ladder meanwhile. Load it, and make your changes on that.',
    )
  setResponseStatus(event, 201)
  return { version, ladder, saved: { at: now.toISOString(), by: me.name, why } }
})
