import { spawn } from 'node:child_process'
import { createReadStream, createWriteStream, existsSync } from 'node:fs'
import { mkdir, rename, rm } from 'node:fs/promises'
import { dirname } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { runTask } from './run.mjs'
import { SEALED, sealed, unsealed } from './seal.mjs'

/** What MariaDB's own programs want to know of a database: one host, of a cluster the first that takes work. */
async function server(url) {
  const one = url.includes(',') ? (await runTask('answering', [], { env: { FUSILIS_DB_URL: url } })).trim() : url
  const { hostname, port, username, password, pathname } = new URL(one)
  return {
    name: decodeURIComponent(pathname.slice(1)),
    args: [`--host=${hostname}`, `--port=${port || 3306}`, `--user=${decodeURIComponent(username)}`, '--protocol=tcp'],
    env: { ...process.env, MYSQL_PWD: decodeURIComponent(password) },
  }
}

function started(command, args, env) {
  const child = spawn(command, args, { env, stdio: ['pipe', 'pipe', 'pipe'] })
  let said = ''
  child.stderr.on('data', data => {
    said = (said + data).slice(-4000)
  })
  const ended = new Promise((resolve, reject) => {
    child.on('error', error =>
      reject(
        error.code === 'ENOENT'
          ? Object.assign(new Error(`${command} is not installed`), { advice: 'install the MariaDB client.' })
          : error,
      ),
    )
    child.on('close', code =>
      code === 0 ? resolve() : reject(Object.assign(new Error(`${command} ended with ${code}`), { output: said })),
    )
  })
  return { child, ended }
}

/**
 * Writes everything that a school keeps to a file, as SQL, zipped: one consistent moment, while the school goes on. A
 * dump that was cut off never has the name of a whole one. Where the name says so it is sealed for
 * `FUSILIS_BACKUP_KEY`.
 * @param {{ take: (piece: Buffer) => Promise<void>, whole: () => Promise<void> } | null} copy takes the same SQL, and
 *   looks at it when it has all; where that fails, the file is not kept
 */
export async function dumpTo(url, file, copy = null) {
  const { name, args, env } = await server(url)
  await mkdir(dirname(file), { recursive: true, mode: 0o700 })
  const part = `${file}.part`
  const options = [
    '--single-transaction',
    '--quick',
    '--skip-lock-tables',
    '--hex-blob',
    '--default-character-set=utf8mb4',
  ]
  // A key that is none is said before anything is started: a dump that is not read would never end.
  const zipped = createGzip()
  const whole = file.endsWith(SEALED) ? await sealed(zipped, process.env.FUSILIS_BACKUP_KEY ?? '') : zipped
  const { child, ended } = started('mariadb-dump', [...args, ...options, name], env)
  child.stdin.end()
  try {
    await Promise.all([
      pipeline(child.stdout, source => alsoTo(copy, source), zipped),
      pipeline(whole, createWriteStream(part, { mode: 0o600 })),
      ended,
    ])
    await copy?.whole()
    await rename(part, file)
  } catch (error) {
    child.kill()
    await rm(part, { force: true })
    throw error
  }
}

/** Hands a stream on, and each piece of it to a copy first. */
async function* alsoTo(copy, source) {
  for await (const piece of source) {
    await copy?.take(piece)
    yield piece
  }
}

/** Opens a dump to be restored: one that is not there, or that no key opens, is said before anything is done. */
export async function openDump(file) {
  if (!existsSync(file))
    throw Object.assign(new Error(`There is no ${file}`), { advice: 'name a file of `npm run backup`.' })
  const stored = createReadStream(file)
  return file.endsWith(SEALED) ? unsealed(stored, process.env.FUSILIS_BACKUP_KEY_FILE) : stored
}

/** MariaDB's own program, waiting for the SQL of a dump. */
export async function restoring(url) {
  const { name, args, env } = await server(url)
  const program = started('mariadb', [...args, '--default-character-set=utf8mb4', name], env)
  program.child.stdout.resume()
  return program
}

/** What MariaDB's own program writes last: a dump without it is not whole. */
const LAST_WORDS = '-- Dump completed'

/** Hands a dump on, and fails where it ends before its last words. */
async function* wholly(source) {
  let end = ''
  for await (const piece of source) {
    end = (end + piece.toString('latin1')).slice(-200)
    yield piece
  }
  if (!end.includes(LAST_WORDS)) throw new Error('The backup is not whole: it ends before its end')
}

/** Puts a dump that was opened into a database. @throws where it is not whole, or MariaDB does not take it */
export async function restoreFrom(url, zipped) {
  const { child, ended } = await restoring(url)
  try {
    await Promise.all([pipeline(zipped, createGunzip(), wholly, child.stdin), ended])
  } catch (error) {
    child.kill()
    throw error
  }
}
