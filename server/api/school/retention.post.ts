import { eraseDueSchema } from '../../../contract/retention'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { refuse } from '../../http/refuse'
import { erasePerson } from '../../store/erasePerson'
import { findRetention } from '../../store/retention'
import { schoolDay } from '../../store/school'

/** Erases the records that are due, of those who are named: none of them where one is not due. */
export default defineRoute(
  { who: lead, did: 'erased records that were due', takes: eraseDueSchema },
  async ({ me, body: { students } }) => {
    const now = new Date()
    const { months, leavers } = await findRetention(await schoolDay(now))
    const due = students.map(id => leavers.find(one => one.id === id && one.due))
    if (due.includes(undefined))
      throw refuse(409, 'Not due', 'One of them is not due, or is erased already. Look at the list again.')
    const why = `kept for ${months} months after leaving`
    for (const { id, name } of due as NonNullable<(typeof due)[number]>[])
      await erasePerson(id, { name, why }, { name: me.name, now })
  },
)
