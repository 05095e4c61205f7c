import { database, closeDatabase } from '../../server/store/database'
import { hasAccounts } from '../../server/store/accounts'
import { fillDemo } from './demoSchool'

const SEED = 20260914

/** Yesterday's class is the newest one: today's coupons are the reader's own. */
function lastClass(): string {
  return new Date(Date.now() - 86_400_000).toISOString().slice(0, 10)
}

/** A school that is made up is not waited for by the disk, save by save: it is safe once it is whole. */
async function withoutTheDisk(work: () => Promise<void>): Promise<void> {
  const [row] = (await database().query('SELECT @@GLOBAL.innodb_flush_log_at_trx_commit AS every')) as never as [
    [{ every: number }],
  ]
  const flushed = (every: number) => database().query('SET GLOBAL innodb_flush_log_at_trx_commit = ?', [every])
  await flushed(0)
  try {
    await work()
  } finally {
    await flushed(row[0].every)
  }
}

if (!(await hasAccounts())) await withoutTheDisk(() => fillDemo(SEED, lastClass()))
await closeDatabase()
