import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import Provider from 'oidc-provider'

/** Who stands at the provider's door: its own name for them, and the user name that it vouches for. */
export interface AtTheDoor {
  readonly subject: string
  readonly username: string
}

/**
 * A small identity provider (OpenID Connect) that lets in whoever `stands` at its door, without asking anything: a
 * stand-in for a school's own. Its clients say who they are by a secret, and come back to one address.
 */
export async function makeProvider(clients: { readonly id: string; readonly secret: string; readonly back: string }) {
  const known = new Map<string, string>()
  let stands: AtTheDoor = { subject: 'nobody', username: 'nobody' }
  let answer: (...asked: Parameters<ReturnType<Provider['callback']>>) => void = () => {}
  const server: Server = createServer((request, response) => answer(request, response))
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve))
  const issuer = `http://127.0.0.1:${(server.address() as AddressInfo).port}`
  const provider = new Provider(issuer, {
    clients: [
      {
        client_id: clients.id,
        client_secret: clients.secret,
        redirect_uris: [clients.back],
        grant_types: ['authorization_code'],
        response_types: ['code'],
      },
    ],
    claims: { openid: ['sub'], profile: ['preferred_username'] },
    conformIdTokenClaims: false,
    cookies: { keys: ['a key of the tests'] },
    features: { devInteractions: { enabled: false } },
    interactions: { url: (_, interaction) => `/door/${interaction.uid}` },
    findAccount: (_, id) => ({
      accountId: id,
      claims: () => ({ sub: id, preferred_username: known.get(id) }),
    }),
    loadExistingGrant: async ({ oidc }) => {
      const grant = new oidc.provider.Grant({
        clientId: oidc.client!.clientId,
        accountId: oidc.session!.accountId,
      })
      grant.addOIDCScope('openid profile')
      await grant.save()
      return grant
    },
  })
  const callback = provider.callback()
  answer = (request, response) =>
    request.url?.startsWith('/door/')
      ? provider.interactionFinished(request, response, { login: { accountId: stands.subject } })
      : callback(request, response)
  return {
    issuer,
    letIn: (who: AtTheDoor) => {
      stands = who
      known.set(who.subject, who.username)
    },
    stop: () =>
      new Promise<void>(resolve => {
        server.closeAllConnections()
        server.close(() => resolve())
      }),
  }
}
