import { rodLotSchema } from '../../../contract/rodRoom'
import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { keepLot } from '../../store/rodRoom'

/** Keeps a lot of rods, new or changed. */
export default defineRoute(
  { who: staff, did: 'kept a lot of rods', newId: 'lot', takes: rodLotSchema },
  ({ me, id, body }) =>
    keepLot(id, { ...body, boxPriceCents: body.boxPriceCents ?? null }, { name: me.name, now: new Date() }),
)
