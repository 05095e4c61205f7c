#!/usr/bin/env node
import { backupFile } from './backups.mjs'
import { dumpTo, openDump, restoreFrom } from './dump.mjs'
import { picturesBeside, picturesFolder } from './pictureFolders.mjs'
import { restorePictures } from './pictures.mjs'
import { runTask } from './run.mjs'
import { main, step } from './say.mjs'
import { erasedList, schoolFolder, withSchoolDatabase } from './schoolDatabase.mjs'

/**
 * Puts a backup in place of what the database holds: into a database beside it first, brought up to date there, and
 * swapped in by one statement. A failure before that leaves the school as it was. What was there is kept twice, in
 * a file and as a database, until `npm run restore -- --forget`.
 */
const [file] = process.argv.slice(2).filter(word => !word.startsWith('--'))
const forget = process.argv.includes('--forget')

/** The address of another database of the same server. */
const beside = (url, name) => url.replace(/\/[^/?]+(\?.*)?$/, `/${name}`)
const nameOf = url => decodeURIComponent(/\/([^/?]+)(?:\?.*)?$/.exec(url)[1])
const UNTOUCHED = 'the school is as it was. Its owner account must be allowed to create and drop databases.'

await main(async () => {
  if (!file && !forget)
    throw Object.assign(new Error('Which backup?'), { advice: 'npm run restore -- FILE, a file of `npm run backup`.' })
  const opened = file ? await openDump(file) : null
  await withSchoolDatabase(async url => {
    const env = { FUSILIS_DB_URL: url }
    if (!opened) {
      const gone = JSON.parse(await runTask('restoreStep', ['forget'], { env }))
      return console.log(gone.length === 0 ? '  Nothing was kept.' : `  Let go of: ${gone.join(', ')}`)
    }
    const staged = `${nameOf(url)}_restoring`
    const kept = `${nameOf(url)}_before_${new Date().toISOString().slice(0, 19).replaceAll(/\D/g, '_')}`
    const stagedEnv = { FUSILIS_DB_URL: beside(url, staged) }
    const before = backupFile(schoolFolder(), 'before-restore')
    await step('Writing what is there to a file', () => dumpTo(url, before))
    await step(
      'Restoring beside it',
      async () => {
        await runTask('restoreStep', ['empty', staged], { env })
        await restoreFrom(stagedEnv.FUSILIS_DB_URL, opened)
      },
      UNTOUCHED,
    )
    await step('Bringing it up to date', () => runTask('migrate', [], { env: stagedEnv }), UNTOUCHED)
    const erased = await step(
      'Erasing again who was erased since',
      async () =>
        JSON.parse(
          await runTask('restoreStep', ['erase', staged, kept, stagedEnv.FUSILIS_DB_URL, erasedList()], { env }),
        ),
      UNTOUCHED,
    )
    await step('Putting it in its place', () => runTask('restoreStep', ['swap', staged, kept], { env }), UNTOUCHED)
    const named = JSON.parse(await runTask('restoreStep', ['pictures'], { env }))
    const { back, lost } = await step('Bringing pictures back', () =>
      restorePictures(picturesBeside(file), picturesFolder(schoolFolder()), named),
    )
    if (back > 0) console.log(`  ${back} of ${named.length} pictures came back from beside the backup.`)
    if (lost > 0) console.log(`  ${lost} pictures lie neither here nor beside the backup.`)
    if (erased > 0) console.log(`  ${erased} who were erased since the backup were erased again.`)
    console.log(`  Restored. What was there before is in ${before}`)
    console.log(`  and in the database ${kept}, until npm run restore -- --forget`)
  })
})
