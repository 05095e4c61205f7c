import { chmod, cp, mkdir, mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { setTimeout as pause } from 'node:timers/promises'
import mysql from 'mysql2/promise'
import { freePort, startMariadbd } from './mariadb.mjs'
import { run } from './run.mjs'

/** @typedef {Awaited<ReturnType<typeof startMariadbd>>} Running */

/** Debian's galera-4, which mariadb-server brings along. */
const PROVIDER = '/usr/lib/galera/libgalera_smm.so'
const JOINED_WITHIN_S = 120
/** What Galera calls a node that has all there is and takes work. */
const SYNCED = '4'
/** On one machine a node that says nothing is gone sooner than on a network. */
const PATIENCE = [
  'evs.keepalive_period=PT0.5S',
  'evs.inactive_check_period=PT0.25S',
  'evs.suspect_timeout=PT2S',
  'evs.inactive_timeout=PT4S',
  'evs.install_timeout=PT4S',
]

/**
 * Who runs the nodes: as root Debian's own user of MariaDB, for a node that joins is sent its data by rsync, which does
 * not write as root; else our own.
 */
async function nodeUser() {
  if (process.getuid?.() !== 0) return null
  const [uid, gid] = await Promise.all(['-u', '-g'].map(what => run('id', [what, 'mysql'])))
  return { uid: Number(uid), gid: Number(gid) }
}

/**
 * Starts a cluster of MariaDB nodes on this machine's loopback, each with a copy of one database's data. It is for
 * trying: the copies are thrown away when it stops, and it ends with us.
 * @param {string} seed folder of a database of our own that does not run: `startMariadb(seed)` was stopped
 * @param {number} count of nodes
 */
export async function startGalera(seed, count = 3) {
  const dir = await mkdtemp(`${tmpdir()}/fusilis-cluster-`)
  const as = await nodeUser()
  await chmod(dir, 0o711)
  const secret = await readFile(`${seed}/secret`, 'utf8')
  const urlOf = (user, ports) => `mysql://${user}:${secret}@${ports.map(port => `127.0.0.1:${port}`).join(',')}/fusilis`

  async function nodeOf(number) {
    const home = `${dir}/${number}`
    await mkdir(`${home}/data`, { recursive: true })
    if (number === 1) await cp(`${seed}/mariadb`, `${home}/data`, { recursive: true })
    if (as) await run('chown', ['-R', `${as.uid}:${as.gid}`, home])
    const [port, group, ist, sst] = [await freePort(), await freePort(), await freePort(), await freePort()]
    return { number, data: `${home}/data`, port, group, ist, sst, running: /** @type {Running | null} */ (null) }
  }
  const nodes = []
  for (let number = 1; number <= count; number++) nodes.push(await nodeOf(number))

  /** Starts a node: the very first founds the cluster, any other joins those that run. */
  async function begin(node) {
    const others = nodes.filter(other => other !== node && other.running)
    node.running = await startMariadbd({
      data: node.data,
      port: node.port,
      durable: false,
      as,
      args: [
        '--binlog-format=ROW',
        '--innodb-autoinc-lock-mode=2',
        '--innodb-buffer-pool-size=128M',
        '--wsrep-on=ON',
        `--wsrep-provider=${PROVIDER}`,
        '--wsrep-cluster-name=fusilis',
        `--wsrep-cluster-address=gcomm://${others.map(other => `127.0.0.1:${other.group}`).join(',')}`,
        `--wsrep-node-name=node-${node.number}`,
        `--wsrep-node-address=127.0.0.1:${node.group}`,
        `--wsrep-provider-options=${[
          `gmcast.listen_addr=tcp://127.0.0.1:${node.group}`,
          `ist.recv_addr=127.0.0.1:${node.ist}`,
          'gcache.size=64M',
          ...PATIENCE,
        ].join(';')}`,
        '--wsrep-sst-method=rsync',
        `--wsrep-sst-receive-address=127.0.0.1:${node.sst}`,
      ],
    })
    const { running } = node
    void running.ended.then(() => {
      if (node.running === running) node.running = null
    })
    await joined(node)
  }

  async function joined(node) {
    for (let tries = 0; tries < JOINED_WITHIN_S * 5; tries++) {
      if ((await stateOf(urlOf('fusilis_owner', [node.port]))) === SYNCED) return
      await pause(200)
    }
    throw Object.assign(new Error(`Node ${node.number} did not join the cluster`), { output: node.running?.log() })
  }

  async function stop() {
    // One after the other, so that each says goodbye to a cluster that is still one.
    for (const { running } of nodes) {
      running?.kill('SIGTERM')
      await running?.ended
    }
    await rm(dir, { recursive: true, force: true })
  }

  try {
    for (const node of nodes) await begin(node)
  } catch (error) {
    await stop()
    throw error
  }
  const ports = nodes.map(node => node.port)
  return {
    /** An address for each node as the one that is wanted first. */
    urls: ports.map((_, first) => urlOf('fusilis', [...ports.slice(first), ...ports.slice(0, first)])),
    nodes: nodes.map(node => ({
      number: node.number,
      ownerUrl: urlOf('fusilis_owner', [node.port]),
      /** The database server of the node, while it runs. */
      running: () => node.running,
      begin: () => begin(node),
    })),
    stop,
  }
}

async function stateOf(url) {
  try {
    const connection = await mysql.createConnection({ uri: url, connectTimeout: 1_000 })
    try {
      const [[row]] = await connection.query("SHOW STATUS LIKE 'wsrep_local_state'")
      return row?.Value ?? null
    } finally {
      connection.destroy()
    }
  } catch {
    return null
  }
}
