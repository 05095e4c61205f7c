#!/usr/bin/env node
import { existsSync } from 'node:fs'
import { setTimeout } from 'node:timers/promises'
import { dumpTo, stamp } from './dump.mjs'
import { startMariadb } from './mariadb.mjs'
import { needDebian } from './packages.mjs'
import { ROOT, runTask } from './run.mjs'
import { main, step } from './say.mjs'
import { serve, stopAsked } from './serve.mjs'
import { supervise } from './supervise.mjs'

/** What an update changes is written to a file first, so that it can be undone: `npm run restore -- FILE`. */
async function dumpBeforeUpdate(dir, url) {
  const said = await runTask('pending', [], { env: { FUSILIS_DB_URL: url } })
  if (!/\d{4}-[\w-]+\.sql/.test(said)) return
  const file = `${dir}/backups/before-update-${stamp()}.sql.gz`
  await step(
    'Writing a backup before the update',
    () => dumpTo(url, file),
    'the update was not begun. Make room, or install the MariaDB client, and start again.',
  )
  console.log(`  ${file}`)
}

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
    await dumpBeforeUpdate(dir, database.url)
    await step('Bringing the database up to date', () =>
      runTask('migrate', [], { env: { FUSILIS_DB_URL: database.url } }),
    )
    const begin = async () => {
      const server = await serve({
        dir,
        url: database.url,
        port: Number(process.env.PORT ?? 3000),
        host: process.env.HOST ?? '127.0.0.1',
        show: true,
      })
      console.log(`\n  ${server.address}\n  The first visit creates the first lead instructor.\n  Ctrl-C stops it.`)
      return server
    }
    await supervise({
      begin,
      asked: stopAsked(),
      wait: (seconds, signal) => setTimeout(seconds * 1000, undefined, { signal }),
      say: line => console.error(`  ${line}`),
    })
  } finally {
    await database.stop()
  }
})
