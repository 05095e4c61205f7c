import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { startGalera } from '../../bin/galera.mjs'
import { freePort, startMariadb } from '../../bin/mariadb.mjs'
import { runTask } from '../../bin/run.mjs'
import { serve } from '../../bin/serve.mjs'

/**
 * Three database nodes and some servers.
 * @param options spread: each server writes by way of a node of its own, so that they meet; else all by the first
 */
export async function openCampus({ servers: count = 2, spread = true } = {}) {
  const dir = await mkdtemp(`${tmpdir()}/fusilis-campus-`)
  const seed = await startMariadb(dir, { durable: false })
  await seed.stop()
  const cluster = await startGalera(dir)
  const [one, two, three] = cluster.nodes
  // Two who start at once, on two nodes.
  await Promise.all([one!, two!].map(node => runTask('migrate', [], { env: { FUSILIS_DB_URL: node.ownerUrl } })))
  const begin = async (number: number) =>
    serve({ dir, url: cluster.urls[spread ? number : 0]!, port: await freePort() })
  const servers: Awaited<ReturnType<typeof begin>>[] = []
  for (let number = 0; number < count; number++) servers.push(await begin(number))
  return {
    nodes: [one!, two!, three!] as const,
    /** The servers' addresses; another server may take the place of one that was killed. */
    addresses: servers.map(server => server.address),
    kill: (number: number) => process.kill(servers[number]!.pid!, 'SIGKILL'),
    begin: async (number: number) => (servers[number] = await begin(number)).address,
    close: async () => {
      await Promise.all(servers.map(server => server.stop()))
      await cluster.stop()
      await rm(dir, { recursive: true, force: true })
    },
  }
}

export type Campus = Awaited<ReturnType<typeof openCampus>>
