import type { Welcome } from '../../contract/record'
import { anyone } from '../http/access'
import { defineRoute } from '../http/defineRoute'
import { providerSettings } from '../http/provider'
import { hasAccounts } from '../store/accounts'
import { findSchool } from '../store/school'

/** Accounts to try, where the server was started with some: the demo's. A school's own has none. */
const DEMO = JSON.parse(process.env.FUSILIS_DEMO ?? '[]') as Welcome['demo']

/** What the sign-in page shows: the school, and in the demo the accounts to try. */
export default defineRoute({ who: anyone }, async (): Promise<Welcome> => ({
  school: (await findSchool())?.name ?? null,
  needsFirstLead: !(await hasAccounts()),
  demo: DEMO,
  provider: providerSettings()?.name ?? null,
}))
