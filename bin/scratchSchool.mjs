import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { needBuild } from './build.mjs'
import { DEMO_ENV } from './demoAccounts.mjs'
import { fillDemo } from './fillDemo.mjs'
import { freePort, startMariadb } from './mariadb.mjs'
import { needDebian, needNpm } from './packages.mjs'
import { runTask } from './run.mjs'
import { step } from './say.mjs'
import { serve } from './serve.mjs'

/**
 * The built application over the demo school in a database that is thrown away.
 * @param {(school: { env: Record<string, string>, serveDemo: () => Promise<{ address: string, stop: () =>
 *   Promise<void> }> }) => Promise<void>} work
 * @param {{ durable?: boolean }} options durable: whether the database waits for its disk, as a school's does
 */
export async function withScratchSchool(work, { durable = true } = {}) {
  await needDebian('mariadb-server', 'chromium')
  await needNpm()
  await needBuild()
  const dir = await mkdtemp(`${tmpdir()}/fusilis-scratch-`)
  const database = await step('Starting a scratch MariaDB', () => startMariadb(dir, { durable }))
  const env = { FUSILIS_DB_URL: database.ownerUrl }
  try {
    await step('Growing the demo school', async () => {
      await runTask('migrate', [], { env })
      await fillDemo(database, dir)
    })
    await work({
      env,
      serveDemo: async () => serve({ dir, url: database.url, port: await freePort(), env: DEMO_ENV }),
    })
  } finally {
    await database.stop()
    await rm(dir, { recursive: true, force: true })
  }
}
