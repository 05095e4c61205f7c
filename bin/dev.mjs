#!/usr/bin/env node
import { DEMO_ENV } from './demoAccounts.mjs'
import { fillDemo } from './fillDemo.mjs'
import { folderOf, openSchoolDatabase } from './schoolDatabase.mjs'
import { needNpm } from './packages.mjs'
import { picturesFolder } from './pictureFolders.mjs'
import { run, runTask } from './run.mjs'
import { main, step } from './say.mjs'

await main(async () => {
  await needNpm()
  const database = await openSchoolDatabase(folderOf('dev'))
  const asOwner = { FUSILIS_DB_URL: database.ownerUrl }
  const env = {
    ...DEMO_ENV,
    FUSILIS_DB_URL: database.url,
    FUSILIS_PICTURES: picturesFolder(folderOf('dev')),
    NUXT_SESSION_PASSWORD: 'only-for-development-on-this-machine',
  }
  try {
    await step('Bringing the database up to date', () => runTask('migrate', [], { env: asOwner }))
    await step('Filling the demo school, if it is empty', () => fillDemo(database, folderOf('dev')))
    process.once('SIGINT', () => {})
    await run('npx', ['nuxt', 'dev'], { env, show: true })
  } finally {
    await database.stop()
  }
})
