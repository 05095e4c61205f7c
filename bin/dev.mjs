#!/usr/bin/env node
import { startMariadb } from './mariadb.mjs'
import { DEMO_ENV } from './demoAccounts.mjs'
import { needDebian, needNpm } from './packages.mjs'
import { ROOT, run, runTask } from './run.mjs'
import { main, step } from './say.mjs'

await main(async () => {
  const own = !process.env.FUSILIS_DB_URL
  if (own) await needDebian('mariadb-server')
  await needNpm()
  const database = own
    ? await step('Starting MariaDB', () => startMariadb(`${ROOT}.data/dev`))
    : { url: process.env.FUSILIS_DB_URL, stop: async () => {} }
  const env = {
    FUSILIS_DB_URL: database.url,
    ...DEMO_ENV,
    NUXT_SESSION_PASSWORD: 'only-for-development-on-this-machine',
  }
  try {
    await step('Bringing the database up to date', () => runTask('migrate', [], { env }))
    await step('Filling the demo school, if it is empty', () => runTask('fillDemo', [], { env }))
    process.once('SIGINT', () => {})
    await run('npx', ['nuxt', 'dev'], { env, show: true })
  } finally {
    await database.stop()
  }
})
