import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { notFound } from '../../../http/refuse'
import { clearFault } from '../../../store/shop'

/** A booth is in service again. */
export default defineRoute({ who: staff, did: 'put a booth back into service', id: 'fault' }, async ({ me, id }) => {
  if (!(await clearFault(id, { name: me.name, now: new Date() }))) throw notFound('fault')
})
