import { closeDatabase, database } from '../../server/store/database'
import { migrate } from '../../server/store/migrate'

await migrate(database())
await closeDatabase()
