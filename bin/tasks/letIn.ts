import { closeDatabase } from '../../server/store/database'
import { makeWayIn } from '../../server/store/waysIn'

console.log((await makeWayIn(process.argv[2] ?? '')) ?? '')
await closeDatabase()
