import { sendRedirect } from 'h3'
import { anyone } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { log } from '../../../http/log'
import { beginAtProvider, providerSettings } from '../../../http/provider'
import { providerSession } from '../../../http/providerSession'
import { notFound } from '../../../http/refuse'

/** Sends the person who asks to the school's own identity provider. */
export default defineRoute({ who: anyone }, async ({ event }) => {
  const settings = providerSettings()
  if (!settings) throw notFound('identity provider')
  try {
    const { address, begun } = await beginAtProvider(settings)
    await (await providerSession(event)).update(begun)
    await sendRedirect(event, address)
  } catch (error) {
    log.error({ requestId: event.context.requestId, err: error }, 'the identity provider does not answer')
    await sendRedirect(event, '/sign-in?provider=away')
  }
})
