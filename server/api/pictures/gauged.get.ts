import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { gaugedPictures } from '../../store/pictures'

/** Pictures of coupons that the person who asks has gauged, to hold the widths against. */
export default defineRoute({ who: staff }, ({ me }) => gaugedPictures(me))
