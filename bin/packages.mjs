import { createHash } from 'node:crypto'
import { existsSync } from 'node:fs'
import { readFile, writeFile } from 'node:fs/promises'
import { ROOT, run } from './run.mjs'
import { step } from './say.mjs'

/** MariaDB's server, where Debian puts it. */
export const MARIADBD = '/usr/sbin/mariadbd'

const DEBIAN = { 'mariadb-server': MARIADBD, 'chromium': '/usr/bin/chromium' }

/** Installs Debian packages that are missing: as root, or through sudo; else says which. */
export async function needDebian(...names) {
  const missing = names.filter(name => !existsSync(DEBIAN[name]))
  if (missing.length === 0) return
  const advice = `install ${missing.join(' and ')} with your system's package manager, then run this again.`
  const sudo = process.getuid?.() === 0 ? [] : ['sudo', '-n']
  const apt = (...args) => {
    const [command, ...rest] = [...sudo, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', '-q', ...args]
    return run(command, rest)
  }
  await step(
    `Installing ${missing.join(', ')} (some minutes)`,
    async () => {
      await apt('update')
      await apt('install', '-y', '--no-install-recommends', ...missing)
    },
    advice,
  )
}

/** Installs the npm packages of the lock file, when they are not the ones installed. */
export async function needNpm() {
  const lock = createHash('sha256')
    .update(await readFile(`${ROOT}package-lock.json`))
    .digest('hex')
  const stamp = `${ROOT}node_modules/.fusilis-lock`
  if (existsSync(stamp) && (await readFile(stamp, 'utf8')) === lock) return
  await step(
    'Installing npm packages',
    () => run('npm', ['ci', '--no-audit', '--no-fund']),
    'check the network, then run this again.',
  )
  await writeFile(stamp, lock)
}
