import { erasureSchema } from '../../../../contract/personData'
import { lead } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { notFound, wrongField } from '../../../http/refuse'
import { noteErased } from '../../../store/erasedList'
import { erasePerson } from '../../../store/erasePerson'

/** Erases a person for good, with why; what was counted stays without a name. */
export default defineRoute(
  { who: lead, did: 'erased a person', id: 'student', takes: erasureSchema },
  async ({ me, id, body }) => {
    const now = new Date()
    const outcome = await erasePerson(id, body, { name: me.name, now })
    if (outcome === 'not found') throw notFound('student')
    if (outcome === 'another name') throw wrongField('name', 'That is not this student’s name')
    await noteErased(id, now)
  },
)
