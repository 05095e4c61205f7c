import { defineEventHandler, setResponseStatus } from 'h3'
import type { Me } from '../../contract/people'
import { firstLeadSchema } from '../../contract/people'
import { beginSession } from '../http/beginSession'
import { readAs } from '../http/readAs'
import { refuse } from '../http/refuse'
import { foundSchool } from '../store/accounts'

/** Founds the school: works once, before there is any account. */
export default defineEventHandler(async (event): Promise<Me> => {
  const wanted = await readAs<{ school: string; name: string; username: string; password: string }>(
    event,
    firstLeadSchema,
  )
  const account = await foundSchool(wanted.school, wanted, await hashPassword(wanted.password))
  if (!account) throw refuse(409, 'Already set up', 'This school has its first lead instructor; sign in.')
  await beginSession(event, { user: { id: account.id, number: 1 } })
  setResponseStatus(event, 201)
  return { id: account.id, name: account.name, role: account.role, studentId: null, timeZone: '' }
})
