#!/usr/bin/env node
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { needBuild } from './build.mjs'
import { freePort, startMariadb } from './mariadb.mjs'
import { needDebian, needNpm } from './packages.mjs'
import { runTask } from './run.mjs'
import { main, step } from './say.mjs'
import { serve } from './serve.mjs'

/** Takes docs/screenshots/ from a demo school grown for it and thrown away after. */
await main(async () => {
  await needDebian('mariadb-server', 'chromium')
  await needNpm()
  await needBuild()
  const dir = await mkdtemp(`${tmpdir()}/fusilis-shots-`)
  const database = await step('Starting a scratch MariaDB', () => startMariadb(dir, { durable: false }))
  const env = { FUSILIS_DB_URL: database.url }
  try {
    await step('Growing the demo school', async () => { await runTask('migrate', [], { env }); await runTask('fillDemo', [], { env }) })
    const server = await serve({ dir, url: database.url, port: await freePort(), env: { FUSILIS_DEMO: '1' } })
    await step('Taking pictures', () => runTask('shots', [], { env: { FUSILIS_URL: server.address } })).finally(server.stop)
  } finally {
    await database.stop()
    await rm(dir, { recursive: true, force: true })
  }
})
