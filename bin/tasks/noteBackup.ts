import { closeDatabase, database } from '../../server/store/database'
import { pendingMigrations } from '../../server/store/migrate'
import { noteBackup } from '../../server/store/school'

/** A database that is still to be brought up to date has nowhere to note it; its backup is as good. */
if ((await pendingMigrations(database())).length === 0) await noteBackup(new Date())
await closeDatabase()
