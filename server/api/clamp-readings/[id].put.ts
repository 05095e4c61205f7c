import { clampReadingSchema } from '../../../contract/shop'
import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { addClampReading } from '../../store/clampReadings'

/** Keeps what a clamp meter read beside the panel of a booth's machine. */
export default defineRoute(
  { who: staff, did: 'held a clamp meter to a machine', newId: 'clamp reading', takes: clampReadingSchema },
  async ({ me, id, body }) => {
    await addClampReading(id, body, { name: me.name, now: new Date() })
  },
)
