import { closeDatabase, database } from '../../server/store/database'
import { pendingMigrations } from '../../server/store/migrate'

console.log((await pendingMigrations(database())).join(' '))
await closeDatabase()
