import type { SchoolState } from '../../../contract/people'
import { lead } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { lastBackup } from '../../store/school'

/** How the school's server is kept. */
export default defineRoute({ who: lead }, async (): Promise<SchoolState> => ({ lastBackup: await lastBackup() }))
