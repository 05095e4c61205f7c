import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const root = fileURLToPath(new URL('../..', import.meta.url))

/** The core's own tests, and nothing else: a mutant is killed by them or survives. */
export default defineConfig({
  root,
  resolve: { alias: { '~~': root } },
  test: { include: ['core/**/*.test.ts'], testTimeout: 60_000 },
})
