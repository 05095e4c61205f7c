#!/usr/bin/env node
import { dumpTo, stamp } from './dump.mjs'
import { runTask } from './run.mjs'
import { main, step } from './say.mjs'
import { schoolFolder, withSchoolDatabase } from './schoolDatabase.mjs'

/** Writes everything to a file: the one that is named, or one of today under the school's folder. */
const [named] = process.argv.slice(2).filter(word => !word.startsWith('--'))

await main(() =>
  withSchoolDatabase(async url => {
    const file = named ?? `${schoolFolder()}/backups/fusilis-${stamp()}.sql.gz`
    await step('Writing the backup', () => dumpTo(url, file))
    await runTask('noteBackup', [], { env: { FUSILIS_DB_URL: url } })
    console.log(`  ${file}\n  It holds every student’s record: keep it where only the school can read it.`)
  }),
)
