#!/usr/bin/env node
import { backupFile, keepByAge, writeBackup } from './backups.mjs'
import { main, step } from './say.mjs'
import { schoolFolder, withSchoolDatabase } from './schoolDatabase.mjs'

/** Writes everything to a file: the one that is named, or one of today under the school's folder. */
const [named] = process.argv.slice(2).filter(word => !word.startsWith('--'))

await main(() =>
  withSchoolDatabase(
    async url => {
      const file = named ?? backupFile(schoolFolder())
      const written = await step('Writing the backup, and restoring it on trial', () =>
        writeBackup(schoolFolder(), url, file),
      )
      console.log(`  ${written}\n  It holds every student’s record: keep it where only the school can read it.`)
      for (const name of await keepByAge(schoolFolder()))
        console.log(`  ${name} was older than it is kept, and is gone.`)
    },
    { live: true },
  ),
)
