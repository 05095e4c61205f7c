import { calendarSaveSchema, type CalendarSave, type CalendarVersion } from '../../../contract/schoolCalendar'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { DOCUMENT_BYTES } from '../../http/readAs'
import { wrongField } from '../../http/refuse'
import { savedByOther } from '../../http/savedByOther'
import { keepCalendar } from '../../store/schoolCalendar'
import { listSections } from '../../store/sections'

/** Saves the days without class as they were edited. */
export default defineRoute(
  { who: lead, did: 'changed the calendar', takes: calendarSaveSchema, mostBytes: DOCUMENT_BYTES },
  async ({ me, body }): Promise<CalendarVersion> => {
    const { baseVersion, calendar } = body as CalendarSave
    const sections = new Set((await listSections(null)).map(section => section.id))
    const stray = calendar.daysOff.findIndex(({ sectionId }) => sectionId !== null && !sections.has(sectionId))
    if (stray >= 0) throw wrongField(`calendar.daysOff[${stray}].sectionId`, 'There is no such section')
    const kept = await keepCalendar(baseVersion, calendar, { name: me.name, now: new Date() })
    if (!kept) throw savedByOther('Somebody changed the calendar meanwhile. Load it, and make your changes on that.')
    return kept
  },
)
