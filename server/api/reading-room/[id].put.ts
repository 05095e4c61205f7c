import { defineEventHandler, getRouterParam } from 'h3'
import { uuid } from '../../../contract/fields'
import { beadAnswerSchema, type BeadAnswerSave } from '../../../contract/readingRoom'
import { parseAs, readAs } from '../../http/readAs'
import { requireReader } from '../../http/reader'
import { beadAnswersOf, keepBeadAnswer } from '../../store/readingRoom'

/** Keeps what was said of a shown bead, and answers with all that was said so far. */
export default defineEventHandler(async event => {
  const reader = await requireReader(event)
  const id = await parseAs<string>(getRouterParam(event, 'id'), uuid().label('id').required())
  await keepBeadAnswer(id, await readAs<BeadAnswerSave>(event, beadAnswerSchema), reader, new Date())
  return beadAnswersOf(reader.id)
})
