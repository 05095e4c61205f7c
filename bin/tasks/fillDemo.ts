import { closeDatabase, database, rows } from '../../server/store/database'
import { hasAccounts } from '../../server/store/accounts'
import { fillDemo } from './demoSchool'

const SEED = 20260914

/** Yesterday's class is the newest one: today's coupons are the reader's own. */
function lastClass(): string {
  return new Date(Date.now() - 86_400_000).toISOString().slice(0, 10)
}

/** A school that is made up is not waited for by the disk, save by save: it is safe once it is whole. */
async function withoutTheDisk(work: () => Promise<void>): Promise<void> {
  const [set] = await rows<{ flushed: number }>(database(), 'SELECT @@GLOBAL.innodb_flush_log_at_trx_commit AS flushed')
  const flush = (when: number) => database().query('SET GLOBAL innodb_flush_log_at_trx_commit = ?', [when])
  await flush(0)
  try {
    await work()
  } finally {
    await flush(set!.flushed)
  }
}

const fill = () => fillDemo(SEED, lastClass())
if (!(await hasAccounts())) await (process.argv.includes('--ours') ? withoutTheDisk(fill) : fill())
await closeDatabase()
