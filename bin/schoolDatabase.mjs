import { resolve } from 'node:path'
import { startMariadb } from './mariadb.mjs'
import { needDebian } from './packages.mjs'
import { ROOT } from './run.mjs'
import { runnerOf } from './runner.mjs'
import { step } from './say.mjs'

/** Where a school's own files are: its database, its secrets, its backups. */
export const folderOf = kind => resolve(process.env.FUSILIS_DATA ?? `${ROOT}.data`, kind)

/** The folder of the school that a command works on. */
export const schoolFolder = () => folderOf(process.argv.includes('--demo') ? 'demo' : 'school')

/**
 * Where the server notes who was erased, by id and without a name: a backup of before is restored without them,
 * even where the database was replaced meanwhile.
 */
export const erasedList = () => `${schoolFolder()}/erased.jsonl`

/** The database that the settings name: it is not ours to start and to stop. */
const namedDatabase = () => ({
  url: process.env.FUSILIS_DB_URL,
  ownerUrl: process.env.FUSILIS_DB_OWNER_URL ?? process.env.FUSILIS_DB_URL,
  ended: new Promise(() => {}),
  log: () => '',
  stop: async () => {},
})

/**
 * The database of a school: the one that `FUSILIS_DB_URL` names, or our own, started for it under `dir`.
 * `url` may read and write rows, which is all that the application needs; `ownerUrl` may change tables too.
 */
export async function openSchoolDatabase(dir) {
  if (process.env.FUSILIS_DB_URL) return namedDatabase()
  await needDebian('mariadb-server')
  return step('Starting MariaDB', () => startMariadb(dir))
}

/**
 * Works on the school's database as its owner.
 * @param {{ live?: boolean }} options live: the work may be done while the school goes on
 */
export async function withSchoolDatabase(work, { live = false } = {}) {
  const running = live && !process.env.FUSILIS_DB_URL ? await runnerOf(schoolFolder()) : null
  if (running?.ownerUrl) return work(running.ownerUrl)
  const database = await openSchoolDatabase(schoolFolder())
  try {
    await work(database.ownerUrl)
  } finally {
    await database.stop()
  }
}
