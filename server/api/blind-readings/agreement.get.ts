import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { readersAgreement } from '../../store/blindReadings'

/** How the school's instructors agree with one another. */
export default defineRoute({ who: staff }, ({ me }) => {
  return readersAgreement(me)
})
