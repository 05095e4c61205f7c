#!/usr/bin/env node
import { migrationsMustBeKept } from './migrationsKept.mjs'
import { run } from './run.mjs'
import { main, step } from './say.mjs'

/** What is looked at before each commit: lint and types beside each other, then the units. */
await main(async () => {
  await step('Migrations that landed', migrationsMustBeKept)
  await step('Preparing', () => run('npx', ['nuxt', 'prepare']))
  await step('Lint and types', () =>
    Promise.all([run('npm', ['run', '--silent', 'lint']), run('npx', ['nuxt', 'typecheck'])]),
  )
  await run('npx', ['vitest', 'run', '--project', 'unit', '--reporter=dot'], { env: { NO_COLOR: '1' }, show: true })
})
