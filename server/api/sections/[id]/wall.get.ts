import type { WallClass } from '../../../../contract/floor'
import { defineRoute } from '../../../http/defineRoute'
import { onFloor } from '../../../http/reader'
import { found } from '../../../http/refuse'
import { queueOf } from '../../../store/queue'
import { schoolClock } from '../../../store/school'
import { findSection } from '../../../store/sections'
import { readOn } from '../../../store/students'

/** A class as a screen on the wall shows it, to staff or to a tablet that was handed over. */
export default defineRoute({ who: onFloor, id: 'section' }, async ({ id }): Promise<WallClass> => {
  const now = new Date()
  const section = found(await findSection(id), 'section')
  const [queue, clock, students] = await Promise.all([queueOf(id, now), schoolClock(), readOn(id, now)])
  return { section: section.name, timeZone: clock.zone, dayTurnsAt: clock.turnsAt, students, queue }
})
