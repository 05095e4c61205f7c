#!/usr/bin/env node
import { existsSync } from 'node:fs'
import { startMariadb } from './mariadb.mjs'
import { needDebian } from './packages.mjs'
import { ROOT, runTask } from './run.mjs'
import { main, step } from './say.mjs'
import { serve, untilStopped } from './serve.mjs'

await main(async () => {
  if (!existsSync(`${ROOT}.output/server/index.mjs`))
    throw Object.assign(new Error('The application is not built'), {
      advice: 'npm ci && npm run build, then npm start.',
    })
  const dir = `${ROOT}.data/school`
  if (!process.env.FUSILIS_DB_URL) await needDebian('mariadb-server')
  const database = process.env.FUSILIS_DB_URL
    ? { url: process.env.FUSILIS_DB_URL, stop: async () => {} }
    : await step('Starting MariaDB', () => startMariadb(dir), 'is Fusilis running from this folder already?')
  try {
    await step('Bringing the database up to date', () =>
      runTask('migrate', [], { env: { FUSILIS_DB_URL: database.url } }),
    )
    const server = await serve({
      dir,
      url: database.url,
      port: Number(process.env.PORT ?? 3000),
      host: process.env.HOST ?? '127.0.0.1',
    })
    console.log(`\n  ${server.address}\n  The first visit creates the first lead instructor.\n  Ctrl-C stops it.`)
    await untilStopped(server, database.stop)
  } catch (error) {
    await database.stop()
    throw error
  }
})
