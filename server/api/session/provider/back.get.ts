import { getRequestURL, sendRedirect } from 'h3'
import { anyone } from '../../../http/access'
import { beginSession } from '../../../http/beginSession'
import { defineRoute } from '../../../http/defineRoute'
import { doerOf, keepTrail } from '../../../http/keepTrail'
import { log } from '../../../http/log'
import { endAtProvider, providerSettings, type BegunSignIn } from '../../../http/provider'
import { providerSession } from '../../../http/providerSession'
import { notFound } from '../../../http/refuse'
import { findByProvider } from '../../../store/accounts'

/** Lets in a person who comes back from the school's identity provider, where an account of theirs is here. */
export default defineRoute({ who: anyone }, async ({ event }) => {
  const settings = providerSettings()
  if (!settings) throw notFound('identity provider')
  const session = await providerSession(event)
  const begun = session.data
  await session.clear()
  try {
    if (!begun.state) return void (await sendRedirect(event, '/sign-in?provider=again'))
    const came = await endAtProvider(settings, getRequestURL(event).search, begun as BegunSignIn)
    const user = await findByProvider(came.subject, came.username)
    if (!user) return void (await sendRedirect(event, '/sign-in?provider=unknown'))
    const before = await doerOf(event)
    await beginSession(event, { user })
    // Here, and not by the route: a person who was not let in has done nothing.
    await keepTrail(event, 'signed in by the school’s provider', { before, body: undefined, answer: undefined })
    await sendRedirect(event, '/')
  } catch (error) {
    log.warn({ requestId: event.context.requestId, err: error }, 'sign-in by the identity provider failed')
    await sendRedirect(event, '/sign-in?provider=refused')
  }
})
