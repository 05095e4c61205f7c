import type { Me } from '../../contract/people'
import { firstLeadSchema } from '../../contract/people'
import { anyone } from '../http/access'
import { beginSession } from '../http/beginSession'
import { defineRoute } from '../http/defineRoute'
import { mustBeHardToGuess } from '../http/hardToGuess'
import { refuse } from '../http/refuse'
import { foundSchool } from '../store/accounts'

/** Founds the school: works once, before there is any account. */
export default defineRoute(
  { who: anyone, did: 'founded the school', takes: firstLeadSchema, makes: true },
  async ({ body: wanted, event }): Promise<Me> => {
    mustBeHardToGuess(wanted.password, [wanted.school, wanted.name, wanted.username])
    const account = await foundSchool(wanted.school, wanted, await hashPassword(wanted.password))
    if (!account) throw refuse(409, 'Already set up', 'This school has its first lead instructor; sign in.')
    await beginSession(event, { user: { id: account.id, number: 1 } })
    return {
      id: account.id,
      name: account.name,
      role: account.role,
      studentId: null,
      sectionIds: null,
      timeZone: '',
      dayTurnsAt: 0,
      passwordGiven: false,
      codesWanted: false,
      staffCodes: false,
      idleMinutes: null,
    }
  },
)
