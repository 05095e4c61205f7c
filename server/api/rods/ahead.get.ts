import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { findRodsAhead } from '../../store/rodsAhead'
import { rodsAheadInWorker } from '../../workers/rodsAheadInWorker'

/** What rods the coming weeks will use, by where the whole school's students are on the ladder: nobody is named. */
export default defineRoute({ who: staff }, () => findRodsAhead(new Date(), rodsAheadInWorker))
