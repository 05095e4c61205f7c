import type { TrailPage } from '../../contract/trail'
import { lead } from '../http/access'
import { defineRoute } from '../http/defineRoute'
import { isUuid } from '../http/isUuid'
import { readTrail } from '../store/trail'

/** Who did what, newest first: `?before=` for the page after, `?student=` or `?account=` for one of them. */
export default defineRoute({ who: lead }, ({ event }): Promise<TrailPage> => {
  const { before, student, account } = getQuery(event)
  const idIn = (value: unknown) => (typeof value === 'string' && isUuid(value) ? value : null)
  const line = Number(before)
  return readTrail({
    before: Number.isSafeInteger(line) && line > 0 ? line : null,
    studentId: idIn(student),
    accountId: idIn(account),
  })
})
