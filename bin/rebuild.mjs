#!/usr/bin/env node
import { runTask } from './run.mjs'
import { main } from './say.mjs'
import { withSchoolDatabase } from './schoolDatabase.mjs'

const after = process.argv.slice(2).filter(word => !word.startsWith('--'))
// Ctrl-C is for the work itself, which ends between two batches; we end after it.
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => {})

await main(() =>
  withSchoolDatabase(url => runTask('rebuild', after, { env: { FUSILIS_DB_URL: url }, show: true }), { live: true }),
)
