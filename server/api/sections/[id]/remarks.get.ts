import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { openRemarks } from '../../../store/remarks'

/** What is to be remembered of a section, its booths and its students. */
export default defineRoute({ who: staff, id: 'section' }, ({ id }) => openRemarks(id))
