import { setResponseStatus } from 'h3'
import type { Health } from '../../contract/record'
import { anyone } from '../http/access'
import { defineRoute } from '../http/defineRoute'
import { passwordsAnswer } from '../http/passwords'
import { takesWrites } from '../store/takesWrites'

/** The shortest key that a session can be sealed by, characters. */
const LEAST_KEY = 32

/** Whether the server can do what people come for: 503 where it cannot, and which of it. */
export default defineRoute({ who: anyone }, async ({ event }): Promise<Health> => {
  const { version, session } = useRuntimeConfig(event)
  const [{ answers, writes }, passwords] = await Promise.all([takesWrites(), passwordsAnswer()])
  const signIns = passwords && answers && String(session.password).length >= LEAST_KEY
  const ok = answers && writes && signIns
  if (!ok) setResponseStatus(event, 503)
  return { ok, version, database: answers, saves: writes, signIns }
})
