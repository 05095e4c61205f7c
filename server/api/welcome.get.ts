import { defineEventHandler } from 'h3'
import type { Welcome } from '../../contract/record'
import { DEMO_ACCOUNTS, DEMO_PASSWORD } from '../demoAccounts'
import { hasAccounts, schoolName } from '../store/accounts'

/** What the sign-in page shows: the school, and in the demo the accounts to try. */
export default defineEventHandler(async (): Promise<Welcome> => ({
  school: await schoolName(),
  needsFirstLead: !(await hasAccounts()),
  demo: process.env.FUSILIS_DEMO === '1' ? DEMO_ACCOUNTS.map(account => ({ ...account, password: DEMO_PASSWORD })) : [],
}))
