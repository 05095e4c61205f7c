import { defineRoute } from '../../http/defineRoute'
import { studentReader } from '../../http/reader'
import { found } from '../../http/refuse'
import { openToRead } from '../../store/blindReadings'
import { schoolDay } from '../../store/school'

/** What the student at the tablet may read, without the instructor's marks. */
export default defineRoute({ who: studentReader }, async ({ me }) =>
  found(await openToRead(me, await schoolDay(new Date())), 'student'),
)
