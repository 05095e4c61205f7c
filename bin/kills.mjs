#!/usr/bin/env node
import { needBuild } from './build.mjs'
import { needDebian, needNpm } from './packages.mjs'
import { runTask } from './run.mjs'
import { main } from './say.mjs'

/** Kills server and database again and again in the middle of saves: `npm run kills -- 100` says how often each. */
await main(async () => {
  await needDebian('mariadb-server')
  await needNpm()
  await needBuild()
  await runTask('kills', process.argv.slice(2), { show: true })
})
