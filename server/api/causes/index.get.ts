import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { causesSaid } from '../../store/causes'

/** What instructors said was the cause: the odds of the Bench adapt to it. */
export default defineRoute({ who: staff }, async () => {
  return causesSaid()
})
