import { startMariadb } from './mariadb.mjs'
import { ROOT } from './run.mjs'
import { step } from './say.mjs'

/** Where a school's own files are: its database, its secrets, its backups. */
export const schoolFolder = () => `${ROOT}.data/${process.argv.includes('--demo') ? 'demo' : 'school'}`

/** Works on the school's database: the one that `FUSILIS_DB_URL` names, or our own, started for it. */
export async function withSchoolDatabase(work) {
  const database = process.env.FUSILIS_DB_URL
    ? { url: process.env.FUSILIS_DB_URL, stop: async () => {} }
    : await step(
        'Starting MariaDB',
        () => startMariadb(schoolFolder()),
        'stop Fusilis first, or set FUSILIS_DB_URL to its database.',
      )
  try {
    await work(database.url)
  } finally {
    await database.stop()
  }
}
