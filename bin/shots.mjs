#!/usr/bin/env node
import { runTask } from './run.mjs'
import { main, step } from './say.mjs'
import { withScratchSchool } from './scratchSchool.mjs'

/** Takes docs/screenshots/ from a demo school grown for it and thrown away after. */
await main(() =>
  withScratchSchool(
    async ({ serveDemo }) => {
      const server = await serveDemo()
      await step('Taking pictures', () => runTask('shots', [], { env: { FUSILIS_URL: server.address } })).finally(
        server.stop,
      )
    },
    { durable: false },
  ),
)
