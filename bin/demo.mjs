#!/usr/bin/env node
import { rm } from 'node:fs/promises'
import { needBuild } from './build.mjs'
import { DEMO_ENV, sayAccounts } from './demoAccounts.mjs'
import { fillDemo } from './fillDemo.mjs'
import { folderOf, openSchoolDatabase } from './schoolDatabase.mjs'
import { needNpm } from './packages.mjs'
import { runTask } from './run.mjs'
import { main, step } from './say.mjs'
import { serve, untilStopped } from './serve.mjs'

await main(async () => {
  const dir = folderOf('demo')
  console.log('Fusilis, with the made-up school of Gannet Quay')
  if (process.argv.includes('--fresh')) await step('Starting over', () => rm(dir, { recursive: true, force: true }))
  await needNpm()
  await needBuild()
  const database = await openSchoolDatabase(dir)
  const env = { FUSILIS_DB_URL: database.ownerUrl }
  try {
    await step('Bringing the database up to date', () => runTask('migrate', [], { env }))
    await step('Filling the demo school, if it is empty', () => fillDemo(database, dir))
    const server = await serve({
      dir,
      url: database.url,
      port: Number(process.env.PORT ?? 3000),
      host: process.env.HOST ?? '127.0.0.1',
      env: DEMO_ENV,
    })
    console.log(`\n  ${server.address}\n\n  ${sayAccounts()}\n\n  Ctrl-C stops it.`)
    await untilStopped(server, database.stop)
  } catch (error) {
    await database.stop()
    throw error
  }
})
