import type { Kiosk } from '../../../contract/blindReadings'
import { defineRoute } from '../../http/defineRoute'
import { readerAt, tablet } from '../../http/reader'
import { found } from '../../http/refuse'
import { schoolClock } from '../../store/school'
import { kioskOf } from '../../store/studentCodes'

/** The section that a tablet was handed over to, and the student who reads on it now. */
export default defineRoute({ who: tablet }, async ({ me }): Promise<Kiosk> => {
  const kiosk = found(await kioskOf(me.sectionId), 'section')
  const { zone, turnsAt } = await schoolClock()
  return { ...kiosk, studentId: await readerAt(me), timeZone: zone, dayTurnsAt: turnsAt }
})
