import { closeDatabase, database } from '../../server/store/database'
import { tableDigests } from '../../server/store/tableDigests'

/** Says as JSON what each table of the database at `FUSILIS_DB_URL` holds. */
console.log(JSON.stringify(await tableDigests(database())))
await closeDatabase()
