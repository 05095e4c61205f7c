import { setResponseStatus } from 'h3'
import type { Health } from '../../contract/record'
import { anyone } from '../http/access'
import { defineRoute } from '../http/defineRoute'
import { database } from '../store/database'

export default defineRoute({ who: anyone }, async ({ event }): Promise<Health> => {
  const { version } = useRuntimeConfig(event)
  const answers = await database()
    .query('SELECT 1')
    .then(
      () => true,
      () => false,
    )
  if (!answers) setResponseStatus(event, 503)
  return { ok: answers, version, database: answers }
})
