#!/usr/bin/env node
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { needBuild } from './build.mjs'
import { freePort, startMariadb } from './mariadb.mjs'
import { needDebian, needNpm } from './packages.mjs'
import { runTask } from './run.mjs'
import { main, step } from './say.mjs'
import { serve } from './serve.mjs'

/** Speed, as ratios of two things measured side by side in one run. `--quick` grows a tenth of the large school. */
await main(async () => {
  await needDebian('mariadb-server', 'chromium')
  await needNpm()
  await needBuild()
  const dir = await mkdtemp(`${tmpdir()}/fusilis-bench-`)
  const database = await step('Starting a scratch MariaDB', () => startMariadb(dir))
  const env = { FUSILIS_DB_URL: database.url }
  try {
    await step('Growing the demo school', async () => { await runTask('migrate', [], { env }); await runTask('fillDemo', [], { env }) })
    await runTask('benchStore', process.argv.slice(2), { env, show: true })
    const server = await serve({ dir, url: database.url, port: await freePort(), env: { FUSILIS_DEMO: '1' } })
    await runTask('benchPage', [], { env: { ...env, FUSILIS_URL: server.address }, show: true }).finally(server.stop)
  } finally {
    await database.stop()
    await rm(dir, { recursive: true, force: true })
  }
})
