import { createReadStream, createWriteStream } from 'node:fs'
import { mkdir, readdir, rename, rm, stat, utimes } from 'node:fs/promises'
import { dirname } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { SEALED, sealed, unsealed } from './seal.mjs'

const PICTURE = /^[0-9a-f]{64}\.jpg$/
const DAY_MS = 86_400_000

/** Every file under a folder of students' folders, as `student/name`. */
async function filesOf(folder) {
  const students = await readdir(folder, { withFileTypes: true }).catch(() => [])
  const lists = await Promise.all(
    students
      .filter(one => one.isDirectory())
      .map(async ({ name }) => (await readdir(`${folder}/${name}`)).map(file => `${name}/${file}`)),
  )
  return lists.flat()
}

/** Copies a file whole or not at all, through a stage that seals or opens it. */
async function copy(from, to, stage) {
  await mkdir(dirname(to), { recursive: true, mode: 0o700 })
  const part = `${to}.part`
  try {
    await pipeline(await stage(createReadStream(from)), createWriteStream(part, { mode: 0o600 }))
    await rename(part, to)
  } catch (error) {
    await rm(part, { force: true })
    throw error
  }
}

/**
 * Puts the pictures that a backup does not hold yet beside it, sealed where a key is set, and marks those that it
 * holds as of today: what was erased since is told from it by its age.
 * @returns {Promise<number>} how many pictures the school has
 */
export async function backUpPictures(from, to) {
  const key = process.env.FUSILIS_BACKUP_KEY ?? ''
  const held = new Set(await filesOf(to))
  const live = (await filesOf(from)).filter(name => PICTURE.test(name.split('/')[1]))
  const now = new Date()
  for (const name of live) {
    const kept = key ? `${name}${SEALED}` : name
    if (held.has(kept)) await utimes(`${to}/${kept}`, now, now)
    else await copy(`${from}/${name}`, `${to}/${kept}`, stream => (key ? sealed(stream, key) : stream))
  }
  return live.length
}

/** Takes away the pictures that no backup of the last days held: their record was erased before. */
export async function dropOldPictures(folder, keepDays, now = Date.now()) {
  for (const name of await filesOf(folder)) {
    const { mtimeMs } = await stat(`${folder}/${name}`)
    if (now - mtimeMs > (keepDays + 1) * DAY_MS) await rm(`${folder}/${name}`)
  }
}

/**
 * Brings back the pictures that the restored records name and the school has not.
 * @param {readonly string[]} named `student/digest.jpg` of each
 * @returns {Promise<{ back: number, lost: number }>} how many came back, and how many are in neither place
 */
export async function restorePictures(from, to, named) {
  const [held, live] = [new Set(await filesOf(from)), new Set(await filesOf(to))]
  const wanted = named.filter(name => !live.has(name))
  const found = wanted.filter(name => held.has(name) || held.has(`${name}${SEALED}`))
  for (const name of found)
    if (held.has(name)) await copy(`${from}/${name}`, `${to}/${name}`, stream => stream)
    else
      await copy(`${from}/${name}${SEALED}`, `${to}/${name}`, stream =>
        unsealed(stream, process.env.FUSILIS_BACKUP_KEY_FILE),
      )
  return { back: found.length, lost: wanted.length - found.length }
}
