import { signedIn } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { schoolCriteria } from '../../store/criteria'

/** The school's own sets of criteria; the shipped ones come with the application. */
export default defineRoute({ who: signedIn }, async () => {
  return schoolCriteria()
})
