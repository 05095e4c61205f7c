#!/usr/bin/env node
import { mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { needBuild } from './build.mjs'
import { freePort, startMariadb } from './mariadb.mjs'
import { needDebian, needNpm } from './packages.mjs'
import { run, runTask } from './run.mjs'
import { main, step } from './say.mjs'
import { picturesFolder } from './pictureFolders.mjs'
import { serve } from './serve.mjs'
import { withParent } from './withParent.mjs'

/** Everything is tested, or one kind of it, or some files of a kind: `node bin/test.mjs e2e pipe`. */
const [wanted = 'all', ...files] = process.argv.slice(2)
const asked = kind => wanted === 'all' || wanted === kind
const counts = { passed: 0, failed: 0 }
/** What took how long, ms. */
const took = []
const SLOWEST = 20
/** How long the tests of a kind may take, s: a test that never yields is not interrupted by its own time limit. */
const KIND_WITHIN_S = 2_000

/** A check that passes or fails as a whole, like lint. */
async function check(what, work) {
  try {
    await work()
    counts.passed++
  } catch (error) {
    counts.failed++
    console.error(`\n${what} failed\n${error.output ?? error.message}`)
  }
}

/** Runs the tests of a Vitest project and adds up its counts. */
async function vitest(project, env = {}) {
  const dir = await mkdtemp(`${tmpdir()}/fusilis-test-`)
  const report = `${dir}/report.json`
  const sound = await run(
    ...withParent('timeout', [
      '--kill-after=10',
      String(KIND_WITHIN_S),
      'npx',
      'vitest',
      'run',
      ...files,
      '--project',
      project,
      '--reporter=default',
      '--reporter=json',
      `--outputFile=${report}`,
    ]),
    { env: { NO_COLOR: '1', ...env }, show: true },
  ).then(
    () => true,
    error => {
      if (error.message.endsWith(' 124')) console.error(`\nThe tests of ${project} took over ${KIND_WITHIN_S} s`)
      return false
    },
  )
  const result = await readFile(report, 'utf8').then(JSON.parse, () => null)
  counts.passed += result?.numPassedTests ?? 0
  for (const { assertionResults } of result?.testResults ?? [])
    for (const { fullName, duration } of assertionResults) took.push([duration ?? 0, `${project}: ${fullName}`])
  // A file whose preparation fails skips its tests: none of them failed, and none was run.
  const broken = ({ status, assertionResults }) =>
    status === 'failed' && !assertionResults.some(one => one.status === 'failed')
  const failed = (result?.numFailedTests ?? 0) + (result?.testResults.filter(broken).length ?? 0)
  counts.failed += sound ? failed : Math.max(1, failed)
  await rm(dir, { recursive: true, force: true })
}

/** How many files of browser tests run at once, each at a school of its own: a browser waits more than it works. */
const BROWSER_SCHOOLS = 2

/** Serves the built application for several schools; each has its own server and database. */
async function withServers(count, work, schools = []) {
  if (schools.length < count) return withServer(env => withServers(count, work, [...schools, env]))
  return work({ FUSILIS_SCHOOLS: JSON.stringify(schools) })
}

/** Serves the built application on a scratch database that is thrown away. */
async function withServer(work) {
  const dir = await mkdtemp(`${tmpdir()}/fusilis-scratch-`)
  const database = await step('Starting a scratch MariaDB', () => startMariadb(dir, { durable: false }))
  try {
    const env = { FUSILIS_DB_URL: database.ownerUrl }
    await step('Bringing it up to date', () => runTask('migrate', [], { env }))
    const server = await serve({ dir, url: database.url, port: await freePort() })
    try {
      await work({ ...env, FUSILIS_URL: server.address, FUSILIS_PICTURES: picturesFolder(dir) })
    } finally {
      await server.stop()
    }
  } finally {
    await database.stop()
    await rm(dir, { recursive: true, force: true })
  }
}

await main(async () => {
  await needNpm()
  if (wanted !== 'unit') await needDebian('mariadb-server', ...(asked('e2e') ? ['chromium'] : []))
  await step('Preparing', () => run('npx', ['nuxt', 'prepare']))
  if (wanted === 'all') {
    // Each of them keeps one processor busy.
    await step('Lint and types', () =>
      Promise.all([
        check('Lint', () => run('npm', ['run', '--silent', 'lint'])),
        check('Types', () => run('npx', ['nuxt', 'typecheck'])),
      ]),
    )
  }
  if (asked('unit')) await vitest('unit')
  if (wanted !== 'unit') await needBuild()
  if (asked('server')) await withServer(env => vitest('server', env))
  if (asked('e2e')) await withServers(BROWSER_SCHOOLS, env => vitest('e2e', env))
  // These tests start what they need, and kill it.
  if (asked('cluster')) await vitest('cluster')
}).catch(() => {
  counts.failed++
})
if (process.exitCode) counts.failed++
took.sort(([a], [b]) => b - a)
console.log(`\nThe slowest ${SLOWEST}`)
for (const [ms, what] of took.slice(0, SLOWEST)) console.log(`  ${(ms / 1000).toFixed(1).padStart(6)} s  ${what}`)
console.log(`\n${counts.passed} passed, ${counts.failed} failed`)
if (counts.failed > 0) process.exitCode = 1
