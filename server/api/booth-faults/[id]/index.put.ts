import { boothFaultSchema } from '../../../../contract/shop'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { addFault } from '../../../store/shop'

/** A booth is out of service. */
export default defineRoute(
  { who: staff, did: 'took a booth out of service', newId: 'fault', takes: boothFaultSchema },
  async ({ me, id, body }) => {
    await addFault(id, body, { name: me.name, now: new Date() })
  },
)
