import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { notFound } from '../../http/refuse'
import { removeDemonstration } from '../../store/demonstrations'

/** Takes back a demonstration that was not given after all. */
export default defineRoute({ who: staff, did: 'took back a demonstration', id: 'demonstration' }, async ({ id }) => {
  if (!(await removeDemonstration(id))) throw notFound('demonstration')
})
