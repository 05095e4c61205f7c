import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { notFound } from '../../http/refuse'
import { endTablet } from '../../store/tablets'

/** Puts a tablet out: it shows names no more, and no student reads at it. */
export default defineRoute({ who: staff, id: 'tablet', did: 'put a tablet out' }, async ({ id }) => {
  if (!(await endTablet(id))) throw notFound('tablet')
})
