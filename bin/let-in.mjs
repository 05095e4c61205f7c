#!/usr/bin/env node
import { runTask } from './run.mjs'
import { main } from './say.mjs'
import { withSchoolDatabase } from './schoolDatabase.mjs'

/** Makes a way in for an account, for the person at this console: `npm run let-in -- maren`. */
const [username] = process.argv.slice(2).filter(word => !word.startsWith('--'))

await main(async () => {
  if (!username)
    throw Object.assign(new Error('Let whom in?'), { advice: 'npm run let-in -- USERNAME, as it is signed in with.' })
  await withSchoolDatabase(
    async url => {
      const code = (await runTask('letIn', [username], { env: { FUSILIS_DB_URL: url } })).trim()
      if (!code)
        throw Object.assign(new Error(`No account that is on has the user name ${username}`), {
          advice: 'look at it as it is written on House > People.',
        })
      console.log(`\n  ${code}\n\n  It is typed in place of the password, once, within 15 minutes.`)
    },
    { live: true },
  )
})
