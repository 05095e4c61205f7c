import { defineRoute } from '../../http/defineRoute'
import { reader } from '../../http/reader'
import { beadAnswersOf } from '../../store/readingRoom'

/** What the reader who asks has said of the beads shown so far. */
export default defineRoute({ who: reader }, ({ me }) => beadAnswersOf(me.id))
