#!/usr/bin/env node
import { runTask } from './run.mjs'
import { main } from './say.mjs'

/** Holds what is told to an instructor's key: `npm run key -- [FILE]`, one of the same format. */
await main(() => runTask('key', process.argv.slice(2), { show: true }))
