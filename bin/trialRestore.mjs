import { once } from 'node:events'
import { existsSync } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { restoring } from './dump.mjs'
import { startMariadb } from './mariadb.mjs'
import { MARIADBD } from './packages.mjs'
import { runTask } from './run.mjs'

const digestsOf = async url => JSON.parse(await runTask('digests', [], { env: { FUSILIS_DB_URL: url } }))

/**
 * The tables of a backup that are not what the database holds. One that was written to while the backup was made may
 * be as it was before or after: of it only is asked that it is there.
 * @typedef {Record<string, { rows: number, digest: string }>} Digests
 * @param {{ before: Digests, after: Digests, kept: Digests }} of the database before and after, and the backup restored
 */
export function wrongTables({ before, after, kept }) {
  const same = (a, b) => a?.rows === b?.rows && a?.digest === b?.digest
  return Object.keys(after).filter(name => {
    if (!(name in before)) return false
    return same(before[name], after[name]) ? !same(kept[name], after[name]) : !(name in kept)
  })
}

/**
 * Writes a dump by `write(copy)` and restores the same stream into a database of its own, which is thrown away: what
 * comes out must be what went in. Needs MariaDB's server on this machine.
 * @param {(copy: Parameters<typeof import('./dump.mjs').dumpTo>[2]) => Promise<void>} write
 * @returns {Promise<boolean>} whether it could be tried
 * @throws where a table is not the same
 */
export async function withTrialRestore(url, write) {
  if (!existsSync(MARIADBD)) {
    await write(null)
    return false
  }
  const dir = await mkdtemp(`${tmpdir()}/fusilis-trial-`)
  const database = await startMariadb(dir, { durable: false })
  let stop = () => {}
  try {
    const before = await digestsOf(url)
    const { child, ended } = await restoring(database.ownerUrl)
    // A dump that fails ends it too: then it is the dump's failure that is told.
    ended.catch(() => {})
    child.stdin.on('error', () => {})
    stop = () => child.kill()
    await write({
      take: async piece => {
        if (!child.stdin.write(piece)) await Promise.race([once(child.stdin, 'drain'), ended])
      },
      whole: async () => {
        child.stdin.end()
        await ended
        const wrong = wrongTables({ before, after: await digestsOf(url), kept: await digestsOf(database.ownerUrl) })
        if (wrong.length > 0)
          throw Object.assign(
            new Error(`Restored, the backup does not hold what the school holds: ${wrong.join(', ')}`),
            {
              advice: 'it was not kept. Try again, and look at the disk.',
            },
          )
      },
    })
    return true
  } finally {
    stop()
    await database.stop()
    await rm(dir, { recursive: true, force: true })
  }
}
