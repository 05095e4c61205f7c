import { remarkSchema } from '../../../../contract/remarks'
import { staff } from '../../../http/access'
import { doneAt } from '../../../http/doneAt'
import { defineRoute } from '../../../http/defineRoute'
import { wrongField } from '../../../http/refuse'
import { requireSection } from '../../../http/requireSection'
import { addRemark } from '../../../store/remarks'
import { findStudent } from '../../../store/students'

/** Leaves a remark for next time. */
export default defineRoute(
  { who: staff, did: 'left a remark', newId: 'remark', takes: remarkSchema },
  async ({ me, id, body: save, event }) => {
    await requireSection(save.sectionId)
    if (save.studentId !== null && (await findStudent(save.studentId))?.sectionId !== save.sectionId)
      throw wrongField('studentId', 'There is no such student in this section')
    await addRemark(id, save, { name: me.name, now: doneAt(event) })
  },
)
