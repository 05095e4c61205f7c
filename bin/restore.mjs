#!/usr/bin/env node
import { backupFile } from './backups.mjs'
import { dumpTo, openDump, restoreFrom } from './dump.mjs'
import { runTask } from './run.mjs'
import { main, step } from './say.mjs'
import { schoolFolder, withSchoolDatabase } from './schoolDatabase.mjs'

/** Puts a backup in place of what the database holds. What was there is written to a file first. */
const [file] = process.argv.slice(2).filter(word => !word.startsWith('--'))

await main(async () => {
  if (!file)
    throw Object.assign(new Error('Which backup?'), { advice: 'npm run restore -- FILE, a file of `npm run backup`.' })
  const opened = await openDump(file)
  await withSchoolDatabase(async url => {
    const before = backupFile(schoolFolder(), 'before-restore')
    await step('Writing what is there to a file', () => dumpTo(url, before))
    await step('Restoring', () => restoreFrom(url, opened), `what was there before is in ${before}.`)
    await step('Bringing it up to date', () => runTask('migrate', [], { env: { FUSILIS_DB_URL: url } }))
    console.log(`  Restored. What was there before is in ${before}`)
  })
})
