import { execFile, execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { promisify } from 'node:util'
import { once } from 'node:events'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { afterAll, beforeAll, expect, it, vi } from 'vitest'
import { freePort } from '../../bin/mariadb.mjs'

/**
 * The school's own start, with a database of its own: everything that stands between a school and a machine on which
 * something dies.
 */
let folder: string
let port: number
let start: ChildProcess
let said = ''

const env = () => {
  const { FUSILIS_DB_URL: _, ...rest } = process.env
  return { ...rest, FUSILIS_DATA: folder, PORT: String(port) }
}

function begin(): ChildProcess {
  const child = spawn(process.execPath, ['bin/start.mjs'], { env: env(), stdio: ['ignore', 'pipe', 'pipe'] })
  for (const stream of [child.stdout, child.stderr]) stream.on('data', data => (said += data))
  return child
}

const healthy = () =>
  fetch(`http://127.0.0.1:${port}/api/health`).then(
    answer => answer.status,
    () => 0,
  )

const childrenOf = (name: string) =>
  execFileSync('ps', ['--ppid', String(start.pid), '-o', 'pid=,args='], { encoding: 'utf8' })
    .split('\n')
    .filter(line => line.includes(name))
    .map(line => Number.parseInt(line, 10))

const alive = (pid: number) => {
  try {
    process.kill(pid, 0)
    return true
  } catch {
    return false
  }
}

beforeAll(async () => {
  folder = await mkdtemp(`${tmpdir()}/fusilis-start-`)
  port = await freePort()
  start = begin()
  await vi.waitFor(async () => expect(await healthy()).toBe(200), { timeout: 50_000, interval: 100 })
})
afterAll(async () => {
  if (start.exitCode === null && start.signalCode === null) {
    start.kill('SIGTERM')
    await once(start, 'exit')
  }
  await rm(folder, { recursive: true, force: true })
})

it('refuses a second start over the same folder, and says who runs', async () => {
  const second = spawn(process.execPath, ['bin/start.mjs'], { env: { ...env(), PORT: String(port + 1) } })
  let words = ''
  second.stderr.on('data', data => (words += data))
  const [code] = await once(second, 'exit')
  expect(code).toBe(1)
  expect(words).toContain(`npm run start runs from ${folder}/school already, as process ${start.pid}`)
  expect(words).toContain(`kill ${start.pid}`)
  expect(await healthy()).toBe(200)
})

it('starts a database that was killed again, at the same place; the server needs no new start', async () => {
  const [database] = childrenOf('mariadbd')
  const [server] = childrenOf('.output/server')
  process.kill(database!, 'SIGKILL')
  await expect.poll(() => said, { timeout: 10_000 }).toContain('The database ended with SIGKILL')
  await expect.poll(healthy, { timeout: 25_000 }).toBe(200)
  expect(childrenOf('mariadbd')).toHaveLength(1)
  expect(childrenOf('.output/server')).toEqual([server])
})

it('starts a server that was killed again', async () => {
  const [server] = childrenOf('.output/server')
  process.kill(server!, 'SIGKILL')
  await expect.poll(() => said, { timeout: 10_000 }).toContain('The server ended with SIGKILL')
  await expect.poll(healthy, { timeout: 25_000 }).toBe(200)
})

it('gives the application an account that reads and writes rows and can change no table', async () => {
  const url = execFileSync('tr', ['\\0', '\\n'], {
    input: execFileSync('cat', [`/proc/${childrenOf('.output/server')[0]}/environ`]),
    encoding: 'utf8',
  })
    .split('\n')
    .find(line => line.startsWith('FUSILIS_DB_URL='))!
    .slice('FUSILIS_DB_URL='.length)
  const { openDatabase } = await import('../../server/store/nodes')
  const pool = openDatabase(url)
  await expect(pool.query('DROP TABLE trail')).rejects.toThrow(/command denied/)
  await expect(pool.query('CREATE TABLE of_its_own (id INT PRIMARY KEY)')).rejects.toThrow(/command denied/)
  await pool.query('SELECT COUNT(*) FROM trail')
  await pool.end()
})

it('is backed up while the school goes on, and the backup is noted', async () => {
  // The school is asked meanwhile as well: it goes on.
  const backup = promisify(execFile)(process.execPath, ['bin/backup.mjs'], { env: env() })
  expect(await healthy()).toBe(200)
  const { stdout: words } = await backup
  expect(words).toMatch(/school\/backups\/fusilis-\d{4}-\d\d-\d\d-\d{4}\.sql\.gz, restored on trial/)
  expect(await healthy()).toBe(200)
})

it('leaves neither server nor database behind when it is killed itself', async () => {
  const children = [...childrenOf('mariadbd'), ...childrenOf('.output/server')]
  expect(children).toHaveLength(2)
  start.kill('SIGKILL')
  await expect.poll(() => children.filter(alive), { timeout: 20_000 }).toEqual([])
})

it('comes up again over what it left, and ends with 0 when it is asked to', async () => {
  said = ''
  start = begin()
  await expect.poll(healthy, { timeout: 25_000 }).toBe(200)
  start.kill('SIGTERM')
  expect(await once(start, 'exit')).toEqual([0, null])
  expect(await healthy()).toBe(0)
})
