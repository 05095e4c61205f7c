import { readdir, rm } from 'node:fs/promises'
import { addDays, differenceInCalendarDays, parse, set } from 'date-fns'
import { dumpTo } from './dump.mjs'
import { picturesBeside, picturesFolder } from './pictureFolders.mjs'
import { backUpPictures, dropOldPictures } from './pictures.mjs'
import { runTask } from './run.mjs'
import { SEALED } from './seal.mjs'
import { withTrialRestore } from './trialRestore.mjs'

/** How a number of days is written. */
export const BACKUP_DAYS = /^[1-9]\d*$/
const DAY_FORMAT = 'yyyy-MM-dd'
export const TIME_OF_DAY = /^([01]?\d|2[0-3]):([0-5]\d)$/
/** Files of our own making; anything else in the folder is not ours. */
const OURS = /^(fusilis|before-update|before-restore)-(\d{4}-\d{2}-\d{2})-\d{4}\.sql\.gz(\.age)?$/

/**
 * Writes one backup, sealed where a key is set, tried by restoring it where this machine can, and notes it for the
 * House page. Says in a line what it is.
 */
export async function writeBackup(dir, url, file) {
  const tried = await withTrialRestore(url, copy => dumpTo(url, file, copy))
  // The pictures after the rows: one that is taken meanwhile is in the next backup, row and file.
  const pictures = await backUpPictures(picturesFolder(dir), picturesBeside(file))
  await runTask('noteBackup', [], { env: { FUSILIS_DB_URL: url } })
  const beside = pictures > 0 ? `; ${pictures} ${pictures === 1 ? 'picture' : 'pictures'} beside it` : ''
  return tried
    ? `${file}, restored on trial: it holds what the school holds${beside}`
    : `${file}, not tried: no MariaDB here${beside}`
}

/** `2026-11-27-1805`: a moment as part of a file's name. */
const stamp = now => now.toISOString().slice(0, 16).replace('T', '-').replace(':', '')

/**
 * Where a backup of now goes, by its name sealed where a key is set.
 * @param {'fusilis' | 'before-update' | 'before-restore'} kind
 */
export const backupFile = (dir, kind = 'fusilis') =>
  `${dir}/backups/${kind}-${stamp(new Date())}.sql.gz${process.env.FUSILIS_BACKUP_KEY ? SEALED : ''}`

/**
 * Those of a folder's files that are older than a school keeps them. The newest whole backup always stays, however old.
 * @param {readonly string[]} names
 */
export function outOfDate(names, keepDays, now = new Date()) {
  const ours = names.filter(name => OURS.test(name)).sort()
  const newest = ours.filter(name => name.startsWith('fusilis-')).at(-1)
  const age = name => differenceInCalendarDays(now, parse(OURS.exec(name)[2], DAY_FORMAT, now))
  return ours.filter(name => name !== newest && age(name) > keepDays)
}

/**
 * When a school wants its backups, and for how many days they are kept; null is: not by itself, and for good. Whether
 * they can be so was looked at before the school was started.
 */
export function backupTerms({ FUSILIS_BACKUP_AT: at = null, FUSILIS_BACKUP_DAYS: days = null } = process.env) {
  return { at, keepDays: days === null ? null : Number(days) }
}

/** Takes the files away that are older than the school keeps them; says which. */
export async function keepByAge(dir) {
  const { keepDays } = backupTerms()
  if (keepDays === null) return []
  const folder = `${dir}/backups`
  const gone = outOfDate(await readdir(folder).catch(() => []), keepDays)
  for (const name of gone) await rm(`${folder}/${name}`)
  await dropOldPictures(`${folder}/pictures`, keepDays)
  return gone
}

/** How long until the clock of this machine next shows that time, ms. `at` is like `02:30`. */
export function untilNext(at, now = new Date()) {
  const [, hours, minutes] = TIME_OF_DAY.exec(at)
  const today = set(now, { hours: Number(hours), minutes: Number(minutes), seconds: 0, milliseconds: 0 })
  return (today > now ? today : addDays(today, 1)).getTime() - now.getTime()
}
