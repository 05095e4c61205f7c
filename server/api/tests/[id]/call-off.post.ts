import { callOffSchema } from '../../../../contract/welderTests'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { notFound, refuse } from '../../../http/refuse'
import { callOffTest, findTest } from '../../../store/welderTests'

/** Calls off a test that was only planned, as it was seen: what a person began meanwhile stays. */
export default defineRoute(
  { who: staff, did: 'called a test off', id: 'test', takes: callOffSchema },
  async ({ id, body: { baseVersion } }) => {
    if (!(await findTest(id))) throw notFound('test')
    if (!(await callOffTest(id, baseVersion)))
      throw refuse(
        409,
        'Begun already',
        'A test whose clock has run is kept, whatever came of it; and one that somebody changed meanwhile is not called off.',
      )
  },
)
