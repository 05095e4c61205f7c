import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const root = fileURLToPath(new URL('.', import.meta.url))

export default defineConfig({
  resolve: { alias: { '~~': root, '~': `${root}app` } },
  test: {
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          include: [
            'core/**/*.test.ts',
            'contract/**/*.test.ts',
            'app/**/*.test.ts',
            'demo/**/*.test.ts',
            'tests/{bare,key,figures}/*.test.ts',
          ],
          // Trials over whole classes take a minute on a quiet machine and five on a busy one.
          testTimeout: 600_000,
          hookTimeout: 600_000,
        },
      },
      {
        extends: true,
        test: {
          name: 'server',
          include: ['tests/server/*.test.ts'],
          setupFiles: ['tests/server/ownSchool.ts'],
          // Each file begins from its own state: any order will do, and each run tries another.
          sequence: { shuffle: { files: true, tests: false } },
          fileParallelism: false,
          testTimeout: 30_000,
          hookTimeout: 60_000,
        },
      },
      {
        extends: true,
        test: {
          name: 'cluster',
          include: ['tests/cluster/*.test.ts'],
          fileParallelism: false,
          testTimeout: 30_000,
        },
      },
      {
        extends: true,
        test: {
          name: 'e2e',
          include: ['tests/e2e/*.test.ts'],
          setupFiles: ['tests/e2e/ownSchool.ts'],
          maxWorkers: 2,
          // Two browsers share the machine: what is waited for may take a while.
          expect: { poll: { timeout: 10_000 } },
          // A browser on a busy machine loses a key or a click now and then; what is broken fails twice.
          retry: 1,
          testTimeout: 90_000,
          hookTimeout: 90_000,
        },
      },
    ],
  },
})
