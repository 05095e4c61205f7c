import { closeDatabase } from '../../server/store/database'
import { hasAccounts } from '../../server/store/accounts'
import { fillDemo } from './demoSchool'

const SEED = 20260914

/** Yesterday's class is the newest one: today's coupons are the reader's own. */
function lastClass(): string {
  return new Date(Date.now() - 86_400_000).toISOString().slice(0, 10)
}

if (!(await hasAccounts())) await fillDemo(SEED, lastClass())
await closeDatabase()
