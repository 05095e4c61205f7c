#!/usr/bin/env node
import { once } from 'node:events'
import { setTimeout } from 'node:timers/promises'
import { needBuild } from './build.mjs'
import { DEMO_ENV, sayAccounts } from './demoAccounts.mjs'
import { fillDemo } from './fillDemo.mjs'
import { startGalera } from './galera.mjs'
import { startMariadb } from './mariadb.mjs'
import { needDebian, needNpm } from './packages.mjs'
import { runTask } from './run.mjs'
import { main, step } from './say.mjs'
import { folderOf } from './schoolDatabase.mjs'
import { serve, stopAsked } from './serve.mjs'
import { supervise } from './supervise.mjs'

const SERVERS = 2

/** The demo school, grown once and kept: the nodes begin with a copy of it. */
async function grownSchool(dir) {
  const database = await step('Starting MariaDB', () => startMariadb(dir))
  const env = { FUSILIS_DB_URL: database.ownerUrl }
  try {
    await step('Bringing the database up to date', () => runTask('migrate', [], { env }))
    await step('Filling the demo school, if it is empty', () => fillDemo(database, dir))
  } finally {
    await database.stop()
  }
}

/**
 * The demo on a cluster of three database nodes with two servers, all on this machine, for trying what happens when one
 * of them goes. What is done on it is not kept.
 */
await main(async () => {
  const dir = folderOf('cluster')
  console.log('Fusilis, with the made-up school of Gannet Quay on three database nodes and two servers')
  await needNpm()
  await needDebian('mariadb-server')
  await needBuild()
  await grownSchool(dir)
  const cluster = await step('Starting three nodes', () => startGalera(dir))
  // What cannot be kept up takes the rest with it.
  const over = new AbortController()
  const asked = Promise.race([stopAsked(), once(over.signal, 'abort')])
  const first = Number(process.env.PORT ?? 3000)
  const terms = {
    asked,
    wait: (seconds, signal) => setTimeout(seconds * 1000, undefined, { signal }),
    say: line => console.log(`  ${line}`),
  }
  const keepNode = ({ number, running, begin }) => {
    const asRunning = () => ({ ...running(), stop: async () => {} })
    console.log(`  node ${number}     process ${running().pid}`)
    return supervise({
      ...terms,
      what: `Node ${number}`,
      running: asRunning(),
      begin: async () => {
        await begin()
        console.log(`  Node ${number} is back, as process ${running().pid}`)
        return asRunning()
      },
    })
  }
  const keepServer = number =>
    supervise({
      ...terms,
      what: `Server ${number + 1}`,
      begin: async () => {
        const url = cluster.urls[number]
        const server = await serve({ dir, url, port: first + number, env: DEMO_ENV })
        console.log(`  server ${number + 1}   process ${server.pid}   ${server.address}`)
        return server
      },
    })
  console.log()
  const kept = [...cluster.nodes.map(keepNode), ...Array.from({ length: SERVERS }, (_, number) => keepServer(number))]
  console.log(`  ${sayAccounts()}\n\n  kill -9 any of them: the rest go on, and it comes back. Ctrl-C stops all.\n`)
  try {
    await Promise.all(kept)
  } finally {
    over.abort()
    await Promise.allSettled(kept)
    process.stdout.write('\nStopping … ')
    await cluster.stop()
    process.stdout.write('stopped.\n')
  }
})
