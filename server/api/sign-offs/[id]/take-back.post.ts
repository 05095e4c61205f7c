import { takeBackSchema } from '../../../../contract/progress'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { notFound } from '../../../http/refuse'
import { takeBackSignOff } from '../../../store/signOffs'

/** Takes a sign-off back, with who and why. */
export default defineRoute(
  { who: staff, did: 'took a sign-off back', id: 'sign-off', takes: takeBackSchema },
  async ({ me, id, body: { why } }) => {
    if (!(await takeBackSignOff(id, { name: me.name, why, now: new Date() }))) throw notFound('sign-off')
  },
)
