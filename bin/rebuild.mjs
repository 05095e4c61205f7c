#!/usr/bin/env node
import { runTask } from './run.mjs'
import { main } from './say.mjs'
import { withSchoolDatabase } from './schoolDatabase.mjs'

await main(() =>
  withSchoolDatabase(url => runTask('rebuild', [], { env: { FUSILIS_DB_URL: url }, show: true }), { live: true }),
)
