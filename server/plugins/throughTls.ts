import { defineNitroPlugin } from 'nitropack/runtime'

const HALF_A_YEAR_SECONDS = 15_552_000

/**
 * Strict transport and request upgrades, where the school reaches the server through TLS; over plain HTTP they would
 * cut its tablets off. It is said when the server is started: one build serves either way.
 */
export default defineNitroPlugin(app => {
  if (process.env.FUSILIS_TLS !== '1') return
  app.hooks.hook('nuxt-security:routeRules', rules => {
    const { headers, ...rest } = rules['/**'] ?? {}
    if (!headers) return
    const policy = headers.contentSecurityPolicy
    rules['/**'] = {
      ...rest,
      headers: {
        ...headers,
        strictTransportSecurity: { maxAge: HALF_A_YEAR_SECONDS, includeSubdomains: false },
        ...(policy && { contentSecurityPolicy: { ...policy, 'upgrade-insecure-requests': true } }),
      },
    }
  })
})
