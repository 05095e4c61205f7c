import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { currentShop } from '../../store/shop'

/** The shop as it is laid out. */
export default defineRoute({ who: staff }, async () => {
  return currentShop()
})
