import { dayPlanSaveSchema, type DayPlanSave, type DayPlanVersion } from '../../../../contract/dayPlan'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { DOCUMENT_BYTES } from '../../../http/readAs'
import { notFound, wrongField } from '../../../http/refuse'
import { savedByOther } from '../../../http/savedByOther'
import { keepDayPlan } from '../../../store/dayPlan'
import { findSection } from '../../../store/sections'
import { listStudents } from '../../../store/students'

/** Keeps the plan of a section's class day. */
export default defineRoute(
  { who: staff, id: 'section', did: 'planned a class day', takes: dayPlanSaveSchema, mostBytes: DOCUMENT_BYTES },
  async ({ id, me, body }): Promise<DayPlanVersion> => {
    if (!(await findSection(id))) throw notFound('section')
    const save = body as DayPlanSave
    const own = new Set((await listStudents(id)).map(student => student.id))
    const named = [...save.plan.lines.map(line => line.studentId), ...save.plan.terms.pairs.flat()]
    if (named.some(studentId => !own.has(studentId)))
      throw wrongField('plan.lines', 'A plan is for students of this section')
    const kept = await keepDayPlan(id, save, { name: me.name, now: new Date() })
    if (!kept) throw savedByOther('Somebody planned this day meanwhile. Load it, and make your changes on that.')
    return kept
  },
)
