import type { Me } from '../../contract/people'
import { firstLeadSchema } from '../../contract/people'
import { beginSession } from '../http/beginSession'
import { defineRoute } from '../http/defineRoute'
import { refuse } from '../http/refuse'
import { foundSchool, hasAccounts } from '../store/accounts'
import { hashPassword, mustBeHardToGuess } from '../http/passwords'

const alreadySetUp = () => refuse(409, 'Already set up', 'This school has its first lead instructor; sign in.')

/** Anyone, while there is no account: where a school has one, asking costs no more than this look. */
async function founder(): Promise<null> {
  if (await hasAccounts()) throw alreadySetUp()
  return null
}

/** Founds the school: works once, before there is any account. */
export default defineRoute(
  { who: founder, did: 'founded the school', takes: firstLeadSchema, makes: true },
  async ({ body: wanted, event }): Promise<Me> => {
    await mustBeHardToGuess(wanted.password, [wanted.school, wanted.name, wanted.username])
    const account = await foundSchool(wanted.school, wanted, await hashPassword(wanted.password))
    if (!account) throw alreadySetUp()
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
