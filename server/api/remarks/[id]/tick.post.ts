import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { notFound } from '../../../http/refuse'
import { tickRemark } from '../../../store/remarks'

/** What was to be remembered has been. */
export default defineRoute({ who: staff, did: 'ticked a remark off', id: 'remark' }, async ({ me, id }) => {
  if (!(await tickRemark(id, { name: me.name, now: new Date() }))) throw notFound('remark')
})
