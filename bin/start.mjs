#!/usr/bin/env node
import { once } from 'node:events'
import { existsSync } from 'node:fs'
import { setTimeout } from 'node:timers/promises'
import { backupFile } from './backups.mjs'
import { mustBeWellConfigured } from './configuration.mjs'
import { backUpDaily } from './daily.mjs'
import { dumpTo } from './dump.mjs'
import { folderOf, openSchoolDatabase } from './schoolDatabase.mjs'
import { ROOT, runTask } from './run.mjs'
import { main, step } from './say.mjs'
import { serve, stopAsked } from './serve.mjs'
import { supervise } from './supervise.mjs'

/** What an update changes is written to a file first, so that it can be undone: `npm run restore -- FILE`. */
async function dumpBeforeUpdate(dir, url) {
  const said = await runTask('pending', [], { env: { FUSILIS_DB_URL: url } })
  if (!/\d{4}-[\w-]+\.sql/.test(said)) return
  const file = backupFile(dir, 'before-update')
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
  const dir = folderOf('school')
  // What is set wrongly is said before anything is started.
  await mustBeWellConfigured(dir)
  const database = await openSchoolDatabase(dir)
  const kept = {
    wait: (seconds, signal) => setTimeout(seconds * 1000, undefined, { signal }),
    say: line => console.error(`  ${line}`),
  }
  const serverOver = new AbortController()
  // What cannot be kept up takes the rest with it, and the exit code says so.
  const keepDatabase = supervise({
    ...kept,
    what: 'The database',
    running: database,
    begin: database.again,
    asked: once(serverOver.signal, 'abort'),
  })
  const databaseLost = keepDatabase.catch(() => 'lost')
  const backingUp = backUpDaily({ dir, url: database.ownerUrl, over: serverOver.signal, ...kept })
  try {
    await dumpBeforeUpdate(dir, database.ownerUrl)
    await step('Bringing the database up to date', () =>
      runTask('migrate', [], { env: { FUSILIS_DB_URL: database.ownerUrl } }),
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
    await supervise({ ...kept, what: 'The server', begin, asked: Promise.race([stopAsked(), databaseLost]) })
  } finally {
    serverOver.abort()
    await Promise.all([databaseLost, backingUp])
  }
  await keepDatabase
})
