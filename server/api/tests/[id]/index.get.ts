import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { findTest } from '../../../store/welderTests'

/** A test, whole. */
export default defineRoute({ who: staff, did: 'opened a test', id: 'test' }, async ({ id }) => {
  return found(await findTest(id), 'test')
})
