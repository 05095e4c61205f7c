import { openDatabase } from '../../server/store/nodes'
import { rows } from '../../server/store/database'

/**
 * Before each file of tests: the database as a school finds it that has not begun. No file leans on another, whatever
 * order they are run in. What the update itself keeps stays, and which school it is.
 */
const STAYS = new Set(['migration', 'migration_step', 'lease', 'school_mark'])

if (process.env.FUSILIS_URL) {
  const database = openDatabase(process.env.FUSILIS_DB_URL!, 1)
  const on = await database.getConnection()
  await on.query('SET SESSION FOREIGN_KEY_CHECKS = 0')
  const tables = await rows<{ name: string }>(
    on,
    `SELECT table_name AS name FROM information_schema.tables
    WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE'`,
  )
  for (const { name } of tables) if (!STAYS.has(name)) await on.query(`DELETE FROM \`${name}\``)
  await on.query('SET SESSION FOREIGN_KEY_CHECKS = 1')
  on.release()
  await database.end()
}
