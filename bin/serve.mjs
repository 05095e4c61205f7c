import { spawn } from 'node:child_process'
import { createHash, randomBytes } from 'node:crypto'
import { existsSync } from 'node:fs'
import { createServer } from 'node:net'
import { mkdir, readFile, writeFile } from 'node:fs/promises'
import { picturesFolder } from './pictureFolders.mjs'
import { ROOT } from './run.mjs'
import { withParent } from './withParent.mjs'

/** The key that seals sessions: the school's own, or one made once and kept beside the data. */
async function sessionPassword(dir) {
  if (process.env.NUXT_SESSION_PASSWORD) return process.env.NUXT_SESSION_PASSWORD
  const file = `${dir}/session-password`
  await mkdir(dir, { recursive: true, mode: 0o700 })
  if (!existsSync(file)) await writeFile(file, randomBytes(32).toString('hex'), { mode: 0o600 })
  return readFile(file, 'utf8')
}

/**
 * How the session's cookie is called and sent. Browsers tell hosts apart and not their ports: two schools on one host
 * have cookies of their own, by the key that seals their sessions, and all servers of one school have the same. Under
 * TLS the prefix has browsers hold it to this host, and to TLS.
 */
export function cookieSettings(password) {
  const school = createHash('sha256').update(`cookie of ${password}`).digest('hex').slice(0, 8)
  return process.env.FUSILIS_TLS === '1'
    ? { NUXT_SESSION_NAME: `__Host-fusilis-${school}`, NUXT_SESSION_COOKIE_SECURE: 'true' }
    : { NUXT_SESSION_NAME: `fusilis-${school}` }
}

/** Says at once that a port is not ours: their answer would be taken for ours. */
async function needPort(port, host) {
  const probe = createServer()
  const free = await new Promise(resolve => {
    probe.once('error', error => resolve(error.code !== 'EADDRINUSE'))
    probe.listen(port, host, () => probe.close(() => resolve(true)))
  })
  if (!free)
    throw Object.assign(new Error(`Port ${port} is taken`), { advice: `choose another, like PORT=${port + 1}.` })
}

/** What is silent for so long is held by something, ms. */
const ALIVE_WITHIN_MS = 5_000
/** So long it may take to end by itself, ms; then it is ended. */
const ENDS_WITHIN_MS = 10_000

async function answers(address, path) {
  try {
    return (await fetch(`${address}${path}`, { signal: AbortSignal.timeout(ALIVE_WITHIN_MS) })).ok
  } catch {
    return false
  }
}

/** Starts the built server and waits until it answers. With `show` its log goes on to our own output. */
export async function serve({ dir, url, port, host = '127.0.0.1', env = {}, show = false }) {
  await needPort(port, host)
  const password = await sessionPassword(dir)
  const server = spawn(...withParent(process.execPath, ['.output/server/index.mjs']), {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
    env: {
      ...process.env,
      FUSILIS_DB_URL: url,
      NUXT_SESSION_PASSWORD: password,
      PORT: String(port),
      HOST: host,
      NITRO_PORT: String(port),
      NITRO_HOST: host,
      ...cookieSettings(password),
      FUSILIS_ERASED_LIST: `${dir}/erased.jsonl`,
      FUSILIS_PICTURES: picturesFolder(dir),
      ...env,
    },
  })
  let log = ''
  const keep = chunk => {
    log = (log + chunk).slice(-8000)
    if (show) process.stdout.write(chunk)
  }
  server.stdout.on('data', keep)
  server.stderr.on('data', keep)
  let over = false
  const ended = new Promise(resolve =>
    server.on('close', (code, signal) => {
      over = true
      resolve(code ?? signal)
    }),
  )
  const address = `http://${host === '0.0.0.0' ? '127.0.0.1' : host}:${port}`
  for (let tries = 0; !(await answers(address, '/api/health')); tries++) {
    if (over || tries > 300) {
      server.kill('SIGTERM')
      const taken = /EADDRINUSE/.test(log)
      throw Object.assign(new Error(taken ? `Port ${port} is taken` : 'The server did not start'), {
        output: taken ? '' : log,
        advice: taken ? `choose another, like PORT=${port + 1}.` : '',
      })
    }
    await new Promise(resolve => setTimeout(resolve, 100))
  }
  return {
    address,
    pid: server.pid,
    ended,
    log: () => log,
    alive: () => answers(address, '/api/alive'),
    stop: async () => {
      if (over) return
      server.kill('SIGTERM')
      const held = setTimeout(() => server.kill('SIGKILL'), ENDS_WITHIN_MS)
      await ended
      clearTimeout(held)
    },
  }
}

/** Settles when we are asked to stop. */
export const stopAsked = () =>
  new Promise(resolve => {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.once(signal, () => resolve('asked'))
  })

/** Waits for Ctrl-C or the server's own end, then stops everything in order. */
export async function untilStopped(server, ...stops) {
  const code = await Promise.race([stopAsked(), server.ended])
  process.stdout.write('\nStopping … ')
  await server.stop()
  for (const stop of stops) await stop()
  process.stdout.write('stopped.\n')
  if (typeof code === 'number' && code !== 0)
    throw Object.assign(new Error(`The server ended with ${code}`), { output: server.log() })
}
