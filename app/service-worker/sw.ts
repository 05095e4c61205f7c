/// <reference lib="webworker" />
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching'
import { NavigationRoute, registerRoute } from 'workbox-routing'

declare const self: ServiceWorkerGlobalScope & {
  readonly __WB_MANIFEST: readonly { readonly url: string; readonly revision: string | null }[]
}

/** What is too large to be fetched before it is wanted: kept from its first use on. */
const LATER = 'fusilis-parts'

/**
 * The application is opened from what this worker keeps, network or not: page and parts are of one version. What the
 * server knows is never kept here: pages keep that, sealed, for the person who is signed in.
 */
precacheAndRoute([...self.__WB_MANIFEST])
cleanupOutdatedCaches()
registerRoute(new NavigationRoute(createHandlerBoundToURL('/'), { denylist: [/^\/api\//] }))
registerRoute(
  ({ url, sameOrigin }) =>
    sameOrigin && url.pathname.startsWith('/_nuxt/') && !url.pathname.startsWith('/_nuxt/builds'),
  async ({ request }) => {
    const cache = await caches.open(LATER)
    const kept = await cache.match(request)
    if (kept) return kept
    const answer = await fetch(request)
    if (answer.ok) await cache.put(request, answer.clone())
    return answer
  },
)

/** Parts of an older version go when a newer one has taken over. */
self.addEventListener('activate', event => event.waitUntil(caches.delete(LATER)))

/** A new version waits until a person at the page says that it may take over. */
self.addEventListener('message', ({ data }: ExtendableMessageEvent) => {
  if ((data as { type?: string } | null)?.type === 'SKIP_WAITING') void self.skipWaiting()
})
