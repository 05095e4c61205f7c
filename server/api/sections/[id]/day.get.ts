import { getQuery } from 'h3'
import { day } from '../../../../contract/fields'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found, wrongField } from '../../../http/refuse'
import { schoolDay } from '../../../store/school'
import { sectionDay } from '../../../store/sectionDay'

/** A section's class day: today, or the one that is asked for. */
export default defineRoute({ who: staff, id: 'section' }, async ({ id, event }) => {
  const { day: asked } = getQuery(event)
  if (asked !== undefined && !(await day().required().isValid(asked)))
    throw wrongField('day', 'day is a date like 2026-09-14')
  const now = new Date()
  return found(await sectionDay(id, (asked as string | undefined) ?? (await schoolDay(now)), now), 'section')
})
