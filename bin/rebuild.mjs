#!/usr/bin/env node
import { startMariadb } from './mariadb.mjs'
import { ROOT, runTask } from './run.mjs'
import { main, step } from './say.mjs'

await main(async () => {
  const database = process.env.FUSILIS_DB_URL
    ? { url: process.env.FUSILIS_DB_URL, stop: async () => {} }
    : await step(
        'Starting MariaDB',
        () => startMariadb(`${ROOT}.data/${process.argv.includes('--demo') ? 'demo' : 'school'}`),
        'stop Fusilis first, or set FUSILIS_DB_URL to its database.',
      )
  try {
    await runTask('rebuild', [], { env: { FUSILIS_DB_URL: database.url }, show: true })
  } finally {
    await database.stop()
  }
})
