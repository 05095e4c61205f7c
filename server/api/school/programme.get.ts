import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { programmeHours } from '../../store/school'

/** How many hours the school's programme asks for. */
export default defineRoute({ who: staff }, async () => ({ wanted: await programmeHours() }))
