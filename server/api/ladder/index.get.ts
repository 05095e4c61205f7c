import { signedIn } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { currentLadder } from '../../store/ladder'

/** The ladder in force. */
export default defineRoute({ who: signedIn }, async () => {
  return currentLadder()
})
