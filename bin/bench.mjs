#!/usr/bin/env node
import { runTask } from './run.mjs'
import { main } from './say.mjs'
import { withScratchSchool } from './scratchSchool.mjs'

/** Speed, as ratios of two things measured side by side in one run. `--quick` grows a tenth of the large school. */
await main(() =>
  withScratchSchool(async ({ env, serveDemo }) => {
    await runTask('benchPlan', [], { show: true })
    await runTask('benchDayPlan', [], { show: true })
    await runTask('benchDiagnosis', [], { show: true })
    await runTask('benchProgress', [], { show: true })
    await runTask('benchReadiness', [], { show: true })
    await runTask('benchRodUse', [], { show: true })
    await runTask('benchStore', process.argv.slice(2), { env, show: true })
    await runTask('benchCluster', [], { show: true })
    const server = await serveDemo()
    try {
      const at = { ...env, FUSILIS_URL: server.address }
      for (const task of ['benchStall', 'benchScreens', 'benchPage']) await runTask(task, [], { env: at, show: true })
    } finally {
      await server.stop()
    }
  }),
)
