import { v7 as uuid } from 'uuid'
import type { Section, Student } from '../../contract/people'
import { quantile, seededRandom } from '../../core/statistics'
import { DEMO_PASSWORD } from '../../demo/accounts'
import { fuzzedRequest } from '../../tests/fuzzed'
import { Visitor } from '../../tests/session'

const [wanted = '20000', seed = '7'] = process.argv.slice(2)
const AT_ONCE = 40
/** How often the server is asked how it is, ms; what it takes to answer beside its load is how long it was held up. */
const EVERY_MS = 20

const visitors = await Promise.all(
  ['maren', 'tobias', 'oriel'].map(username => new Visitor().signIn(username, DEMO_PASSWORD)),
)
visitors.push(new Visitor())
const [section] = (await visitors[0]!.ask<Section[]>('GET', '/api/sections')).body
const [student] = (await visitors[0]!.ask<Student[]>('GET', `/api/sections/${section!.id}/students`)).body

async function healthMs(): Promise<number> {
  const began = performance.now()
  await visitors.at(-1)!.ask('GET', '/api/health')
  return performance.now() - began
}
const idle = []
for (let n = 0; n < 50; n++) idle.push(await healthMs())

const random = seededRandom(Number(seed))
const statuses = new Map<number, number>()
const loaded: number[] = []
let over = false
const watching = (async () => {
  while (!over) {
    loaded.push(await healthMs())
    await new Promise(resolve => setTimeout(resolve, EVERY_MS))
  }
})()
for (let sent = 0; sent < Number(wanted); sent += AT_ONCE) {
  const asked = Array.from({ length: AT_ONCE }, () => fuzzedRequest(random, student!.id, uuid))
  const answers = await Promise.all(
    asked.map(({ method, path, body }, n) =>
      visitors[n % visitors.length]!.ask(method, path, body, { 'content-type': 'application/json' }),
    ),
  )
  answers.forEach(({ status }, n) => {
    statuses.set(status, (statuses.get(status) ?? 0) + 1)
    if (status >= 500) console.log(`${status} ${asked[n]!.method} ${asked[n]!.path} ${asked[n]!.body.slice(0, 300)}`)
  })
}
over = true
await watching

const told = [...statuses].sort(([a], [b]) => a - b).map(([status, count]) => `${count} × ${status}`)
console.log(`${wanted} requests of seed ${seed}: ${told.join(', ')}`)
const share = (list: readonly number[], at: number) => quantile(list, at)
console.log(
  `an answer beside them: p99 ${(share(loaded, 0.99) / share(idle, 0.5)).toFixed(1)}, longest ` +
    `${(Math.max(...loaded) / share(idle, 0.5)).toFixed(1)} times an idle server’s (${Math.max(...loaded).toFixed(0)} ms)`,
)
if ([...statuses.keys()].some(status => status >= 500)) process.exitCode = 1
