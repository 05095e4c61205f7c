import { mkdtemp } from 'node:fs/promises'
import { v7 as uuid } from 'uuid'
import { aCoupon, aFlaw } from '../../core/coupon/example'
import { foundTestSchool } from '../../tests/school'
import { freePort, startMariadb } from '../mariadb.mjs'
import { runTask } from '../run.mjs'
import { serve } from '../serve.mjs'
const dir = await mkdtemp('/tmp/fusilis-stall-')
const db = await startMariadb(dir, { durable: false })
await runTask('migrate', [], { env: { FUSILIS_DB_URL: db.ownerUrl } })
const server = await serve({ dir, url: db.url, port: await freePort() })
const school = await foundTestSchool(server.address)
const health = async () => { const a = performance.now(); await fetch(`${server.address}/api/health`); return performance.now() - a }
const idle: number[] = []
for (let n = 0; n < 60; n++) idle.push(await health())
const whole = aCoupon({ studentId: school.mine.id })
const document = { ...whole, marks: Array.from({ length: 2000 }, (_, n) => aFlaw({ id: `m${n}` })) }
const worst: number[] = []
for (let k = 0; k < 12; k++) {
  let over = false
  let most = 0
  const watch = (async () => { while (!over) { most = Math.max(most, await health()) } })()
  const a = performance.now()
  const { status } = await school.instructor.ask('PUT', `/api/coupons/${uuid()}`, { baseVersion: 0, why: '', document })
  over = true
  await watch
  worst.push(most)
  console.log(status, 'save', (performance.now() - a).toFixed(0), 'longest stall', most.toFixed(0))
}
console.log('idle', Math.max(...idle).toFixed(1), 'worst median', worst.sort((a, b) => a - b)[6]!.toFixed(0))
await server.stop(); await db.stop()
