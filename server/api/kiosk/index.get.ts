import { defineEventHandler } from 'h3'
import type { Kiosk } from '../../../contract/blindReadings'
import { readerAt, requireKiosk } from '../../http/reader'
import { notFound } from '../../http/refuse'
import { schoolZone } from '../../store/school'
import { kioskOf } from '../../store/studentCodes'

export default defineEventHandler(async (event): Promise<Kiosk> => {
  const tablet = await requireKiosk(event)
  const kiosk = await kioskOf(tablet.sectionId)
  if (!kiosk) throw notFound('section')
  return { ...kiosk, studentId: await readerAt(tablet), timeZone: await schoolZone() }
})
