import { defineEventHandler, sendNoContent } from 'h3'
import { callOffSchema } from '../../../../contract/welderTests'
import { idIn, requireStaff } from '../../../http/access'
import { readAs } from '../../../http/readAs'
import { notFound, refuse } from '../../../http/refuse'
import { callOffTest, findTest } from '../../../store/welderTests'

/** Calls off a test that was only planned, as it was seen: what somebody began meanwhile stays. */
export default defineEventHandler(async event => {
  await requireStaff(event)
  const id = idIn(event, 'test')
  const { baseVersion } = await readAs<{ baseVersion: number }>(event, callOffSchema)
  if (!(await findTest(id))) throw notFound('test')
  if (!(await callOffTest(id, baseVersion)))
    throw refuse(
      409,
      'Begun already',
      'A test whose clock has run is kept, whatever came of it; and one that somebody changed meanwhile is not called off.',
    )
  return sendNoContent(event)
})
