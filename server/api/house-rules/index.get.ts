import { defineRoute } from '../../http/defineRoute'
import { reader } from '../../http/reader'
import { allRules } from '../../store/houseRules'

/** Every version of the house rules, oldest first. */
export default defineRoute({ who: reader }, () => allRules())
