import { signedIn } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { schoolBooks } from '../../store/codeBooks'

/** Every version of the school's own code books; the shipped ones come with the application. */
export default defineRoute({ who: signedIn }, async () => {
  return schoolBooks()
})
