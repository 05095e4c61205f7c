import { closeDatabase } from '../../server/store/database'
import { rebuildDerived } from '../../server/store/rebuild'

console.log(`${await rebuildDerived()} coupons read; evidence and flaws derived again.`)
await closeDatabase()
