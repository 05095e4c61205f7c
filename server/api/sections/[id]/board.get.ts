import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { boardOf } from '../../../store/progress'

/** The active students of a section against the rungs of the ladder. */
export default defineRoute({ who: staff, id: 'section' }, async ({ id }) => {
  return boardOf(id)
})
