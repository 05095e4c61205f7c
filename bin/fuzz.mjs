#!/usr/bin/env node
import { runTask } from './run.mjs'
import { main } from './say.mjs'
import { withScratchSchool } from './scratchSchool.mjs'

/**
 * Requests that no page would send, over every route with a body: `npm run fuzz -- 20000 7` says how many, and the
 * seed.
 */
await main(() =>
  withScratchSchool(async ({ env, serveDemo }) => {
    const server = await serveDemo()
    await runTask('fuzz', process.argv.slice(2), { env: { ...env, FUSILIS_URL: server.address }, show: true }).finally(
      server.stop,
    )
  }),
)
