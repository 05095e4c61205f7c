import * as client from 'openid-client'

/** The school's own identity provider, as its server is told of it. */
interface ProviderSettings {
  readonly issuer: URL
  readonly clientId: string
  readonly clientSecret: string
  /** What the button of the sign-in page calls it. */
  readonly name: string
  /** The claim that holds an account's user name: one that its holder cannot change. */
  readonly claim: string
  /** Where the provider sends people back to. */
  readonly returnsTo: string
}

/**
 * Read from `FUSILIS_OIDC_ISSUER`, `FUSILIS_OIDC_CLIENT`, `FUSILIS_OIDC_SECRET`, `FUSILIS_OIDC_NAME`,
 * `FUSILIS_OIDC_CLAIM` and `FUSILIS_ADDRESS`; null where the school has none.
 */
export function providerSettings(env: NodeJS.ProcessEnv = process.env): ProviderSettings | null {
  const { FUSILIS_OIDC_ISSUER: issuer, FUSILIS_OIDC_CLIENT: clientId, FUSILIS_ADDRESS: address } = env
  if (!issuer || !clientId || !address) return null
  return {
    issuer: new URL(issuer),
    clientId,
    clientSecret: env.FUSILIS_OIDC_SECRET ?? '',
    name: env.FUSILIS_OIDC_NAME || 'the school’s account',
    claim: env.FUSILIS_OIDC_CLAIM || 'preferred_username',
    returnsTo: new URL('/api/session/provider/back', address).href,
  }
}

let found: Promise<client.Configuration> | null = null

/** What the provider says of itself, asked once; a provider that was away is asked again. */
function configuration({ issuer, clientId, clientSecret }: ProviderSettings): Promise<client.Configuration> {
  // Plain HTTP is for a provider on this very machine: one that is tried out.
  const isHere = issuer.protocol === 'http:' && ['127.0.0.1', 'localhost', '[::1]'].includes(issuer.hostname)
  found ??= client
    .discovery(issuer, clientId, clientSecret, undefined, isHere ? { execute: [client.allowInsecureRequests] } : {})
    .catch(error => {
      found = null
      throw error
    })
  return found
}

/** What is kept of a sign-in that was begun, until the provider sends its person back. */
export interface BegunSignIn {
  readonly state: string
  readonly nonce: string
  readonly verifier: string
}

/**
 * Begins a sign-in: where to send the person who asks, and what must come back with them (RFC 6749, PKCE, OpenID
 * Connect).
 */
export async function beginAtProvider(
  settings: ProviderSettings,
): Promise<{ readonly address: string; readonly begun: BegunSignIn }> {
  const config = await configuration(settings)
  const begun = {
    state: client.randomState(),
    nonce: client.randomNonce(),
    verifier: client.randomPKCECodeVerifier(),
  }
  const address = client.buildAuthorizationUrl(config, {
    redirect_uri: settings.returnsTo,
    scope: 'openid profile',
    code_challenge: await client.calculatePKCECodeChallenge(begun.verifier),
    code_challenge_method: 'S256',
    state: begun.state,
    nonce: begun.nonce,
  })
  return { address: address.href, begun }
}

/** Who came back: the provider's own name for them, and the user name that it vouches for. */
interface CameBack {
  readonly subject: string
  readonly username: string
}

/**
 * Ends a sign-in: trades the code that came back for the person's own token, which is checked whole.
 * @param search of the address that they came back to
 * @throws where anything of it is not what was begun
 */
export async function endAtProvider(
  settings: ProviderSettings,
  search: string,
  { state, nonce, verifier }: BegunSignIn,
): Promise<CameBack> {
  const came = new URL(settings.returnsTo)
  came.search = search
  const tokens = await client.authorizationCodeGrant(await configuration(settings), came, {
    pkceCodeVerifier: verifier,
    expectedState: state,
    expectedNonce: nonce,
    idTokenExpected: true,
  })
  const claims = tokens.claims()!
  const named = claims[settings.claim]
  return { subject: claims.sub, username: typeof named === 'string' ? named.toLowerCase() : '' }
}
