import { beadAnswerSchema } from '../../../contract/readingRoom'
import { defineRoute } from '../../http/defineRoute'
import { reader } from '../../http/reader'
import { beadAnswersOf, keepBeadAnswer } from '../../store/readingRoom'

/** Keeps what was said of a shown bead, and answers with all that was said so far. */
export default defineRoute(
  { who: reader, did: 'read a shown bead', newId: 'answer', takes: beadAnswerSchema },
  async ({ me, id, body }) => {
    await keepBeadAnswer(id, body, me, new Date())
    return beadAnswersOf(me.id)
  },
)
