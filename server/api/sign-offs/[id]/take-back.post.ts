import { defineEventHandler, sendNoContent } from 'h3'
import { takeBackSchema } from '../../../../contract/progress'
import { idIn, requireStaff } from '../../../http/access'
import { readAs } from '../../../http/readAs'
import { notFound } from '../../../http/refuse'
import { takeBackSignOff } from '../../../store/signOffs'

/** Takes a sign-off back, with who and why. */
export default defineEventHandler(async event => {
  const me = await requireStaff(event)
  const { why } = await readAs<{ why: string }>(event, takeBackSchema)
  if (!(await takeBackSignOff(idIn(event, 'sign-off'), { name: me.name, why, now: new Date() })))
    throw notFound('sign-off')
  return sendNoContent(event)
})
